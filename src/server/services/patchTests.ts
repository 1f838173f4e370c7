// Patch tests: laid on a small spot 24–48 h before a product that is new to a client, read later, kept on the card.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { daysBetween, ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { ClientProfile } from '../db/schema';
import { notFound, refused, type ServiceResult } from '../errors';
import { insertEdit, readClient, updateClient } from '../repos/clientRepo';
import { readProducts, readStudio } from '../repos/studioRepo';
import { cardChanges } from './cardChanges';

export type PatchTestAct =
  | { readonly lay: { readonly product: string; readonly place: string } }
  | { readonly read: { readonly id: string; readonly result: 'calm' | 'reacted' } };

export interface PatchTestsNow {
  readonly patchTests: ClientProfile['patchTests'];
}

function changed(profile: ClientProfile, act: PatchTestAct, on: string): ClientProfile | readonly [string, string] {
  if ('lay' in act) {
    return {
      ...profile,
      patchTests: [
        ...profile.patchTests,
        { id: randomUUID(), product: act.lay.product, place: act.lay.place, laidOn: on, readOn: null, result: null },
      ],
    };
  }
  const test = profile.patchTests.find((t) => t.id === act.read.id);
  if (!test || test.result !== null) return ['No such patch test is waiting to be read.', 'read.id'];
  if (act.read.result === 'calm' && daysBetween(test.laidOn, on) < 1) {
    return ['Too early to call it calm: read it after 24–48 hours.', 'read.result'];
  }
  return {
    ...profile,
    patchTests: profile.patchTests.map((t) => (t === test ? { ...t, readOn: on, result: act.read.result } : t)),
  };
}

/** Lays or reads a patch test; a calm one makes the product known to this skin. */
export function patchTest(
  db: Db,
  clientId: string,
  act: PatchTestAct,
  personId: string | null,
  nowMs: number,
): ServiceResult<PatchTestsNow> {
  return atomically(db, () => {
    const client = readClient(db, clientId);
    if (!client) return notFound('client');
    if ('lay' in act && !readProducts(db).some((p) => p.id === act.lay.product)) {
      return refused('No such product is in stock.', 'lay.product');
    }
    const profile = changed(client.profile, act, civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC'));
    if (!('v' in profile)) return refused(profile[0], profile[1]);
    mustWrite(updateClient(db, clientId, client.version, { profile }), 'the card');
    insertEdit(db, { clientId, personId, atMs: nowMs, changes: cardChanges(client, { ...client, profile }) });
    return ok({ patchTests: profile.patchTests });
  });
}
