// Reads that every page asks for. Building a query and preparing it costs several times what SQLite needs to answer it
// from an index, so these are built once for each open file.

import type { DbOrTx } from './openDatabase';

/** The query that `build` makes and prepares, kept with the database on which it was made. */
export function prepared<Q>(build: (db: DbOrTx) => Q): (db: DbOrTx) => Q {
  const kept = new WeakMap<DbOrTx, Q>();
  return (db) => {
    const known = kept.get(db);
    if (known !== undefined) return known;
    const query = build(db);
    kept.set(db, query);
    return query;
  };
}
