// 5 000 clients × 3 zones, as the thread is asked for them.

import { ZONES } from '../src/core/anatomy';
import { seededRandom } from '../src/core/shared';
import forecast, { type ForecastItem } from '../src/server/planning/forecast.thread';

const ITEMS = 15_000;
const SEED = 5000;
const ZONES_USED = 24;

function studioForecast(): readonly ForecastItem[] {
  const random = seededRandom(SEED);
  const zones = Object.values(ZONES).slice(0, ZONES_USED);
  return Array.from({ length: ITEMS }, (_, k): ForecastItem => {
    const zone = zones[k % zones.length] ?? ZONES.underarm;
    const person = { rateFactor: Math.exp(0.25 * random.normal()), lagShiftDays: 1.5 * random.normal() };
    return { zone: zone.id, shortestMm: 4 * zone.shortestFactor, longestMm: 13, person };
  });
}

type Measure = (what: string, aimMs: number | null, run: () => unknown, runs: number, warm: number) => void;

/** The first time it makes its tables, then it has them. */
export function benchForecast(measure: Measure): void {
  const items = studioForecast();
  measure('forecast of 5 000 clients × 3 zones, tables and all', 5000, () => forecast(items), 1, 0);
  measure('forecast of 5 000 clients × 3 zones, again', null, () => forecast(items), 5, 1);
}
