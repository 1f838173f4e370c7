// What is read of all of a client's visits at once: last charts, lengths, marks, readings, journals, care.

import { zoneKey } from '../../core/anatomy';
import { and, asc, desc, eq, gte, isNull, lt, sql } from 'drizzle-orm';
import type { Side, ZoneId } from '../../core/anatomy';
import { readable } from '../db/json';
import type { DbOrTx } from '../db/openDatabase';
import { upChart } from '../db/upChart';
import { prepared } from '../db/prepared';
import { careTold, charts, readings, visits, type ChartData, type Reading, type ZoneRef } from '../db/schema';

import type { ChartRow, ReadingRow } from './visitRepo';

/** What was charted of one zone at one visit that was done. */
export interface PastLine {
  readonly visitId: string;
  readonly zone: string;
  readonly side: Side;
  readonly onDate: string;
  /** Null where the chart cannot be read. */
  readonly lengthMm: number | null;
}

interface ClientZones {
  readonly clientId: string;
  /** Only visits of an earlier day. */
  readonly beforeDate?: string | undefined;
}

/** Later than every civil date. */
export const NO_DATE = '9999-12-31';
const value = sql.placeholder;

const linesDone = prepared((db) =>
  db
    .select({
      visitId: visits.id,
      onDate: visits.onDate,
      zone: charts.zone,
      side: charts.side,
      lengthMm: charts.lengthMm,
    })
    .from(visits)
    .innerJoin(charts, eq(charts.visitId, visits.id))
    .where(
      and(
        eq(visits.clientId, value('clientId')),
        eq(visits.status, 'closed'),
        isNull(visits.endedAs),
        lt(visits.onDate, value('beforeDate')),
      ),
    )
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs), asc(charts.place))
    .prepare(),
);
/** Every zone of a client's visits that were done, latest visit first; out of an index, no chart is read. */
export const pastLines = (db: DbOrTx, { clientId, beforeDate }: ClientZones): readonly PastLine[] =>
  linesDone(db).all({ clientId, beforeDate: beforeDate ?? NO_DATE });

const at = (t: typeof charts | typeof readings) =>
  and(eq(t.visitId, value('visitId')), eq(t.zone, value('zone')), eq(t.side, value('side')));
const chartAt = prepared((db) => db.select().from(charts).where(at(charts)).prepare());
const readingAt = prepared((db) => db.select({ data: readings.data }).from(readings).where(at(readings)).prepare());

/** The chart and the reading of one zone at one visit. */
export function chartAndReading(
  db: DbOrTx,
  { visitId, zone, side }: PastLine,
): { readonly data: ChartData; readonly reading: Reading | null } | undefined {
  const chart = chartAt(db).get({ visitId, zone, side });
  const found = readingAt(db).get({ visitId, zone, side });
  // a reading that cannot be read is none
  const reading = found ? readable((): Reading | null => ({ ...found.data }), null) : null;
  return chart && { data: upChart(chart).data, reading };
}

const chartsClosed = prepared((db) =>
  db
    .select({ visitId: charts.visitId, zone: charts.zone, side: charts.side, lookedAt: charts.lookedAt })
    .from(visits)
    .innerJoin(charts, eq(charts.visitId, visits.id))
    .where(and(eq(visits.clientId, value('clientId')), eq(visits.status, 'closed')))
    .orderBy(asc(visits.onDate), asc(visits.createdAtMs), asc(charts.place))
    .prepare(),
);
/** Per zone the latest chart that someone looked at, else the first one, of closed visits, done or not. */
export function lookedAtCharts(db: DbOrTx, clientId: string, but?: string): ChartRow[] {
  const rows = chartsClosed(db).all({ clientId });
  const found = new Map<string, (typeof rows)[number]>();
  for (const r of rows) {
    const key = zoneKey(r);
    if (r.visitId !== but && (r.lookedAt || !found.has(key))) found.set(key, r);
  }
  return [...found.values()].flatMap(({ visitId, zone, side }) => {
    const row = chartAt(db).get({ visitId, zone, side });
    return row ? [upChart(row)] : [];
  });
}

/** Zones charted at a client's visits, by visit. @param from only of visits of this civil date or later */
export function chartsOfClient(db: DbOrTx, clientId: string, from = ''): ReadonlyMap<string, readonly ZoneRef[]> {
  const rows = db
    .select({ visitId: charts.visitId, zone: charts.zone, side: charts.side })
    .from(charts)
    .innerJoin(visits, eq(visits.id, charts.visitId))
    .where(and(eq(visits.clientId, clientId), gte(visits.onDate, from)))
    .orderBy(asc(charts.place))
    .all();
  // zones are checked on the way in
  return groupedBy(
    rows,
    (r) => r.visitId,
    (r) => ({ zone: r.zone as ZoneId, side: r.side }),
  );
}
/**
 * Readings of a client by visit; one that cannot be read is left out.
 * @param from only of visits of this civil date or later
 */
export function readingsOfClient(db: DbOrTx, clientId: string, from = ''): ReadonlyMap<string, readonly ReadingRow[]> {
  const rows = db
    .select({ row: readings })
    .from(readings)
    .innerJoin(visits, eq(visits.id, readings.visitId))
    .where(and(eq(visits.clientId, clientId), gte(visits.onDate, from)))
    .all();
  return groupedBy(
    rows.filter((r) => readable(() => ({ ...r.row.data }), null) !== null),
    (r) => r.row.visitId,
    (r) => r.row,
  );
}
const careByVisit = prepared((db) =>
  db
    .select({ whenTold: careTold.whenTold, text: careTold.text })
    .from(careTold)
    .where(eq(careTold.visitId, value('visitId')))
    .orderBy(asc(careTold.place))
    .prepare(),
);
/** The care told at a visit. */
export const careOf = (db: DbOrTx, visitId: string): { readonly whenTold: string; readonly text: string }[] =>
  careByVisit(db).all({ visitId });
function groupedBy<R, V>(rows: readonly R[], key: (r: R) => string, value: (r: R) => V): Map<string, V[]> {
  const groups = new Map<string, V[]>();
  for (const r of rows) {
    const group = groups.get(key(r));
    if (group) group.push(value(r));
    else groups.set(key(r), [value(r)]);
  }
  return groups;
}
