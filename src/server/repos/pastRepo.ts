// What is read of all of a client's visits at once: last charts, lengths, marks, readings, journals, care.

import { and, asc, desc, eq, isNull, lt, sql } from 'drizzle-orm';
import type { Side, ZoneId } from '../../core/anatomy';
import type { TableEvent } from '../../core/hands';
import type { DbOrTx } from '../db/openDatabase';
import {
  careTold,
  charts,
  readings,
  tableJournal,
  visits,
  type ChartData,
  type Reading,
  type ZoneRef,
} from '../db/schema';

import { eventOf } from './journalRepo';
import type { ChartRow, ReadingRow } from './visitRepo';

/** The latest chart of each zone of a client's visits that were done, with the reading beside it. */
export interface PastZone {
  readonly zone: string;
  readonly side: Side;
  readonly onDate: string;
  readonly data: ChartData;
  readonly reading: Reading | null;
}

interface ClientZones {
  readonly clientId: string;
  /** Only visits of an earlier day. */
  readonly beforeDate?: string | undefined;
}

const doneBefore = ({ clientId, beforeDate }: ClientZones) =>
  and(
    eq(visits.clientId, clientId),
    eq(visits.status, 'closed'),
    isNull(visits.endedAs),
    ...(beforeDate === undefined ? [] : [lt(visits.onDate, beforeDate)]),
  );

export function lastZones(db: DbOrTx, of: ClientZones): PastZone[] {
  const rows = db
    .select({ visitId: visits.id, onDate: visits.onDate, zone: charts.zone, side: charts.side })
    .from(visits)
    .innerJoin(charts, eq(charts.visitId, visits.id))
    .where(doneBefore(of))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs), asc(charts.place))
    .all();
  const last = new Map<string, (typeof rows)[number]>();
  for (const r of rows) if (!last.has(`${r.zone}/${r.side}`)) last.set(`${r.zone}/${r.side}`, r);
  return [...last.values()].flatMap(({ visitId, onDate, zone, side }) => {
    const at = <T extends typeof charts | typeof readings>(t: T) =>
      and(eq(t.visitId, visitId), eq(t.zone, zone), eq(t.side, side));
    const chart = db.select({ data: charts.data }).from(charts).where(at(charts)).get();
    const read = db.select({ data: readings.data }).from(readings).where(at(readings)).get();
    return chart ? [{ zone, side, onDate, data: chart.data, reading: read?.data ?? null }] : [];
  });
}

/** Lengths charted at a client's visits that were done, oldest first; read out of the charts by SQLite. */
export const pastLengths = (
  db: DbOrTx,
  of: ClientZones,
): { readonly zone: string; readonly side: Side; readonly on: string; readonly lengthMm: number }[] =>
  db
    .select({
      zone: charts.zone,
      side: charts.side,
      on: visits.onDate,
      lengthMm: sql<number | null>`case when json_valid(${charts.data}) then ${charts.data} ->> '$.hair.lengthMm' end`,
    })
    .from(visits)
    .innerJoin(charts, eq(charts.visitId, visits.id))
    .where(doneBefore(of))
    .orderBy(asc(visits.onDate), asc(visits.createdAtMs), asc(charts.place))
    .all()
    .flatMap((r) => (typeof r.lengthMm === 'number' ? [{ ...r, lengthMm: r.lengthMm }] : []));

/** Per zone the latest chart that someone looked at, else the first one, of closed visits, done or not. */
export function lookedAtCharts(db: DbOrTx, clientId: string, but?: string): ChartRow[] {
  const rows = db
    .select({
      visitId: charts.visitId,
      zone: charts.zone,
      side: charts.side,
      confirmed: sql<number>`coalesce(case when json_valid(${charts.data}) then ${charts.data} ->> '$.confirmed' end, 0)`,
    })
    .from(visits)
    .innerJoin(charts, eq(charts.visitId, visits.id))
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed')))
    .orderBy(asc(visits.onDate), asc(visits.createdAtMs), asc(charts.place))
    .all();
  const found = new Map<string, (typeof rows)[number]>();
  for (const r of rows) {
    const key = `${r.zone}/${r.side}`;
    if (r.visitId !== but && (r.confirmed === 1 || !found.has(key))) found.set(key, r);
  }
  return [...found.values()].flatMap(
    ({ visitId, zone, side }) =>
      db
        .select()
        .from(charts)
        .where(and(eq(charts.visitId, visitId), eq(charts.zone, zone), eq(charts.side, side)))
        .get() ?? [],
  );
}

/** Charts and readings of all of a client's visits, by visit. */
export function chartsOfClient(db: DbOrTx, clientId: string): ReadonlyMap<string, readonly ZoneRef[]> {
  const rows = db
    .select({ visitId: charts.visitId, zone: charts.zone, side: charts.side })
    .from(charts)
    .innerJoin(visits, eq(visits.id, charts.visitId))
    .where(eq(visits.clientId, clientId))
    .orderBy(asc(charts.place))
    .all();
  // zones are checked on the way in
  return groupedBy(
    rows,
    (r) => r.visitId,
    (r) => ({ zone: r.zone as ZoneId, side: r.side }),
  );
}
export function readingsOfClient(db: DbOrTx, clientId: string): ReadonlyMap<string, readonly ReadingRow[]> {
  const rows = db
    .select({ row: readings })
    .from(readings)
    .innerJoin(visits, eq(visits.id, readings.visitId))
    .where(eq(visits.clientId, clientId))
    .all();
  return groupedBy(
    rows,
    (r) => r.row.visitId,
    (r) => r.row,
  );
}
export function fullChartsOfClient(db: DbOrTx, clientId: string): ReadonlyMap<string, readonly ChartRow[]> {
  const rows = db
    .select({ row: charts })
    .from(charts)
    .innerJoin(visits, eq(visits.id, charts.visitId))
    .where(eq(visits.clientId, clientId))
    .orderBy(asc(charts.place))
    .all();
  return groupedBy(
    rows,
    (r) => r.row.visitId,
    (r) => r.row,
  );
}
export function journalsOfClient(db: DbOrTx, clientId: string): ReadonlyMap<string, readonly TableEvent[]> {
  const rows = db
    .select({ row: tableJournal })
    .from(tableJournal)
    .innerJoin(visits, eq(visits.id, tableJournal.visitId))
    .where(eq(visits.clientId, clientId))
    .orderBy(asc(tableJournal.seq))
    .all();
  return groupedBy(
    rows,
    (r) => r.row.visitId,
    (r) => eventOf(r.row),
  );
}
export function careOfClient(
  db: DbOrTx,
  clientId: string,
): ReadonlyMap<string, readonly { readonly whenTold: string; readonly text: string }[]> {
  const rows = db
    .select({ visitId: careTold.visitId, whenTold: careTold.whenTold, text: careTold.text })
    .from(careTold)
    .innerJoin(visits, eq(visits.id, careTold.visitId))
    .where(eq(visits.clientId, clientId))
    .orderBy(asc(careTold.place))
    .all();
  return groupedBy(
    rows,
    (r) => r.visitId,
    ({ whenTold, text }) => ({ whenTold, text }),
  );
}
function groupedBy<R, V>(rows: readonly R[], key: (r: R) => string, value: (r: R) => V): Map<string, V[]> {
  const groups = new Map<string, V[]>();
  for (const r of rows) {
    const group = groups.get(key(r));
    if (group) group.push(value(r));
    else groups.set(key(r), [value(r)]);
  }
  return groups;
}
