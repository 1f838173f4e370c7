// What is known of a client's zones from closed visits: last chart, lengths measured, last reading.

import type { ZoneId } from '../../core/anatomy';
import { ZONES, zoneKey } from '../../core/anatomy';
import { eraseStrokes, fitChart, type BarePlace, type Stroke } from '../../core/field';
import { observationsOf, typicalVisibleLength, type HairFlag, type PastLength } from '../../core/hair';
import { daysBetween } from '../../core/shared';
import type { DbOrTx } from '../db/openDatabase';
import { learnedGrowth } from './learned';
import type { ChartData, ChartMark, Reading } from '../db/schema';
import { chartAndReading, lookedAtCharts, pastLines, type PastLine } from '../repos/pastRepo';
import { type VisitRow } from '../repos/visitRepo';

export interface ZonePast {
  readonly last: ChartData;
  readonly lastOn: string;
  readonly lastReading: Reading | null;
  /** Lengths measured at earlier visits, oldest first. */
  readonly past: readonly PastLength[];
}

/** Per zone, what closed visits of earlier days have left. */
export function zonePasts(
  db: DbOrTx,
  clientId: string,
  before?: Pick<VisitRow, 'onDate'>,
): ReadonlyMap<string, ZonePast> {
  const lines = new Map<string, PastLine[]>();
  for (const line of pastLines(db, { clientId, beforeDate: before?.onDate })) {
    const key = zoneKey(line);
    const known = lines.get(key);
    if (known) known.push(line);
    else lines.set(key, [line]);
  }
  const pasts = [...lines].flatMap(([key, ofZone]): [string, ZonePast][] => {
    const [last] = ofZone;
    const found = last && chartAndReading(db, last);
    if (!found) return [];
    const past = ofZone.reverse().flatMap((l) => (l.lengthMm === null ? [] : [{ on: l.onDate, lengthMm: l.lengthMm }]));
    return [[key, { last: found.data, lastOn: last.onDate, lastReading: found.reading, past }]];
  });
  return new Map(pasts);
}

const LAPSED_DAYS = 90;

/** Length and history of hair that was never charted here: as a first time, or as it grows after the last wax. */
function unchartedHair(
  zone: ZoneId,
  workedOn: string | undefined,
  on: string,
): Pick<ChartData['hair'], 'lengthMm' | 'history'> {
  if (workedOn === undefined) return { lengthMm: 6, history: 'first' };
  const days = Math.max(1, daysBetween(workedOn, on));
  const usual = { rateFactor: 1, lagShiftDays: 0 };
  const mm = roundHalf(typicalVisibleLength(ZONES[zone].growth, 'regular', usual, days));
  return {
    lengthMm: Math.min(LONGEST_FORECAST_MM, Math.max(0.5, mm)),
    history: days > LAPSED_DAYS ? 'lapsed' : 'regular',
  };
}

const roundHalf = (mm: number): number => Math.round(mm * 2) / 2;
const LONGEST_FORECAST_MM = 25;

/** Marks and the size of the sheet that they lie on, where it was kept. */
export interface KnownMarks {
  readonly marks: readonly ChartMark[];
  readonly onCm?: readonly [number, number] | undefined;
}

const knownOn = (data: ChartData): KnownMarks => ({ marks: data.marks, onCm: data.sheetCm ?? data.drawnOnCm });

/**
 * Marks that stay with the client, per zone: those of the latest chart that someone looked at, whether the visit was
 * done or put off.
 */
export const clientMarks = (db: DbOrTx, clientId: string, but?: string): ReadonlyMap<string, KnownMarks> =>
  new Map(lookedAtCharts(db, clientId, but).map((c) => [zoneKey(c), knownOn(c.data)]));

/** Old strokes this near to one that was taken over give way to it, cm. */
const GIVES_WAY_CM = 1;

/** What the last reading has taught the chart: growth that was found otherwise, places without hair. */
function learnedFrom({ last, lastOn, lastReading }: ZonePast): {
  readonly strokes: readonly Stroke[];
  readonly bare: readonly BarePlace[];
} {
  const { combed = [], bare = [] } = lastReading ?? {};
  const kept = combed.reduce((strokes, s) => eraseStrokes(strokes, s.at, GIVES_WAY_CM), last.strokes);
  return {
    strokes: [...kept, ...combed],
    bare: [...(last.bare ?? []), ...bare.map((b): BarePlace => ({ ...b, on: lastOn }))],
  };
}

/** What changes from visit to visit is assessed anew; how the hair stands is expected again. */
const LASTING_FLAGS: readonly HairFlag[] = ['flat', 'layers'];

/**
 * The chart to begin with: last time's, its length as this client's growth makes it likely on the date; known marks are
 * to be looked at again.
 */
export function startingChart(
  zone: ZoneId,
  past: ZonePast | undefined,
  on: string,
  known: KnownMarks = past ? knownOn(past.last) : { marks: [] },
  /** Last day on which it was worked before this book; absent = never, or nobody has said so. */
  workedOn?: string | undefined,
): ChartData {
  // growth may come from a chart of another size than the marks: they move to its sheet, so that both move on together
  const onCm = past?.last.sheetCm ?? past?.last.drawnOnCm ?? known.onCm;
  const marks = fitChart({ strokes: [], marks: known.marks }, known.onCm ?? onCm ?? [1, 1], onCm ?? [1, 1]).marks.map(
    (m): ChartMark => ({ ...m, unseen: true }),
  );
  const drawnOn = onCm ? { drawnOnCm: onCm } : {};
  if (!past) {
    return {
      v: 1,
      hair: { coarseness: 3, density: 3, curl: 1, ...unchartedHair(zone, workedOn, on) },
      strokes: [],
      marks,
      ...drawnOn,
      product: null,
      way: null,
      reason: '',
      confirmed: false,
    };
  }
  const { growth } = ZONES[zone];
  const history =
    past.last.hair.history === 'first' || past.last.hair.history === 'shaved' ? 'regular' : past.last.hair.history;
  const days = daysBetween(past.lastOn, on);
  const hair = { ...past.last.hair, history, lastWaxOn: past.lastOn, past: past.past.slice(0, -1) };
  const learned = learnedGrowth(
    growth,
    history,
    past.past.length > 1 ? observationsOf({ ...hair, lengthMm: past.last.hair.lengthMm }, past.lastOn) : [],
  );
  const lengthMm = Math.min(
    LONGEST_FORECAST_MM,
    Math.max(0.5, roundHalf(typicalVisibleLength(growth, history, learned.person, Math.max(1, days)))),
  );
  const { coarseness, density, curl } = past.last.hair;
  const lasting = (past.last.hair.flags ?? []).filter((f) => LASTING_FLAGS.includes(f));
  const { strokes, bare } = learnedFrom(past);
  // strips by hand belong to the hair of their day
  return {
    ...past.last,
    ...drawnOn,
    strokes,
    ...(bare.length > 0 ? { bare } : {}),
    handStrips: undefined,
    marks,
    hair: {
      coarseness,
      density,
      curl,
      ...(lasting.length > 0 ? { flags: lasting } : {}),
      history: days > LAPSED_DAYS ? 'lapsed' : history,
      lengthMm,
    },
    reason: past.last.product ? past.last.reason : '',
    confirmed: false,
  };
}
