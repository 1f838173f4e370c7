// Ready windows of many clients, beside the thread that answers requests. Bundled at build (scripts/ready.mjs).

import { ZONES, type ZoneId } from '@/core/anatomy';
import { readyBy, readyTable, type PersonalGrowth, type ReadyTable } from '@/core/hair';

export interface ForecastItem {
  readonly zone: ZoneId;
  /** What the product holds there, mm. */
  readonly shortestMm: number;
  readonly longestMm: number;
  readonly person: PersonalGrowth;
}

/** Days after the wax; null = never within the horizon. */
export type Forecast = readonly [fromDay: number, toDay: number] | null;

const tables = new Map<string, ReadyTable>();

/** The windows in the order of the items. */
export default function forecast(items: readonly ForecastItem[]): readonly Forecast[] {
  return items.map(({ zone, shortestMm, longestMm, person }): Forecast => {
    const key = `${zone} ${shortestMm} ${longestMm}`;
    const table = tables.get(key) ?? readyTable(ZONES[zone].growth, 'regular', { shortestMm, longestMm });
    tables.set(key, table);
    const window = readyBy(table, person);
    return window && [window.fromDay, window.toDay];
  });
}
