// The pots under the day: what stands in each, how warm it is and was, what the visits want of it.

import 'server-only';
import type { Product } from '../../core/products';
import { instantAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { livePots } from '../pots/live';
import { potHeatsBetween, readPots } from '../repos/potRepo';
import { readStudio } from '../repos/studioRepo';

export interface TodayPot {
  readonly id: string;
  readonly name: string;
  readonly product: Product;
  readonly waxG: number;
  readonly heaterW: number;
  readonly lid: boolean;
  readonly tempC: number | null;
  readonly setC: number | null;
  /** Heats of the day as they were written down, every few minutes. */
  readonly heats: readonly (readonly [atMs: number, tempC: number])[];
}

export interface TodayPots {
  readonly roomC: number;
  readonly pots: readonly TodayPot[];
}

const EVERY_MS = 5 * 60_000;

/** @param date the civil date of today */
export function todayPots(db: Db, date: string, nowMs: number): TodayPots {
  const studio = readStudio(db);
  const fromMs = instantAt(date, 0, 0, studio?.timeZone ?? 'UTC');
  const live = livePots(db, nowMs);
  return {
    roomC: studio?.settings.roomC ?? 22,
    pots: readPots(db).map(({ pot, product }) => {
      const now = live.find((p) => p.id === pot.id);
      const heats: (readonly [number, number])[] = [];
      for (const { atMs, tempC } of potHeatsBetween(db, pot.id, fromMs, nowMs)) {
        if (atMs - (heats.at(-1)?.[0] ?? 0) >= EVERY_MS) heats.push([atMs, tempC]);
      }
      const { id, waxG, setC, heaterW, lid } = pot;
      return { ...{ id, waxG, setC, heaterW, lid }, product, heats, name: product.name, tempC: now?.tempC ?? null };
    }),
  };
}
