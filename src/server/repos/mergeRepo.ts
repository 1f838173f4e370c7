// Rows of one card that go over to another, and back.

import { and, desc, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { merges } from '../db/schema';
import { fillOutlooksOf } from './outlookRepo';

export type MergeRow = typeof merges.$inferSelect;

/** Every table that names a client, and what its rows are called by. Derived tables are made anew. */
const CARRIED: Readonly<Record<string, 'id' | 'seq'>> = {
  bookings: 'id',
  visits: 'id',
  forms: 'id',
  consents: 'id',
  consent_ends: 'id',
  messages: 'id',
  waiting: 'id',
  past_visits: 'id',
  client_edits: 'seq',
  ledger_entries: 'seq',
};

type Key = string | number;

/** Rows of a card, by table. */
function rowsOfCard(db: DbOrTx, clientId: string): Readonly<Record<string, readonly Key[]>> {
  return Object.fromEntries(
    Object.entries(CARRIED).map(([table, key]) => {
      const rows = db.all<{ key: Key }>(
        sql`select ${sql.identifier(key)} as key from ${sql.identifier(table)} where client_id = ${clientId}`,
      );
      return [table, rows.map((r) => r.key)];
    }),
  );
}

const AT_ONCE = 500;
/** Carries rows of one card over to another; those that are no longer of the first stay where they are. */
export function carryRows(db: DbOrTx, rows: Readonly<Record<string, readonly Key[]>>, from: string, to: string): void {
  for (const [table, keys] of Object.entries(rows)) {
    const key = CARRIED[table];
    if (key === undefined) continue;
    for (let i = 0; i < keys.length; i += AT_ONCE) {
      db.run(sql`update ${sql.identifier(table)} set client_id = ${to}
        where client_id = ${from} and ${sql.identifier(key)} in ${keys.slice(i, i + AT_ONCE)}`);
    }
  }
  for (const id of [from, to]) fillOutlooksOf(db, id);
}

/** Nobody waits twice: a wish for a place stays with its card where the other one has a wish too. */
export function rowsToCarry(db: DbOrTx, keptId: string, goneId: string): ReturnType<typeof rowsOfCard> {
  const [kept, gone] = [rowsOfCard(db, keptId), rowsOfCard(db, goneId)];
  return (kept['waiting'] ?? []).length > 0 ? { ...gone, waiting: [] } : gone;
}

export const insertMerge = (db: DbOrTx, row: typeof merges.$inferInsert): void => {
  db.insert(merges).values(row).run();
};
export const readMerge = (db: DbOrTx, id: string): MergeRow | undefined =>
  db.select().from(merges).where(eq(merges.id, id)).get();
export const setParted = (db: DbOrTx, id: string, atMs: number): void => {
  db.update(merges).set({ undoneAtMs: atMs }).where(eq(merges.id, id)).run();
};
/** Cards that a card was put together with and is still, the latest first. */
export const mergesOf = (db: DbOrTx, clientId: string): MergeRow[] =>
  db
    .select()
    .from(merges)
    .where(and(or(eq(merges.keptId, clientId), eq(merges.goneId, clientId)), isNull(merges.undoneAtMs)))
    .orderBy(desc(merges.atMs), desc(sql`rowid`))
    .all();
/** All of them, also those that were parted: for who is erased. */
export const dropMergesOf = (db: DbOrTx, clientIds: readonly string[]): void => {
  db.delete(merges)
    .where(or(inArray(merges.keptId, [...clientIds]), inArray(merges.goneId, [...clientIds])))
    .run();
};
