// Who did and saw what: one line for every write and for every look at health notes, for good. Each line's hash rests
// on the one before it, so that a line taken out or changed is noticed.

import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';

export const trail = sqliteTable(
  'trail',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    atMs: integer('at_ms').notNull(),
    /** Who was named in the bar; null = nobody. Kept also when the person is gone, so no reference. */
    personId: text('person_id'),
    /** The beginning of the tablet's hash; null = none was known. */
    tablet: text('tablet'),
    kind: text('kind', { enum: ['write', 'read'] }).notNull(),
    /** Method and path with its ids, or the page; never words of a person. */
    what: text('what').notNull(),
    /** The client, visit, form or booking that the path names; null = none. */
    about: text('about'),
    /** SHA-256 over the hash before and this line, hex. */
    hash: text('hash').notNull(),
  },
  (t) => [
    index('trail_at').on(t.atMs),
    index('trail_about').on(t.about, t.seq),
    index('trail_person').on(t.personId, t.seq),
    check('trail_kind', sql`${t.kind} in ('write', 'read')`),
  ],
);
