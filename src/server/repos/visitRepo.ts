import { and, asc, desc, eq, gt, isNull, lt, sql } from 'drizzle-orm';
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
import { readable } from '../db/json';
import { upConsult } from '../db/upSteps';

export type VisitRow = typeof visits.$inferSelect;
export type ChartRow = typeof charts.$inferSelect;

/** One that cannot be read takes no list down: it is left out here and counted by `damagedVisits`. */
const readableVisits = (rows: readonly VisitRow[]): VisitRow[] =>
  rows.flatMap((row) => readable((): VisitRow[] => [upVisit(row)], []));

const upVisit = (row: VisitRow): VisitRow => ({ ...row, consult: upConsult(row.consult) });

export const readVisit = (db: DbOrTx, id: string): VisitRow | undefined => {
  const row = db.select().from(visits).where(eq(visits.id, id)).get();
  return row && upVisit(row);
};
export const visitOfBooking = (db: DbOrTx, bookingId: string): VisitRow | undefined => {
  const row = db.select().from(visits).where(eq(visits.bookingId, bookingId)).get();
  return row && upVisit(row);
};
export const insertVisit = (db: DbOrTx, row: typeof visits.$inferInsert): void => {
  db.insert(visits).values(row).run();
};

/** Raises the version and writes the given columns if the version still stands. */
export function updateVisit(
  db: DbOrTx,
  id: string,
  version: number,
  row: Partial<typeof visits.$inferInsert>,
): boolean {
  return (
    db
      .update(visits)
      .set({ ...row, version: version + 1 })
      .where(and(eq(visits.id, id), eq(visits.version, version)))
      .run().changes === 1
  );
}

/** Fixes the plan by which the table works. */
export const setPlanHash = (db: DbOrTx, id: string, planHash: string | null): void => {
  db.update(visits).set({ planHash }).where(eq(visits.id, id)).run();
};

/** Visits of a client that were done, latest first. */
export const closedVisits = (db: DbOrTx, clientId: string): VisitRow[] =>
  readableVisits(
    db
      .select()
      .from(visits)
      .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs)))
      .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
      .all(),
  );
/** Every visit of a client, latest first: done, put off, declined and open. */
export const allVisits = (db: DbOrTx, clientId: string): VisitRow[] =>
  readableVisits(
    db
      .select()
      .from(visits)
      .where(eq(visits.clientId, clientId))
      .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
      .all(),
  );
/** How many visits of a client cannot be read. */
export const damagedVisits = (db: DbOrTx, clientId: string): number =>
  db
    .select({ n: sql<number>`count(*)` })
    .from(visits)
    .where(and(eq(visits.clientId, clientId), sql`not json_valid(${visits.consult})`))
    .get()?.n ?? 0;
/** Day of a client's last visit that was done; null for a newcomer. */
export const lastVisitOn = (db: DbOrTx, clientId: string): string | null =>
  db
    .select({ on: visits.onDate })
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs)))
    .orderBy(desc(visits.onDate))
    .limit(1)
    .get()?.on ?? null;
/** The consultation of a client's last visit that was done. */
export const lastConsult = (db: DbOrTx, clientId: string): VisitRow['consult'] | undefined => {
  const row = db
    .select()
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs)))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
    .limit(1)
    .get();
  return row && upVisit(row).consult;
};
export const visitCount = (db: DbOrTx, clientId: string): number =>
  db
    .select({ n: sql<number>`count(*)` })
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs)))
    .get()?.n ?? 0;

export const chartsOf = (db: DbOrTx, visitId: string): ChartRow[] =>
  db.select().from(charts).where(eq(charts.visitId, visitId)).orderBy(asc(charts.place)).all();
/** @param version of the visit at which it is written */
export function putChart(
  db: DbOrTx,
  visitId: string,
  { zone, side }: ZoneRef,
  { place, data, version }: Pick<ChartRow, 'place' | 'data' | 'version'>,
): void {
  db.insert(charts)
    .values({ visitId, zone, side, place, data, version })
    .onConflictDoUpdate({ target: [charts.visitId, charts.zone, charts.side], set: { data, place, version } })
    .run();
}
/** Moves a chart in the order of the zones; what is charted stays as it is. */
export const placeChart = (db: DbOrTx, visitId: string, { zone, side }: ZoneRef, place: number): void => {
  db.update(charts)
    .set({ place })
    .where(and(eq(charts.visitId, visitId), eq(charts.zone, zone), eq(charts.side, side)))
    .run();
};
export const dropChart = (db: DbOrTx, visitId: string, zone: ZoneId, side: Side): void => {
  db.delete(charts)
    .where(and(eq(charts.visitId, visitId), eq(charts.zone, zone), eq(charts.side, side)))
    .run();
};

/** An event with its place in the journal of all tables. */
export interface JournalEntry {
  readonly seq: number;
  readonly event: TableEvent;
}

/** @param after only what was written later than this place */
export const entriesOf = (db: DbOrTx, visitId: string, after = 0): JournalEntry[] =>
  db
    .select()
    .from(tableJournal)
    .where(and(eq(tableJournal.visitId, visitId), gt(tableJournal.seq, after)))
    .orderBy(asc(tableJournal.seq))
    .all()
    // kinds are checked on the way in
    .map((r) => ({ seq: r.seq, event: { id: r.id, atMs: r.atMs, kind: r.kind as TableEvent['kind'], ...r.data } }));
export const journalOf = (db: DbOrTx, visitId: string): TableEvent[] => entriesOf(db, visitId).map((e) => e.event);
export function appendEvents(db: DbOrTx, visitId: string, events: readonly TableEvent[]): void {
  for (const { id, atMs, kind, ...data } of events) {
    db.insert(tableJournal).values({ id, visitId, atMs, kind, data }).run();
  }
}
/** The visit to which an event id already belongs. */
export const visitOfEvent = (db: DbOrTx, id: string): string | undefined =>
  db.select({ visitId: tableJournal.visitId }).from(tableJournal).where(eq(tableJournal.id, id)).get()?.visitId;

export const readingsOf = (db: DbOrTx, visitId: string): (typeof readings.$inferSelect)[] =>
  db.select().from(readings).where(eq(readings.visitId, visitId)).all();
export type ReadingRow = typeof readings.$inferSelect;
/** @param version of the visit at which it is written */
export function putReading(db: DbOrTx, visitId: string, { zone, side }: ZoneRef, data: Reading, version: number): void {
  db.insert(readings)
    .values({ visitId, zone, side, data, version })
    .onConflictDoUpdate({ target: [readings.visitId, readings.zone, readings.side], set: { data, version } })
    .run();
}

export function putCare(
  db: DbOrTx,
  visitId: string,
  rows: readonly Omit<typeof careTold.$inferInsert, 'visitId' | 'place'>[],
): void {
  rows.forEach((row, place) =>
    db
      .insert(careTold)
      .values({ ...row, visitId, place })
      .onConflictDoNothing()
      .run(),
  );
}
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
function groupedBy<R, V>(rows: readonly R[], key: (r: R) => string, value: (r: R) => V): Map<string, V[]> {
  const groups = new Map<string, V[]>();
  for (const r of rows) {
    const group = groups.get(key(r));
    if (group) group.push(value(r));
    else groups.set(key(r), [value(r)]);
  }
  return groups;
}

export const careOf = (db: DbOrTx, visitId: string): { readonly whenTold: string; readonly text: string }[] =>
  db
    .select({ whenTold: careTold.whenTold, text: careTold.text })
    .from(careTold)
    .where(eq(careTold.visitId, visitId))
    .orderBy(asc(careTold.place))
    .all();
