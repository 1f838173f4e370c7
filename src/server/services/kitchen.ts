// The paste kitchen: where it is cooked, the batch on the stove, those before.

import 'server-only';
import { randomUUID } from 'node:crypto';
import {
  BOIL_ON_K,
  endC,
  KEEPS_DAYS,
  learnedStoveW,
  nextLot,
  nextStep,
  recipeFor,
  stoveFrom,
  waterBoilsC,
  type BatchStep,
  type Colour,
  type Firmness,
  type Trouble,
} from '../../core/kitchen';
import { addDays, ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { KitchenSettings } from '../db/schema';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import {
  batchNotesOf,
  endedBatches,
  insertBatch,
  insertBatchNote,
  lotsOfBatches,
  openBatch,
  readBatch,
  stovesFound,
  updateBatch,
  type BatchNoteRow,
  type BatchRow,
} from '../repos/kitchenRepo';
import { metLot } from '../repos/shelfRepo';
import { peopleNames, readStudio, setSettings } from '../repos/studioRepo';
import { itemOnShelf } from './shelfItems';
import { putLot } from './shelfMoves';

type Noted = Pick<BatchNoteRow, 'seq' | 'atMs' | 'kind' | 'what' | 'tempC'>;
export interface OpenBatch extends BatchRow {
  /** In their order. */
  readonly notes: readonly Noted[];
}

export interface Kitchen {
  readonly settings: KitchenSettings;
  /** Nobody has said where it is cooked: at the sea, in a usual pot. */
  readonly isPreset: boolean;
  /** Where water boils here, °C. */
  readonly waterC: number;
  readonly roomC: number;
  readonly timeZone: string;
  /** Heat that this stove brings, W, and on how many batches that rests. */
  readonly stoveW: number;
  readonly stoveBatches: number;
  readonly open: OpenBatch | null;
  /** Over, latest first. */
  readonly batches: readonly (BatchRow & {
    readonly by: string;
    readonly on: string;
    /** Clients that met it. */
    readonly met: number;
  })[];
  readonly nextLot: string;
  readonly today: string;
  readonly nowMs: number;
  readonly studioVersion: number;
}

const USUAL: KitchenSettings = {
  heightM: null,
  boilsC: null,
  kettle: { widthCm: 20, heightCm: 14 },
  hands: 'usual',
};
const BATCHES_SHOWN = 12;

/** The studio's own water by its own thermometer goes before the height. */
const waterCOf = ({ boilsC, heightM }: KitchenSettings): number => boilsC ?? waterBoilsC(heightM ?? 0);

export function loadKitchen(db: Db, nowMs: number): ServiceResult<Kitchen> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { settings, timeZone, version } = studio;
  const kitchen = settings.kitchen ?? USUAL;
  const names = peopleNames(db);
  const stoves = stovesFound(db, BATCHES_SHOWN);
  const open = openBatch(db);
  return ok({
    settings: kitchen,
    isPreset: settings.kitchen === undefined,
    waterC: waterCOf(kitchen),
    roomC: settings.roomC,
    timeZone,
    stoveW: learnedStoveW(stoves),
    stoveBatches: stoves.length,
    open: open ? { ...open, notes: batchNotesOf(db, open.id) } : null,
    batches: endedBatches(db, BATCHES_SHOWN).map((b) => ({
      ...b,
      by: b.personId === null ? '' : (names.get(b.personId) ?? ''),
      on: civilDateAt(b.weighedAtMs, timeZone),
      met: new Set(metLot(db, b.lot).map((m) => m.clientId)).size,
    })),
    nextLot: nextLot(lotsOfBatches(db)),
    today: civilDateAt(nowMs, timeZone),
    nowMs,
    studioVersion: version,
  });
}

export function saveKitchen(
  db: Db,
  { version, kitchen }: { readonly version: number; readonly kitchen: KitchenSettings },
): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    const isSet = studio.version === version && setSettings(db, { ...studio.settings, kitchen }, version);
    return isSet ? ok(null) : stale(null);
  });
}

export interface By {
  readonly atMs: number;
  readonly personId: string | null;
}

export interface NewBatch {
  readonly firmness: Firmness;
  readonly sugarG: number;
}

/** All is weighed and goes onto the stove; one batch at a time. */
export function startBatch(
  db: Db,
  { firmness, sugarG }: NewBatch,
  { atMs, personId }: By,
): ServiceResult<{ readonly id: string }> {
  return atomically(db, () => {
    const kitchen = loadKitchen(db, atMs);
    if (!kitchen.ok) return kitchen;
    if (kitchen.value.open) return refused(`${kitchen.value.open.lot} is not in its jar yet.`, 'batch');
    const { waterC, roomC, stoveW } = kitchen.value;
    const id = randomUUID();
    insertBatch(db, {
      ...{ id, lot: kitchen.value.nextLot, firmness, recipe: recipeFor(sugarG), endC: endC(firmness, waterC) },
      ...{ waterC, roomC, stoveW, personId, weighedAtMs: atMs, step: 'boil' },
    });
    insertBatchNote(db, { batchId: id, atMs, personId, kind: 'step', what: 'boil' });
    return ok({ id });
  });
}

export type BatchAct =
  | { readonly heat: number }
  | { readonly colour: Colour }
  | { readonly trouble: Trouble }
  /** Taken off the heat at what was read. */
  | { readonly off: number }
  /** Back onto the heat: too soft on the cold dish. */
  | { readonly on: true }
  | { readonly step: BatchStep }
  | { readonly jar: { readonly jarG: number; readonly words: string } }
  | { readonly thrown: { readonly words: string } }
  | { readonly words: string };

/** When the batch was taken off the heat for the first time, and what the stove brought until then. */
function stoveOf(batch: BatchRow, offC: number, atMs: number): number | null {
  if (batch.stoveFoundW !== null) return batch.stoveFoundW;
  const reads = [{ atS: (atMs - batch.weighedAtMs) / 1000, tempC: offC }];
  return stoveFrom(batch, reads);
}

/** One act of a batch that is cooking; what comes out of its order is refused. */
export function batchAct(db: Db, id: string, act: BatchAct, by: By): ServiceResult<{ readonly id: string }> {
  return atomically(db, () => {
    const batch = readBatch(db, id);
    if (!batch) return notFound('batch');
    if ('words' in act) {
      mustWrite(updateBatch(db, batch, { words: act.words }), 'the batch');
      return ok({ id });
    }
    if (batch.state !== 'cooking') return refused('This batch is over.', 'batch');
    const fault = actOn(db, batch, act, by);
    return fault ?? ok({ id });
  });
}

function actOn(
  db: Db,
  batch: BatchRow,
  act: Exclude<BatchAct, { readonly words: string }>,
  { atMs, personId }: By,
): ServiceResult<never> | null {
  const { step } = batch;
  const onHeat = step === 'boil' || step === 'cook';
  const note = (kind: BatchNoteRow['kind'], what: string, tempC: number | null = null): void =>
    insertBatchNote(db, { batchId: batch.id, atMs, personId, kind, what, tempC });
  const change = (row: Parameters<typeof updateBatch>[2]): void => mustWrite(updateBatch(db, batch, row), 'the batch');
  const to = (next: BatchStep, row: Parameters<typeof updateBatch>[2] = {}): void => {
    note('step', next);
    change({ ...row, step: next });
  };
  if ('heat' in act) note('heat', '', act.heat);
  else if ('colour' in act) note('colour', act.colour);
  else if ('trouble' in act) note('trouble', act.trouble);
  else if ('off' in act) {
    if (!onHeat) return refused('It is off the heat already.', 'off');
    note('heat', '', act.off);
    to('dish', { offC: act.off, stoveFoundW: stoveOf(batch, act.off, atMs) });
  } else if ('on' in act) {
    if (step !== 'dish') return refused('It goes back onto the heat from the cold dish only.', 'on');
    // what was too soft at this heat is boiled on
    to('cook', { endC: Math.max(batch.endC, batch.offC ?? 0) + BOIL_ON_K });
  } else if ('step' in act) {
    const isNext = nextStep(step) === act.step;
    if (!isNext || act.step === 'dish') return refused(`After ${step} does not come ${act.step}.`, 'step');
    to(act.step);
  } else if ('jar' in act) {
    if (step !== 'jar') return refused('It is not in its jar yet.', 'jar');
    const { jarG, words } = act.jar;
    const on = civilDateAt(atMs, readStudio(db)?.timeZone ?? 'UTC');
    const keepsTo = addDays(on, KEEPS_DAYS);
    change({ state: 'jarred', endedAtMs: atMs, jarG, words, keepsTo });
    // the jar stands on the shelf from now on
    const item = itemOnShelf(db, `sugar-${batch.firmness}`);
    if (item) putLot(db, { itemId: item.id, lot: batch.lot, amount: jarG, expiresOn: keepsTo }, { atMs, personId });
  } else {
    note('trouble', 'thrown');
    change({ state: 'thrown', endedAtMs: atMs, words: act.thrown.words });
  }
  return null;
}
