// What the desk keeps beside bookings: who is away when, who waits for a place, who may read which calendar.

import { and, asc, eq, gt, lt, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { absences, people, waiting } from '../db/schema';

export type AbsenceRow = typeof absences.$inferSelect;
export type WaitingRow = typeof waiting.$inferSelect;

/** Absences that touch a span, in the order of time. @param personId absent = of everybody */
export const absencesBetween = (db: DbOrTx, fromMs: number, toMs: number, personId?: string): AbsenceRow[] =>
  db
    .select()
    .from(absences)
    .where(
      and(
        lt(absences.fromMs, toMs),
        gt(absences.toMs, fromMs),
        ...(personId === undefined ? [] : [eq(absences.personId, personId)]),
      ),
    )
    .orderBy(asc(absences.fromMs))
    .all();
export const insertAbsence = (db: DbOrTx, row: AbsenceRow): void => {
  db.insert(absences).values(row).run();
};
export const deleteAbsence = (db: DbOrTx, id: string): boolean =>
  db.delete(absences).where(eq(absences.id, id)).run().changes === 1;
/** Drops what an earlier calendar of a person brought, from an instant on. */
export const dropImported = (db: DbOrTx, personId: string, fromMs: number): void => {
  db.delete(absences)
    .where(and(eq(absences.personId, personId), eq(absences.source, 'calendar'), gt(absences.toMs, fromMs)))
    .run();
};

/** Who waited longest first. */
export const waitingClients = (db: DbOrTx): WaitingRow[] =>
  db
    .select()
    .from(waiting)
    // an archived card waits for nothing
    .where(sql`${waiting.clientId} in (select id from clients where archived_at_ms is null)`)
    .orderBy(asc(waiting.createdAtMs))
    .all();
/** A client waits once: what was said before gives way. */
export const putWaiting = (db: DbOrTx, row: WaitingRow): void => {
  const { personId, weekdays, fromMin, toMin, words } = row;
  const said = { personId, weekdays, fromMin, toMin, words };
  db.insert(waiting).values(row).onConflictDoUpdate({ target: waiting.clientId, set: said }).run();
};
export const deleteWaiting = (db: DbOrTx, clientId: string): boolean =>
  db.delete(waiting).where(eq(waiting.clientId, clientId)).run().changes === 1;

export const setFeedHash = (db: DbOrTx, personId: string, feedHash: string | null): boolean =>
  db.update(people).set({ feedHash }).where(eq(people.id, personId)).run().changes === 1;
export const personByFeed = (
  db: DbOrTx,
  feedHash: string,
): { readonly id: string; readonly name: string } | undefined =>
  db.select({ id: people.id, name: people.name }).from(people).where(eq(people.feedHash, feedHash)).get();
