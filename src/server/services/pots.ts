// The studio's pots: which there are, what was measured by hand, where their thermostats stand.

import { sized } from '../../formats/size';
import 'server-only';
import { randomUUID } from 'node:crypto';
import type { Family } from '../../core/anatomy';
import { ok } from '../../core/shared';
import { civilDateAt, instantAt } from '../clock';
import { atomically, mustWrite } from '../db/atomically';
import { MOST_CHANNELS } from '../../sim/protocol';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { livePots } from '../pots/live';
import type { LivePot } from '../pots/livePot';
import {
  insertPot,
  insertPotNote,
  lastNotes,
  lastRight,
  readPot,
  readPots,
  updatePot,
  type PotNoteRow,
  type PotRow,
} from '../repos/potRepo';
import { lotsAfter } from './potLots';
import { takeOut } from './shelfMoves';
import { allProducts, peopleNames, readStudio } from '../repos/studioRepo';

export interface PotOnPage
  extends LivePot, Pick<PotRow, 'waxG' | 'sensor' | 'channel' | 'version' | 'heaterW' | 'lid' | 'school' | 'lot'> {
  readonly family: Family;
  /** The last day before today on which it felt right on the wrist: where it stood, how warm it was. */
  readonly asOn: { readonly on: string; readonly setC: number | null; readonly tempC: number | null } | null;
}
export interface PotsView {
  readonly pots: readonly PotOnPage[];
  /** Products that a pot may hold. */
  readonly products: readonly { readonly id: string; readonly name: string }[];
  readonly notes: readonly (Pick<PotNoteRow, 'seq' | 'atMs' | 'kind' | 'tempC' | 'felt' | 'grams'> & {
    readonly pot: string;
    readonly person: string;
  })[];
}

const NOTES_SHOWN = 6;

export function loadPots(db: Db, nowMs: number): ServiceResult<PotsView> {
  const rows = new Map(readPots(db).map((r) => [r.pot.id, r]));
  const names = peopleNames(db);
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const todayMs = instantAt(civilDateAt(nowMs, timeZone), 0, 0, timeZone);
  const shelf = allProducts(db);
  const nameOf = (potId: string): string => {
    const product = readPot(db, potId)?.productId;
    return shelf.find((p) => p.id === product)?.data.product.name ?? 'Pot';
  };
  return ok({
    pots: livePots(db, nowMs).flatMap((live) => {
      const row = rows.get(live.id);
      if (!row) return [];
      const { waxG, sensor, channel, version, heaterW, lid, school, lot } = row.pot;
      const right = lastRight(db, live.id, todayMs);
      const asOn = right ? { on: civilDateAt(right.atMs, timeZone), setC: right.setC, tempC: right.tempC } : null;
      const stands = { waxG, sensor, channel, version, heaterW, lid, school, lot };
      return [{ ...live, ...stands, asOn, family: row.product.family }];
    }),
    products: shelf.filter((p) => p.stocked).map((p) => ({ id: p.id, name: p.data.product.name })),
    notes: lastNotes(db, NOTES_SHOWN).map(({ seq, atMs, kind, tempC, felt, grams, potId, personId }) => ({
      ...{ seq, atMs, kind, tempC, felt, grams, pot: nameOf(potId) },
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
  /** Absent = as it is. */
  readonly heaterW?: number | undefined;
  readonly lid?: boolean | undefined;
  readonly school?: PotRow['school'] | undefined;
  readonly lot?: string | undefined;
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

export type PotNote =
  /** °C; null = switched off. */
  | { readonly kind: 'measured'; readonly tempC: number | null }
  | { readonly kind: 'set'; readonly tempC: number | null }
  | { readonly kind: 'wrist'; readonly felt: 'too-warm' | 'right' | 'too-cool' }
  /** In it by the scales, or put into it, g. */
  | { readonly kind: 'weighed'; readonly grams: number }
  | { readonly kind: 'added'; readonly grams: number };

const MOST_G = 5000;

/** Notes what was measured, set, felt, weighed or added; kept for good. */
export function notePot(
  db: Db,
  id: string,
  note: PotNote,
  by: { readonly atMs: number; readonly personId: string | null },
): ServiceResult<Pick<PotRow, 'id' | 'channel' | 'setC'>> {
  return atomically(db, () => {
    const pot = readPot(db, id);
    if (!pot?.active) return notFound('pot');
    const { channel, setC } = pot;
    if (note.kind === 'wrist') {
      const tempC = livePots(db, by.atMs).find((p) => p.id === id)?.tempC ?? null;
      insertPotNote(db, { potId: id, kind: 'wrist', felt: note.felt, tempC, ...by });
      return ok({ id, channel, setC });
    }
    if (note.kind === 'weighed' || note.kind === 'added') {
      const waxG = note.kind === 'weighed' ? note.grams : pot.waxG + note.grams;
      if (waxG > MOST_G) {
        return refused(`That would be ${sized(waxG, 'g')}: no pot holds more than ${sized(MOST_G, 'g')}.`, 'grams');
      }
      insertPotNote(db, { potId: id, kind: note.kind, grams: note.grams, ...by });
      // filled up from the shelf, as far as it stands there: its lot is in the pot with what was left of the one before
      const poured = note.kind === 'added' ? takeOut(db, pot.productId, note.grams, { ...by, kind: 'poured' }) : [];
      const lot = poured.length > 0 ? lotsAfter(pot.lot, poured, pot.waxG) : pot.lot;
      mustWrite(updatePot(db, id, pot.version, { waxG, lot }), 'the pot');
      return ok({ id, channel, setC });
    }
    const { kind, tempC } = note;
    if (kind === 'measured' && tempC === null) return refused('What was measured is missing.', 'tempC');
    insertPotNote(db, { potId: id, kind, tempC, ...by });
    if (kind === 'measured') return ok({ id, channel, setC });
    mustWrite(updatePot(db, id, pot.version, { setC: tempC }), 'the pot');
    return ok({ id, channel, setC: tempC });
  });
}

/** The channel of a pot that the simulated sensor tells. */
export function simulatedChannel(db: Db, id: string): ServiceResult<{ readonly channel: number }> {
  const pot = readPot(db, id);
  if (!pot?.active) return notFound('pot');
  return pot.sensor === 'simulated'
    ? ok({ channel: pot.channel })
    : refused('Faults can be tried with the simulated sensor only.', 'fault');
}
