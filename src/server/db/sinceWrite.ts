// Answers kept for as long as nothing is written that they may rest on. Every write lets go of them, but for those that
// are told apart as quiet: a table's acts, kept plans, readings of the pots, answered requests. Only for what rests on
// none of these.

import 'server-only';
import { sql } from 'drizzle-orm';
import { recaller } from '../../core/shared';
import type { DbOrTx } from './openDatabase';
import { prepared } from './prepared';

interface Standing {
  readonly connection: number;
  /** Rows that this connection has changed. */
  readonly changes: number;
  /** Raised by SQLite where another program has written. */
  readonly others: number;
  /** 1 inside of a transaction. */
  readonly open: number;
}

// `connection_number()` and `is_in_transaction()` are ours: openDatabase.ts
const standingOf = prepared((db) => {
  const asked = sql`select connection_number() as connection, total_changes() as changes,
    is_in_transaction() as open, (select data_version from pragma_data_version) as others`;
  return { get: () => db.get<Standing>(asked) };
});

/** Rows changed quietly, by connection. */
const quiet = new Map<number, number>();

/** Writes what no kept answer rests on. */
export function quietly<T>(db: DbOrTx, write: () => T): T {
  const before = standingOf(db).get();
  try {
    return write();
  } finally {
    const changed = standingOf(db).get().changes - before.changes;
    quiet.set(before.connection, (quiet.get(before.connection) ?? 0) + changed);
  }
}

/** A memory for at most `most` answers. Inside of a transaction nothing is kept: it may yet be taken back. */
export function keptSinceWrite<T>(most: number): (db: DbOrTx, key: string, make: () => T) => T {
  const recall = recaller<{ readonly value: T }>(most);
  return (db, key, make) => {
    const { connection, changes, others, open } = standingOf(db).get();
    if (open === 1) return make();
    const loud = changes - (quiet.get(connection) ?? 0);
    return recall(`${connection} ${loud} ${others} ${key}`, () => ({ value: make() })).value;
  };
}
