// Tables of clients and of past visits that are being taken in, or were; and what came in with them.

import { and, asc, count, desc, eq, inArray, lt, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { clients, imports, importTexts, pastVisits } from '../db/schema';
import type { PastMapping } from '../../formats/pastCsv';

type ImportHead = typeof imports.$inferSelect;
/** With the table itself; empty once all is taken. */
export type ImportRow = ImportHead & { readonly csv: string };
export type PastVisitRow = typeof pastVisits.$inferSelect;

export const insertImport = (db: DbOrTx, { csv, ...row }: ImportRow): void => {
  db.insert(imports).values(row).run();
  db.insert(importTexts).values({ importId: row.id, csv }).run();
};
export const readImport = (db: DbOrTx, id: string): ImportHead | undefined =>
  db.select().from(imports).where(eq(imports.id, id)).get();
export function readImportRow(db: DbOrTx, id: string): ImportRow | undefined {
  const row = readImport(db, id);
  const found = db.select().from(importTexts).where(eq(importTexts.importId, id)).get();
  return row && { ...row, csv: found?.csv ?? '' };
}
/** Begun and not ended: on their way in, or out again. */
export const unfinishedImports = (db: DbOrTx): { readonly id: string }[] =>
  db
    .select({ id: imports.id })
    .from(imports)
    .where(inArray(imports.state, ['taking', 'leaving']))
    .all();
export const setTaken = (db: DbOrTx, id: string, taken: number): void => {
  db.update(imports).set({ taken }).where(eq(imports.id, id)).run();
};
export const beginTaking = (db: DbOrTx, id: string, mapping: PastMapping, total: number): void => {
  db.update(imports).set({ mapping, total, taken: 0, state: 'taking' }).where(eq(imports.id, id)).run();
};
export const beginLeaving = (db: DbOrTx, id: string): void => {
  db.update(imports).set({ state: 'leaving' }).where(eq(imports.id, id)).run();
};
/** Once all is taken the cards stand by themselves. */
export const forgetTable = (db: DbOrTx, id: string): void => {
  db.delete(importTexts).where(eq(importTexts.importId, id)).run();
  db.update(imports).set({ state: 'taken' }).where(eq(imports.id, id)).run();
};
export const dropImport = (db: DbOrTx, id: string): void => {
  db.delete(importTexts).where(eq(importTexts.importId, id)).run();
  db.delete(imports).where(eq(imports.id, id)).run();
};
/** Tables that somebody looked at and left. */
export const dropReadBefore = (db: DbOrTx, beforeMs: number): void => {
  const old = db
    .select({ id: imports.id })
    .from(imports)
    .where(and(eq(imports.state, 'read'), lt(imports.atMs, beforeMs)))
    .all();
  for (const { id } of old) dropImport(db, id);
};

const putPast = prepared((db) => {
  const value = (name: keyof PastVisitRow) => sql.placeholder(name);
  return db
    .insert(pastVisits)
    .values({
      ...{ id: value('id'), clientId: value('clientId'), onDate: value('onDate'), zones: value('zones') },
      ...{ what: value('what'), family: value('family'), product: value('product'), minutes: value('minutes') },
      ...{ paidMinor: value('paidMinor'), lengthMm: value('lengthMm'), words: value('words') },
      importId: value('importId'),
    })
    .prepare();
});
export const insertPast = (db: DbOrTx, row: PastVisitRow): void => {
  putPast(db).run({ ...row });
};

/** Latest first. */
export const pastVisitsOf = (db: DbOrTx, clientId: string, most?: number): PastVisitRow[] => {
  const rows = db
    .select()
    .from(pastVisits)
    .where(eq(pastVisits.clientId, clientId))
    .orderBy(desc(pastVisits.onDate), asc(pastVisits.id));
  return most === undefined ? rows.all() : rows.limit(most).all();
};
const countPast = prepared((db) =>
  db
    .select({ n: count() })
    .from(pastVisits)
    .where(eq(pastVisits.clientId, sql.placeholder('clientId')))
    .prepare(),
);
export const pastVisitCount = (db: DbOrTx, clientId: string): number => countPast(db).get({ clientId })?.n ?? 0;
const onDay = prepared((db) =>
  db
    .select({ what: pastVisits.what })
    .from(pastVisits)
    .where(and(eq(pastVisits.clientId, sql.placeholder('clientId')), eq(pastVisits.onDate, sql.placeholder('onDate'))))
    .prepare(),
);
export const pastOnDay = (db: DbOrTx, clientId: string, onDate: string): readonly { readonly what: string }[] =>
  onDay(db).all({ clientId, onDate });

/** Takes some visits of a table out again; false where there was none left. */
export function dropSomePast(db: DbOrTx, importId: string, most: number): boolean {
  const some = db.select({ id: pastVisits.id }).from(pastVisits).where(eq(pastVisits.importId, importId)).limit(most);
  return db.delete(pastVisits).where(inArray(pastVisits.id, some)).run().changes > 0;
}

/** What anybody did with a card since: then it stays. */
const USED_IN: readonly (readonly [table: string, column: string])[] = [
  ['bookings', 'client_id'],
  ['visits', 'client_id'],
  ['forms', 'client_id'],
  ['messages', 'client_id'],
  ['waiting', 'client_id'],
  ['client_edits', 'client_id'],
  ['ledger_entries', 'client_id'],
  ['past_visits', 'client_id'],
  ['consent_ends', 'client_id'],
  ['erasures', 'client_id'],
  ['merges', 'kept_id'],
  ['merges', 'gone_id'],
];
const IS_USED = sql.join(
  USED_IN.map(
    ([table, column]) =>
      sql`exists (select 1 from ${sql.identifier(table)} where ${sql.identifier(column)} = ${clients}.id)`,
  ),
  sql` or `,
);

/** Takes some cards of a table out again, but those that somebody has used since; false where there was none left. */
export function dropSomeCards(db: DbOrTx, importId: string, most: number): boolean {
  const some = db
    .select({ id: clients.id })
    .from(clients)
    .where(and(eq(clients.importId, importId), sql`not (${IS_USED})`))
    .limit(most)
    .all()
    .map((c) => c.id);
  if (some.length === 0) return false;
  db.run(sql`delete from client_search where rowid in (select no from client_search_no where client_id in ${some})`);
  db.run(sql`delete from client_search_no where client_id in ${some}`);
  db.delete(clients).where(inArray(clients.id, some)).run();
  return true;
}
/** Cards of a table that stay after it has left belong to nobody's table any more. */
export const keepUsedCards = (db: DbOrTx, importId: string): void => {
  db.update(clients).set({ importId: null }).where(eq(clients.importId, importId)).run();
};
