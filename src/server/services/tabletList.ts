// The studio's tablets: which are known, who was at them last; a code that makes one known, and forgetting one.

import 'server-only';
import { createHash, randomInt } from 'node:crypto';
import { toString as qrOf } from 'qrcode';
import { ok } from '../../core/shared';
import { DOOR, forgetTries, takeTry } from '../auth/tries';
import { signsIn } from '../auth/sessions';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { lan } from '../lan';
import { dropSessionsOn, insertPairing, lastSessionOn, usePairing } from '../repos/doorRepo';
import { knownTablets, putTablet, readTablet } from '../repos/groundRepo';
import { peopleNames } from '../repos/studioRepo';

export interface TabletLine {
  readonly id: string;
  readonly name: string;
  readonly knownSinceMs: number;
  readonly isThis: boolean;
  /** Who was at it last, and when; null = nobody has signed in. */
  readonly last: { readonly name: string; readonly atMs: number } | null;
}
export interface TabletList {
  readonly tablets: readonly TabletLine[];
  readonly signsIn: boolean;
  /** Addresses in the network; empty = this machine alone. */
  readonly addresses: readonly string[];
}

export function loadTablets(db: Db, own: string | null): TabletList {
  const names = peopleNames(db);
  return {
    signsIn: signsIn(db),
    addresses: lan()?.addresses ?? [],
    tablets: knownTablets(db).map(({ id, name, knownSinceMs }) => {
      const last = lastSessionOn(db, id);
      return {
        ...{ id, name, knownSinceMs: knownSinceMs ?? 0, isThis: id === own },
        last: last ? { name: names.get(last.personId) ?? '', atMs: last.touchedMs } : null,
      };
    }),
  };
}

const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
const CODE_LETTERS = 8;
const GOOD_FOR_MS = 10 * 60_000;
const hashOf = (code: string): string =>
  createHash('sha256')
    .update(code.toLowerCase().replace(/[^a-z0-9]/g, ''))
    .digest('hex');

export interface Pairing {
  /** `ab3d-9xyz` */
  readonly code: string;
  readonly untilMs: number;
  /** For each address a drawing that a tablet reads, as SVG. */
  readonly ways: readonly { readonly address: string; readonly qr: string }[];
}

/** A short code, good once and for ten minutes. It stands behind the `#`: no server's log ever holds it. */
export async function makePairing(db: Db, nowMs: number): Promise<ServiceResult<Pairing>> {
  if (!signsIn(db)) return refused('First people sign in: Studio, People.');
  const code = Array.from({ length: CODE_LETTERS }, () => LETTERS[randomInt(LETTERS.length)])
    .join('')
    .replace(/(.{4})(?=.)/g, '$1-');
  const ways = await Promise.all(
    (lan()?.addresses ?? []).map(async (address) => ({
      address,
      qr: await qrOf(`${address}/door#pair=${code}`, { type: 'svg', margin: 1 }),
    })),
  );
  insertPairing(db, hashOf(code), nowMs);
  return ok({ code, untilMs: nowMs + GOOD_FOR_MS, ways });
}

export interface Pair {
  readonly code: string;
  readonly name: string;
}
/** Makes this tablet known: from here on it asks for names and PINs. Tries are counted as at the door. */
export function pair(db: Db, { code, name }: Pair, tablet: string, nowMs: number): ServiceResult<null> {
  const tried = takeTry(db, DOOR, nowMs, 'code');
  if (!tried.ok) return tried;
  return atomically(db, () => {
    if (!signsIn(db) || !usePairing(db, hashOf(code), { nowMs, notBeforeMs: nowMs - GOOD_FOR_MS })) {
      return refused('This code is not good, or not any more: make a new one.', 'code');
    }
    forgetTries(db, DOOR, nowMs);
    putTablet(db, tablet, nowMs, { knownSinceMs: nowMs, name });
    return ok(null);
  });
}

export type TabletAct =
  { readonly forget: { readonly id: string } } | { readonly name: { readonly id: string; readonly name: string } };

/** A tablet that is forgotten shows nothing any more until a passphrase or a code opens it. */
export function tabletAct(db: Db, act: TabletAct, nowMs: number): ServiceResult<null> {
  return atomically(db, () => {
    const { id } = 'forget' in act ? act.forget : act.name;
    if ((readTablet(db, id)?.knownSinceMs ?? null) === null) return notFound('tablet');
    if ('name' in act) {
      putTablet(db, id, nowMs, { name: act.name.name });
      return ok(null);
    }
    if (!signsIn(db)) return refused('Where nobody signs in every browser of this machine is known.');
    putTablet(db, id, nowMs, { knownSinceMs: null, lockedForm: null });
    dropSessionsOn(db, id);
    return ok(null);
  });
}
