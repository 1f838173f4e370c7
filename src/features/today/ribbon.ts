// Places on the ribbon: the day's hours across, each visit where it lies, in shares of the width.

import type { TodayVisit } from '@/server/services/today';

const HOUR_MS = 3_600_000;

export interface Ribbon {
  readonly fromMs: number;
  readonly toMs: number;
  readonly hours: readonly number[];
}

/** From the hour before the first visit to the hour after the last. */
export function ribbonOf(visits: readonly TodayVisit[], nowMs: number): Ribbon {
  const starts = visits.map((v) => v.startsAtMs);
  const ends = visits.map((v) => v.startsAtMs + v.minutes * 60_000);
  const first = visits.length === 0 ? nowMs : Math.min(...starts);
  const last = visits.length === 0 ? nowMs + 4 * HOUR_MS : Math.max(...ends);
  const fromMs = Math.floor(first / HOUR_MS) * HOUR_MS - (first % HOUR_MS < HOUR_MS / 6 ? HOUR_MS / 2 : 0);
  const toMs = Math.ceil((last + HOUR_MS / 6) / HOUR_MS) * HOUR_MS;
  const hours = Array.from(
    { length: Math.floor((toMs - fromMs) / HOUR_MS) + 1 },
    (_, i) => Math.ceil(fromMs / HOUR_MS) * HOUR_MS + i * HOUR_MS,
  ).filter((h) => h <= toMs);
  return { fromMs, toMs, hours };
}

export const shareOf = (ribbon: Ribbon, atMs: number): number => (atMs - ribbon.fromMs) / (ribbon.toMs - ribbon.fromMs);

/** A visit's parts in minutes, stretched or shortened to its booked time by the turnover at the end. */
export function bandParts(visit: TodayVisit): readonly { readonly name: string; readonly minutes: number }[] {
  const { prepareMin, layPullMin, readMin, finishMin } = visit.parts;
  const worked = prepareMin + layPullMin + readMin + finishMin;
  return [
    { name: 'prepare', minutes: prepareMin },
    { name: 'lay and pull', minutes: layPullMin },
    { name: 'read', minutes: readMin },
    { name: 'finish', minutes: finishMin },
    { name: 'turnover and spare', minutes: Math.max(0, visit.minutes - worked) },
  ];
}
