import { and, asc, desc, eq, isNotNull, isNull, ne, sql } from 'drizzle-orm';
import type { Side, ZoneId } from '../../core/anatomy';
import type { Fact } from '../../core/screening';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { careTold, charts, readings, visits, type Reading, type ZoneRef } from '../db/schema';
import { DamagedValue, readable } from '../db/json';
import { upChart } from '../db/upChart';
import { upConsult } from '../db/upSteps';

export type VisitRow = typeof visits.$inferSelect;
export type ChartRow = typeof charts.$inferSelect;

/** One that cannot be read takes no list down: it is left out here and counted by `damagedVisits`. */
const readableVisits = (rows: readonly VisitRow[]): VisitRow[] =>
  rows.flatMap((row) => readable((): VisitRow[] => [upVisit(row)], []));

const upVisit = (row: VisitRow): VisitRow => ({ ...row, consult: upConsult(row.consult) });

const visitById = prepared((db) =>
  db
    .select()
    .from(visits)
    .where(eq(visits.id, sql.placeholder('id')))
    .prepare(),
);
export const readVisit = (db: DbOrTx, id: string): VisitRow | undefined => {
  const row = visitById(db).get({ id });
  return row && upVisit(row);
};
const visitByBooking = prepared((db) =>
  db
    .select()
    .from(visits)
    .where(eq(visits.bookingId, sql.placeholder('bookingId')))
    .prepare(),
);
export const visitOfBooking = (db: DbOrTx, bookingId: string): VisitRow | undefined => {
  const row = visitByBooking(db).get({ bookingId });
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

/** Visits of a client that were done, latest first; the latest `most` of them. */
export const closedVisits = (db: DbOrTx, clientId: string, most = Number.MAX_SAFE_INTEGER): VisitRow[] =>
  readableVisits(
    db
      .select()
      .from(visits)
      .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs)))
      .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
      .limit(most)
      .all(),
  );
/** Visits of a client that are not ended. */
export const openVisitsOf = (db: DbOrTx, clientId: string): VisitRow[] =>
  db
    .select()
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'open')))
    .all();
/** Visits of a client that were put off or declined, latest first. */
export const visitsNotDone = (db: DbOrTx, clientId: string): VisitRow[] =>
  readableVisits(
    db
      .select()
      .from(visits)
      .where(and(eq(visits.clientId, clientId), isNotNull(visits.endedAs)))
      .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
      .all(),
  );
export type VisitHead = Pick<VisitRow, 'id' | 'onDate' | 'status' | 'endedAs' | 'personId'>;
/** Every visit of a client, latest first: done, put off, declined and open. */
export const visitHeads = (db: DbOrTx, clientId: string): VisitHead[] =>
  db
    .select({
      id: visits.id,
      onDate: visits.onDate,
      status: visits.status,
      endedAs: visits.endedAs,
      personId: visits.personId,
    })
    .from(visits)
    .where(eq(visits.clientId, clientId))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
    .all();
/** The consultation of a visit. Throws `DamagedValue` where it cannot be read. */
export function readConsult(db: DbOrTx, id: string): VisitRow['consult'] {
  const row = readVisit(db, id);
  if (!row) throw new DamagedValue('the visit is gone');
  return { ...row.consult };
}
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
/** What a client answered no to at the last visit that was done before this one, and when. */
export function saidNoBefore(
  db: DbOrTx,
  { id, clientId }: Pick<VisitRow, 'id' | 'clientId'>,
): { readonly on: string; readonly facts: readonly Fact[] } | null {
  const row = db
    .select()
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs), ne(visits.id, id)))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
    .limit(1)
    .get();
  if (!row) return null;
  const { asked, facts } = upVisit(row).consult;
  return { on: row.onDate, facts: asked.filter((fact) => !facts.some((f) => f.fact === fact)) };
}
const countVisits = prepared((db) =>
  db
    .select({ n: sql<number>`count(*)` })
    .from(visits)
    .where(and(eq(visits.clientId, sql.placeholder('clientId')), eq(visits.status, 'closed'), isNull(visits.endedAs)))
    .prepare(),
);
export const visitCount = (db: DbOrTx, clientId: string): number => countVisits(db).get({ clientId })?.n ?? 0;

const chartsByVisit = prepared((db) =>
  db
    .select()
    .from(charts)
    .where(eq(charts.visitId, sql.placeholder('visitId')))
    .orderBy(asc(charts.place))
    .prepare(),
);
export const chartsOf = (db: DbOrTx, visitId: string): ChartRow[] => chartsByVisit(db).all({ visitId }).map(upChart);
/** @param version of the visit at which it is written */
export function putChart(
  db: DbOrTx,
  visitId: string,
  { zone, side }: ZoneRef,
  { place, data, version }: Pick<ChartRow, 'place' | 'data' | 'version'>,
): void {
  const set = { data, place, version, lengthMm: data.hair.lengthMm, lookedAt: data.confirmed };
  db.insert(charts)
    .values({ visitId, zone, side, ...set })
    .onConflictDoUpdate({ target: [charts.visitId, charts.zone, charts.side], set })
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

const readingsByVisit = prepared((db) =>
  db
    .select()
    .from(readings)
    .where(eq(readings.visitId, sql.placeholder('visitId')))
    .prepare(),
);
export const readingsOf = (db: DbOrTx, visitId: string): (typeof readings.$inferSelect)[] =>
  readingsByVisit(db).all({ visitId });
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

const TIMED_OWN = 12;
const TIMED_OTHERS = 40;
const isTimed = () =>
  and(eq(visits.status, 'closed'), isNull(visits.endedAs), isNotNull(visits.plannedMin), isNotNull(visits.tableMin));
export interface TimedRow {
  readonly id: string;
  readonly onDate: string;
  readonly plannedMin: number;
  readonly tableMin: number;
}
const timed = { id: visits.id, onDate: visits.onDate, plannedMin: visits.plannedMin, tableMin: visits.tableMin };
interface MaybeTimed extends Omit<TimedRow, 'plannedMin' | 'tableMin'> {
  readonly plannedMin: number | null;
  readonly tableMin: number | null;
}
const whole = (rows: readonly MaybeTimed[]): TimedRow[] =>
  rows.map((r) => ({ ...r, plannedMin: r.plannedMin ?? 0, tableMin: r.tableMin ?? 0 }));
/** The latest visits of a client of which it is known how long they took, oldest first. */
export const timedOfClient = (db: DbOrTx, clientId: string): TimedRow[] =>
  whole(
    db
      .select(timed)
      .from(visits)
      .where(and(eq(visits.clientId, clientId), isTimed()))
      .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
      .limit(TIMED_OWN)
      .all(),
  ).reverse();
/** The latest of a practitioner with other clients. */
export const timedOfPerson = (db: DbOrTx, personId: string, butClient: string): TimedRow[] =>
  whole(
    db
      .select(timed)
      .from(visits)
      .where(and(eq(visits.personId, personId), ne(visits.clientId, butClient), isTimed()))
      .orderBy(desc(visits.closedAtMs))
      .limit(TIMED_OTHERS)
      .all(),
  );

export const visitsOfClientIds = (db: DbOrTx, clientId: string): readonly string[] =>
  db
    .select({ id: visits.id })
    .from(visits)
    .where(eq(visits.clientId, clientId))
    .all()
    .map((v) => v.id);
