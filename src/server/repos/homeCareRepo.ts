// What was advised for home at a visit, and what was said of it at a later one.

import { and, asc, desc, eq, exists, inArray, lt, ne, notInArray, or } from 'drizzle-orm';
import type { HomeCareId, Kept } from '../../core/care';
import type { DbOrTx } from '../db/openDatabase';
import { homeCare, visits } from '../db/schema';
import type { VisitRow } from './visitRepo';

export type HomeCareRow = typeof homeCare.$inferSelect;

export const homeCareOf = (db: DbOrTx, visitId: string): HomeCareRow[] =>
  db.select().from(homeCare).where(eq(homeCare.visitId, visitId)).orderBy(asc(homeCare.item)).all();

/** The items advised at a visit are these and no others; answers to what stays are kept. */
export function putAdvised(db: DbOrTx, visitId: string, items: readonly HomeCareId[]): void {
  db.delete(homeCare)
    .where(and(eq(homeCare.visitId, visitId), notInArray(homeCare.item, [...items])))
    .run();
  for (const item of items) db.insert(homeCare).values({ visitId, item }).onConflictDoNothing().run();
}

export function putKept(
  db: DbOrTx,
  { visitId, item }: Pick<HomeCareRow, 'visitId' | 'item'>,
  said: { readonly kept: Kept; readonly askedAt: string } | { readonly kept: null; readonly askedAt: null },
): boolean {
  return (
    db
      .update(homeCare)
      .set(said)
      .where(and(eq(homeCare.visitId, visitId), eq(homeCare.item, item)))
      .run().changes === 1
  );
}

/** The last visit before this one at which something was advised. */
export const lastAdvised = (
  db: DbOrTx,
  { id, clientId, onDate, createdAtMs }: Pick<VisitRow, 'id' | 'clientId' | 'onDate' | 'createdAtMs'>,
): { readonly id: string; readonly onDate: string } | undefined =>
  db
    .select({ id: visits.id, onDate: visits.onDate })
    .from(visits)
    .where(
      and(
        eq(visits.clientId, clientId),
        ne(visits.id, id),
        eq(visits.status, 'closed'),
        or(lt(visits.onDate, onDate), and(eq(visits.onDate, onDate), lt(visits.createdAtMs, createdAtMs))),
        exists(db.select({ v: homeCare.visitId }).from(homeCare).where(eq(homeCare.visitId, visits.id))),
      ),
    )
    .orderBy(desc(visits.onDate), desc(visits.createdAtMs))
    .limit(1)
    .get();

/** What was advised and said over several visits. */
export const homeCareOfVisits = (db: DbOrTx, visitIds: readonly string[]): HomeCareRow[] =>
  visitIds.length === 0
    ? []
    : db
        .select()
        .from(homeCare)
        .where(inArray(homeCare.visitId, [...visitIds]))
        .all();
