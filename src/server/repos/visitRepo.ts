import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Side, ZoneId } from '../../core/anatomy';
import type { TableEvent } from '../../core/hands';
import type { Plan } from '../../core/plan';
import type { DbOrTx } from '../db/openDatabase';
import { careTold, charts, plans, readings, tableJournal, visits, type ChartData, type Reading } from '../db/schema';
import { upConsult, upPlan } from '../db/upSteps';

export type VisitRow = typeof visits.$inferSelect;
export type ChartRow = typeof charts.$inferSelect;

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
export const setPlanHash = (db: DbOrTx, id: string, planHash: string): void => {
  db.update(visits).set({ planHash }).where(eq(visits.id, id)).run();
};

/** Visits of a client that were done, latest first. */
export const closedVisits = (db: DbOrTx, clientId: string): VisitRow[] =>
  db
    .select()
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs)))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
    .all()
    .map(upVisit);
/** Every visit of a client, latest first: done, put off, declined and open. */
export const allVisits = (db: DbOrTx, clientId: string): VisitRow[] =>
  db
    .select()
    .from(visits)
    .where(eq(visits.clientId, clientId))
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
    .all()
    .map(upVisit);
export const visitCount = (db: DbOrTx, clientId: string): number =>
  db
    .select({ n: sql<number>`count(*)` })
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNull(visits.endedAs)))
    .get()?.n ?? 0;

export const chartsOf = (db: DbOrTx, visitId: string): ChartRow[] =>
  db.select().from(charts).where(eq(charts.visitId, visitId)).orderBy(asc(charts.place)).all();
export function putChart(db: DbOrTx, visitId: string, zone: ZoneId, side: Side, place: number, data: ChartData): void {
  db.insert(charts)
    .values({ visitId, zone, side, place, data })
    .onConflictDoUpdate({ target: [charts.visitId, charts.zone, charts.side], set: { data, place } })
    .run();
}
export const dropChart = (db: DbOrTx, visitId: string, zone: ZoneId, side: Side): void => {
  db.delete(charts)
    .where(and(eq(charts.visitId, visitId), eq(charts.zone, zone), eq(charts.side, side)))
    .run();
};

export const readPlan = (db: DbOrTx, caseHash: string): Plan | undefined => {
  const kept = db.select().from(plans).where(eq(plans.caseHash, caseHash)).get();
  return kept && upPlan(kept.plan);
};
export const keepPlan = (db: DbOrTx, caseHash: string, plan: Plan, computedAtMs: number): void => {
  db.insert(plans).values({ caseHash, plan, computedAtMs }).onConflictDoNothing().run();
};

export const journalOf = (db: DbOrTx, visitId: string): TableEvent[] =>
  db
    .select()
    .from(tableJournal)
    .where(eq(tableJournal.visitId, visitId))
    .orderBy(asc(tableJournal.seq))
    .all()
    // kinds are checked on the way in
    .map((r) => ({ id: r.id, atMs: r.atMs, kind: r.kind as TableEvent['kind'], ...r.data }));
/** Appends events; those already there are left as they were. */
export function appendEvents(db: DbOrTx, visitId: string, events: readonly TableEvent[]): void {
  for (const { id, atMs, kind, ...data } of events) {
    db.insert(tableJournal).values({ id, visitId, atMs, kind, data }).onConflictDoNothing().run();
  }
}
/** The visit to which an event id already belongs. */
export const visitOfEvent = (db: DbOrTx, id: string): string | undefined =>
  db.select({ visitId: tableJournal.visitId }).from(tableJournal).where(eq(tableJournal.id, id)).get()?.visitId;

export const readingsOf = (db: DbOrTx, visitId: string): (typeof readings.$inferSelect)[] =>
  db.select().from(readings).where(eq(readings.visitId, visitId)).all();
export function putReading(db: DbOrTx, visitId: string, zone: ZoneId, side: Side, data: Reading): void {
  db.insert(readings)
    .values({ visitId, zone, side, data })
    .onConflictDoUpdate({ target: [readings.visitId, readings.zone, readings.side], set: { data } })
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
export const careOf = (db: DbOrTx, visitId: string): { readonly whenTold: string; readonly text: string }[] =>
  db
    .select({ whenTold: careTold.whenTold, text: careTold.text })
    .from(careTold)
    .where(eq(careTold.visitId, visitId))
    .orderBy(asc(careTold.place))
    .all();
