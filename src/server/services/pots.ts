// The studio's pots: which there are, what was measured by hand, where their thermostats stand.

import 'server-only';
import { randomUUID } from 'node:crypto';
import type { Family } from '../../core/anatomy';
import { ok } from '../../core/shared';
import { MOST_CHANNELS } from '../../sim/protocol';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { livePots } from '../pots/live';
import type { LivePot } from '../pots/livePot';
import {
  insertPot,
  insertPotNote,
  lastNotes,
  readPot,
  readPots,
  updatePot,
  type PotNoteRow,
  type PotRow,
} from '../repos/potRepo';
import { allProducts, peopleNames } from '../repos/studioRepo';

export interface PotOnPage extends LivePot, Pick<PotRow, 'waxG' | 'sensor' | 'channel' | 'version'> {
  readonly family: Family;
}
export interface PotsView {
  readonly pots: readonly PotOnPage[];
  /** Products that a pot may hold. */
  readonly products: readonly { readonly id: string; readonly name: string }[];
  readonly notes: readonly (Pick<PotNoteRow, 'seq' | 'atMs' | 'kind' | 'tempC'> & {
    readonly pot: string;
    readonly person: string;
  })[];
}

const NOTES_SHOWN = 6;

export function loadPots(db: Db, nowMs: number): ServiceResult<PotsView> {
  const rows = new Map(readPots(db).map((r) => [r.pot.id, r]));
  const names = peopleNames(db);
  const shelf = allProducts(db);
  const nameOf = (potId: string): string => {
    const product = readPot(db, potId)?.productId;
    return shelf.find((p) => p.id === product)?.data.product.name ?? 'Pot';
  };
  return ok({
    pots: livePots(db, nowMs).flatMap((live) => {
      const row = rows.get(live.id);
      if (!row) return [];
      const { waxG, sensor, channel, version } = row.pot;
      return [{ ...live, waxG, sensor, channel, version, family: row.product.family }];
    }),
    products: shelf.filter((p) => p.stocked).map((p) => ({ id: p.id, name: p.data.product.name })),
    notes: lastNotes(db, NOTES_SHOWN).map(({ seq, atMs, kind, tempC, potId, personId }) => ({
      ...{ seq, atMs, kind, tempC, pot: nameOf(potId) },
      person: personId === null ? '' : (names.get(personId) ?? ''),
    })),
  });
}

export interface NewPot {
  readonly productId: string;
  readonly waxG: number;
  readonly sensor: PotRow['sensor'];
}

/** Puts a pot up, switched off; gives it the first channel that is free. */
export function addPot(db: Db, { productId, waxG, sensor }: NewPot): ServiceResult<Pick<PotRow, 'id' | 'channel'>> {
  if (!allProducts(db).some((p) => p.id === productId && p.stocked)) {
    return refused('There is no such product on the shelf.', 'productId');
  }
  const taken = new Set(readPots(db).map(({ pot }) => pot.channel));
  const channel = Array.from({ length: MOST_CHANNELS }, (_, i) => i + 1).find((c) => !taken.has(c));
  if (channel === undefined) {
    return refused(`There are ${MOST_CHANNELS} pots already: put one away first.`, 'productId');
  }
  const id = randomUUID();
  insertPot(db, { id, productId, waxG, sensor, channel, setC: null });
  return ok({ id, channel });
}

export interface PotChange {
  readonly version: number;
  readonly waxG: number;
  readonly sensor: PotRow['sensor'];
  /** False puts it away. */
  readonly active: boolean;
}

export function changePot(
  db: Db,
  id: string,
  { version, ...change }: PotChange,
): ServiceResult<Pick<PotRow, 'id' | 'channel'>> {
  const pot = readPot(db, id);
  if (!pot?.active) return notFound('pot');
  return updatePot(db, id, version, change) ? ok({ id, channel: pot.channel }) : stale(null);
}

export interface PotNote {
  readonly kind: PotNoteRow['kind'];
  /** °C; null = switched off. */
  readonly tempC: number | null;
}

/** Notes what was measured, or what the thermostat was set to; kept for good. */
export function notePot(
  db: Db,
  id: string,
  { kind, tempC }: PotNote,
  by: { readonly atMs: number; readonly personId: string | null },
): ServiceResult<Pick<PotRow, 'id' | 'channel' | 'setC'>> {
  const pot = readPot(db, id);
  if (!pot?.active) return notFound('pot');
  if (kind === 'measured' && tempC === null) return refused('What was measured is missing.', 'tempC');
  insertPotNote(db, { potId: id, kind, tempC, ...by });
  if (kind === 'measured') return ok({ id, channel: pot.channel, setC: pot.setC });
  updatePot(db, id, pot.version, { setC: tempC });
  return ok({ id, channel: pot.channel, setC: tempC });
}

/** The channel of a pot that the simulated sensor tells. */
export function simulatedChannel(db: Db, id: string): ServiceResult<{ readonly channel: number }> {
  const pot = readPot(db, id);
  if (!pot?.active) return notFound('pot');
  return pot.sensor === 'simulated'
    ? ok({ channel: pot.channel })
    : refused('Faults can be tried with the simulated sensor only.', 'fault');
}
