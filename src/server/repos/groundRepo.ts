import { desc, eq, isNotNull, lt } from 'drizzle-orm';
import { quietly } from '../db/sinceWrite';
import type { DbOrTx } from '../db/openDatabase';
import { requests, tablets } from '../db/schema';

export type TabletRow = typeof tablets.$inferSelect;
export type RequestRow = typeof requests.$inferSelect;

export const readTablet = (db: DbOrTx, id: string): TabletRow | undefined =>
  db.select().from(tablets).where(eq(tablets.id, id)).get();
/** Those that are the studio's, the latest first. */
export const knownTablets = (db: DbOrTx): TabletRow[] =>
  db.select().from(tablets).where(isNotNull(tablets.knownSinceMs)).orderBy(desc(tablets.knownSinceMs)).all();
/** Writes down what changed of a tablet; one not seen before begins now. */
export function putTablet(db: DbOrTx, id: string, nowMs: number, set: Partial<Omit<TabletRow, 'id'>>): void {
  quietly(db, () =>
    db
      .insert(tablets)
      .values({ id, firstSeenMs: nowMs, ...set })
      .onConflictDoUpdate({ target: tablets.id, set: { firstSeenMs: tablets.firstSeenMs, ...set } })
      .run(),
  );
}

export const readRequest = (db: DbOrTx, id: string): RequestRow | undefined =>
  db.select().from(requests).where(eq(requests.id, id)).get();
export const insertRequest = (db: DbOrTx, row: RequestRow): void => {
  quietly(db, () => db.insert(requests).values(row).run());
};
export const dropRequestsBefore = (db: DbOrTx, atMs: number): number =>
  db.delete(requests).where(lt(requests.atMs, atMs)).run().changes;
