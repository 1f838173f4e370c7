// What is known of the pots at this moment: what their probes told lately, kept with the process, beside what was
// noted in the file. Told to every page when what it shows changes, and now and then all the same, so that a page knows
// that it still hears.

import 'server-only';
import { inWindow, isOverSet, potStanding, type PotSample, type PotStanding, type PotWindow } from '../../core/pots';
import type { Db } from '../db/openDatabase';
import { tell } from '../events';
import { insertPotHeat, lastMeasured, lastSet, readPots, type PotRow } from '../repos/potRepo';
import type { LivePot } from './livePot';

export interface NextWindow extends PotWindow {
  readonly startsAtMs: number;
}

interface Heard {
  /** By channel, oldest first. */
  readonly probes: Map<number, PotSample[]>;
  /** By product, of the visit that next works with it. */
  windows: ReadonlyMap<string, NextWindow>;
  /** What the pages were told last, and when. */
  told: string;
  toldAtMs: number;
  readonly keptAtMs: Map<string, number>;
}

/** As long as what a hand measured is compared with what the probe told then. */
const KEPT_MS = 21 * 60_000;
/** Pages hear at least so often, ms: they call a heat old that they have not heard for longer. */
const BEAT_MS = 25_000;
/** So often a heat is written down. */
const WRITTEN_MS = 60_000;

const holder = globalThis as typeof globalThis & { stricklePots?: Heard };
const heard = (): Heard =>
  (holder.stricklePots ??= {
    probes: new Map(),
    windows: new Map(),
    told: '',
    toldAtMs: 0,
    keptAtMs: new Map(),
  });

/** A probe told a heat. */
export function heardHeat(channel: number, sample: PotSample): void {
  const { probes } = heard();
  const samples = (probes.get(channel) ?? []).filter((s) => sample.atMs - s.atMs <= KEPT_MS);
  probes.set(channel, [...samples, sample]);
}
/** Another pot stands under the probe, or none. */
export const forgetProbe = (channel: number): boolean => heard().probes.delete(channel);
export const setNextWindows = (windows: ReadonlyMap<string, NextWindow>): void => {
  heard().windows = windows;
};

function standingOf(db: Db, pot: PotRow, setAtMs: number | undefined, nowMs: number): PotStanding {
  const note = lastMeasured(db, pot.id);
  return potStanding(
    {
      probe: pot.sensor === 'none' ? [] : (heard().probes.get(pot.channel) ?? []),
      hand: note && note.tempC !== null ? { atMs: note.atMs, tempC: note.tempC } : null,
      setAtMs,
    },
    nowMs,
  );
}

const tenths = (value: number | null): number | null => (value === null ? null : Math.round(10 * value) / 10);

/** The pots in use as they stand. */
export function livePots(db: Db, nowMs: number): readonly LivePot[] {
  const { windows } = heard();
  return readPots(db).map(({ pot, product }) => {
    const setAtMs = lastSet(db, pot.id)?.atMs;
    const standing = standingOf(db, pot, setAtMs, nowMs);
    const next = windows.get(pot.productId);
    return {
      id: pot.id,
      productId: pot.productId,
      name: product.name,
      tempC: tenths(standing.tempC),
      from: standing.from,
      isSimulated: pot.sensor === 'simulated',
      atMs: standing.atMs,
      way: standing.way,
      isSilent: standing.isSilent,
      apartK: tenths(standing.apartK),
      setC: pot.setC,
      isOverSet: isOverSet(standing, { setC: pot.setC, setAtMs }, nowMs),
      next: next
        ? {
            startsAtMs: next.startsAtMs,
            minC: next.minC,
            maxC: next.maxC,
            at: standing.tempC === null ? null : inWindow(standing.tempC, next),
          }
        : null,
    };
  });
}

/** What a page would show: half a degree more or less is not told. */
const shown = (pots: readonly LivePot[]): string =>
  JSON.stringify(
    pots.map(({ atMs, tempC, ...rest }) => ({
      ...rest,
      tempC: tempC === null ? null : Math.round(2 * tempC),
      by: rest.from === 'hand' ? atMs : null,
    })),
  );

/** Tells the pages, where there is something to tell or it is time. */
export function tellPots(db: Db, nowMs: number): void {
  const state = heard();
  const pots = livePots(db, nowMs);
  if (pots.length === 0 && state.told === '') return;
  const now = shown(pots);
  if (now === state.told && nowMs - state.toldAtMs < BEAT_MS) return;
  state.told = pots.length === 0 ? '' : now;
  state.toldAtMs = nowMs;
  tell({ kind: 'pots', pots });
}

/** Writes down once a minute what the probes tell. */
export function keepHeats(db: Db, nowMs: number): void {
  const { keptAtMs } = heard();
  for (const pot of livePots(db, nowMs)) {
    if (pot.from !== 'probe' || pot.tempC === null || nowMs - (keptAtMs.get(pot.id) ?? 0) < WRITTEN_MS) continue;
    keptAtMs.set(pot.id, nowMs);
    insertPotHeat(db, { potId: pot.id, atMs: nowMs, tempC: pot.tempC });
  }
}
