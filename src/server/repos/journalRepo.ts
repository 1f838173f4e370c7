// The journal of the table: append-only, in the order in which it was written.

import { and, asc, eq, gt, sql } from 'drizzle-orm';
import type { TableEvent } from '../../core/hands';
import { quietly } from '../db/sinceWrite';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { tableJournal } from '../db/schema';

// kinds are checked on the way in
export const eventOf = (r: typeof tableJournal.$inferSelect): TableEvent => ({
  id: r.id,
  atMs: r.atMs,
  kind: r.kind as TableEvent['kind'],
  ...r.data,
});

/** An event with its place in the journal of all tables. */
export interface JournalEntry {
  readonly seq: number;
  readonly event: TableEvent;
}

const entriesAfter = prepared((db) =>
  db
    .select()
    .from(tableJournal)
    .where(and(eq(tableJournal.visitId, sql.placeholder('visitId')), gt(tableJournal.seq, sql.placeholder('after'))))
    .orderBy(asc(tableJournal.seq))
    .prepare(),
);
/** @param after only what was written later than this place */
export const entriesOf = (db: DbOrTx, visitId: string, after = 0): JournalEntry[] =>
  entriesAfter(db)
    .all({ visitId, after })
    .map((r) => ({ seq: r.seq, event: eventOf(r) }));
export const journalOf = (db: DbOrTx, visitId: string): TableEvent[] => entriesOf(db, visitId).map((e) => e.event);

const latestSeq = prepared((db) =>
  db
    .select({ seq: sql<number | null>`max(${tableJournal.seq})` })
    .from(tableJournal)
    .where(eq(tableJournal.visitId, sql.placeholder('visitId')))
    .prepare(),
);
/** Place of a visit's last act; 0 = none. */
export const lastSeq = (db: DbOrTx, visitId: string): number => latestSeq(db).get({ visitId })?.seq ?? 0;
const value = sql.placeholder;
const insertEvent = prepared((db) =>
  db
    .insert(tableJournal)
    .values({
      id: value('id'),
      visitId: value('visitId'),
      atMs: value('atMs'),
      kind: value('kind'),
      data: value('data'),
    })
    .prepare(),
);
export function appendEvents(db: DbOrTx, visitId: string, events: readonly TableEvent[]): void {
  quietly(db, () => {
    for (const { id, atMs, kind, ...data } of events) insertEvent(db).run({ id, visitId, atMs, kind, data });
  });
}
/** The visit to which an event id already belongs. */
export const visitOfEvent = (db: DbOrTx, id: string): string | undefined => eventById(db).get({ id })?.visitId;
const eventById = prepared((db) =>
  db
    .select({ visitId: tableJournal.visitId })
    .from(tableJournal)
    .where(eq(tableJournal.id, value('id')))
    .prepare(),
);
