// What is known of a client's zones from closed visits: last chart, lengths measured, last reading.

import type { Side, ZoneId } from '../../core/anatomy';
import { ZONES } from '../../core/anatomy';
import { learnGrowth, observationsOf, typicalVisibleLength, type PastLength } from '../../core/hair';
import { daysBetween } from '../../core/shared';
import type { DbOrTx } from '../db/openDatabase';
import type { ChartData, Reading } from '../db/schema';
import { chartsOf, closedVisits, readingsOf, type VisitRow } from '../repos/visitRepo';

export interface ZonePast {
  readonly last: ChartData;
  readonly lastOn: string;
  readonly lastReading: Reading | null;
  /** Lengths measured at earlier visits, oldest first. */
  readonly past: readonly PastLength[];
}

const keyOf = (zone: string, side: string): string => `${zone}/${side}`;

/** Per zone, what closed visits before a date have left. */
export function zonePasts(db: DbOrTx, clientId: string, before?: VisitRow): ReadonlyMap<string, ZonePast> {
  const pasts = new Map<string, { last: ChartData; lastOn: string; lastReading: Reading | null; past: PastLength[] }>();
  const closed = closedVisits(db, clientId).filter((v) => !before || v.onDate < before.onDate);
  for (const visit of [...closed].reverse()) {
    const read = new Map(readingsOf(db, visit.id).map((r) => [keyOf(r.zone, r.side), r.data]));
    for (const chart of chartsOf(db, visit.id)) {
      const key = keyOf(chart.zone, chart.side);
      const known = pasts.get(key);
      pasts.set(key, {
        last: chart.data, lastOn: visit.onDate, lastReading: read.get(key) ?? null,
        past: [...(known?.past ?? []), { on: visit.onDate, lengthMm: chart.data.hair.lengthMm }],
      });
    }
  }
  return pasts;
}

const roundHalf = (mm: number): number => Math.round(mm * 2) / 2;
const LONGEST_FORECAST_MM = 25;

/** The chart to begin with: last time's, its length as this client's growth makes it likely on the date. */
export function startingChart(zone: ZoneId, past: ZonePast | undefined, on: string): ChartData {
  if (!past) {
    return { v: 1, hair: { lengthMm: 6, coarseness: 3, density: 3, curl: 1, history: 'first' }, strokes: [], marks: [], product: null, way: null, reason: '', confirmed: false };
  }
  const { growth } = ZONES[zone];
  const history = past.last.hair.history === 'first' || past.last.hair.history === 'shaved' ? 'regular' : past.last.hair.history;
  const days = daysBetween(past.lastOn, on);
  const hair = { ...past.last.hair, history, lastWaxOn: past.lastOn, past: past.past.slice(0, -1) };
  const learned = learnGrowth(growth, history, past.past.length > 1 ? observationsOf({ ...hair, lengthMm: past.last.hair.lengthMm }, past.lastOn) : []);
  const lengthMm = Math.min(LONGEST_FORECAST_MM, Math.max(0.5, roundHalf(typicalVisibleLength(growth, history, learned.person, Math.max(1, days)))));
  return { ...past.last, hair: { ...past.last.hair, history: days > 90 ? 'lapsed' : history, lengthMm }, reason: past.last.product ? past.last.reason : '', confirmed: false };
}

export const zoneKeyOf = (ref: { readonly zone: ZoneId; readonly side: Side }): string => keyOf(ref.zone, ref.side);
