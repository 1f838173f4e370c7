// Sessions and recovery codes. What is written here rests under no kept answer.

import 'server-only';
import { and, desc, eq, gt, gte, isNull, lt, ne, sql } from 'drizzle-orm';
import type { TableEvent } from '../../core/hands';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { quietly } from '../db/sinceWrite';
import { pairings, recoveryCodes, sessions, tableJournal } from '../db/schema';
import { journalOf } from './journalRepo';

export type SessionRow = typeof sessions.$inferSelect;

const byId = prepared((db) =>
  db
    .select()
    .from(sessions)
    .where(eq(sessions.id, sql.placeholder('id')))
    .prepare(),
);
export const readSession = (db: DbOrTx, id: string): SessionRow | undefined => byId(db).get({ id });
export const insertSession = (db: DbOrTx, row: typeof sessions.$inferInsert): void => {
  quietly(db, () => db.insert(sessions).values(row).run());
};
export const updateSession = (db: DbOrTx, id: string, set: Partial<Omit<SessionRow, 'id'>>): void => {
  quietly(db, () => db.update(sessions).set(set).where(eq(sessions.id, id)).run());
};
export const dropSession = (db: DbOrTx, id: string): void => {
  quietly(db, () => db.delete(sessions).where(eq(sessions.id, id)).run());
};
export const sessionsOf = (db: DbOrTx, personId: string): SessionRow[] =>
  db.select().from(sessions).where(eq(sessions.personId, personId)).orderBy(desc(sessions.touchedMs)).all();
/** Ends all of a person's but one. */
export const dropSessionsOf = (db: DbOrTx, personId: string, but = ''): void => {
  quietly(db, () =>
    db
      .delete(sessions)
      .where(and(eq(sessions.personId, personId), ne(sessions.id, but)))
      .run(),
  );
};
export const dropSessionsOn = (db: DbOrTx, tablet: string): void => {
  quietly(db, () => db.delete(sessions).where(eq(sessions.tablet, tablet)).run());
};
export const dropAllSessions = (db: DbOrTx): void => {
  quietly(db, () => db.delete(sessions).run());
};
export const dropSessionsBefore = (db: DbOrTx, atMs: number): number =>
  quietly(db, () => db.delete(sessions).where(lt(sessions.touchedMs, atMs)).run().changes);

export const putCodes = (db: DbOrTx, personId: string, hashes: readonly string[], madeMs: number): void => {
  db.delete(recoveryCodes).where(eq(recoveryCodes.personId, personId)).run();
  for (const hash of hashes) db.insert(recoveryCodes).values({ hash, personId, madeMs }).run();
};
/** True where it was there, of that person, and not used: it is used now. */
export const useCode = (db: DbOrTx, personId: string, hash: string, usedMs: number): boolean =>
  db
    .update(recoveryCodes)
    .set({ usedMs })
    .where(and(eq(recoveryCodes.hash, hash), eq(recoveryCodes.personId, personId), isNull(recoveryCodes.usedMs)))
    .run().changes === 1;
export const codesLeft = (db: DbOrTx, personId: string): number =>
  db
    .select()
    .from(recoveryCodes)
    .where(and(eq(recoveryCodes.personId, personId), isNull(recoveryCodes.usedMs)))
    .all().length;

export const lastSessionOn = (db: DbOrTx, tablet: string): SessionRow | undefined =>
  db.select().from(sessions).where(eq(sessions.tablet, tablet)).orderBy(desc(sessions.touchedMs)).get();
export const insertPairing = (db: DbOrTx, hash: string, madeMs: number): void => {
  quietly(db, () => db.insert(pairings).values({ hash, madeMs }).run());
};
/** True where it was there, young enough and not used: it is used now. */
export const usePairing = (
  db: DbOrTx,
  hash: string,
  { nowMs, notBeforeMs }: { readonly nowMs: number; readonly notBeforeMs: number },
): boolean =>
  db
    .update(pairings)
    .set({ usedMs: nowMs })
    .where(and(eq(pairings.hash, hash), isNull(pairings.usedMs), gte(pairings.madeMs, notBeforeMs)))
    .run().changes === 1;
export const dropPairingsBefore = (db: DbOrTx, atMs: number): number =>
  quietly(db, () => db.delete(pairings).where(lt(pairings.madeMs, atMs)).run().changes);

const LATEST_ACTS = 400;
/** The journals of tables at which something was done since then. */
export function journalsSince(db: DbOrTx, sinceMs: number): readonly (readonly TableEvent[])[] {
  const rows = db
    .select({ visitId: tableJournal.visitId })
    .from(tableJournal)
    .where(gt(tableJournal.atMs, sinceMs))
    .orderBy(desc(tableJournal.seq))
    .limit(LATEST_ACTS)
    .all();
  return [...new Set(rows.map((r) => r.visitId))].map((id) => journalOf(db, id));
}
