// What the server remembers of tablets and requests.

import { integer, index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PastMapping } from '../../../formats/pastCsv';
import { json } from '../json';

/** A browser that has been here, by the hash of its lasting cookie. */
export const tablets = sqliteTable('tablets', {
  /** SHA-256 of the cookie's token, hex. */
  id: text('id').primaryKey(),
  firstSeenMs: integer('first_seen_ms').notNull(),
  /** When a PIN was given here, or one was first chosen here; null = not yet. */
  knownSinceMs: integer('known_since_ms'),
  /** What the studio calls it; empty = nothing. */
  name: text('name').notNull().default(''),
  /** The form that this tablet is with a client for; null = not locked. */
  lockedForm: text('locked_form'),
  /** Wrong PINs in a row at the studio's door, and until when none is taken. */
  wrongPins: integer('wrong_pins').notNull().default(0),
  pinWaitUntilMs: integer('pin_wait_until_ms').notNull().default(0),
});

/**
 * Tables that are taken in some lines a time: what is begun here is taken in to the end, or taken out again to the end.
 */
export const imports = sqliteTable('imports', {
  id: text('id').primaryKey(),
  kind: text('kind', { enum: ['clients', 'visits'] })
    .notNull()
    .default('clients'),
  /** `read`: looked at only; `leaving`: given up, its cards and visits go again. */
  state: text('state', { enum: ['read', 'taking', 'taken', 'leaving'] })
    .notNull()
    .default('taking'),
  mapping: json<PastMapping | null>()('mapping'),
  /** Civil date on which it was read. */
  onDate: text('on_date').notNull(),
  total: integer('total').notNull(),
  taken: integer('taken').notNull(),
  atMs: integer('at_ms').notNull(),
});

/** The table itself, apart: how far it is changes a hundred times a second, and a row is written whole. */
export const importTexts = sqliteTable('import_texts', {
  importId: text('import_id')
    .primaryKey()
    .references(() => imports.id),
  csv: text('csv').notNull(),
});

/** Writes that were done, by the id that the tablet made for them: sent twice, they are done once. */
export const requests = sqliteTable(
  'requests',
  {
    id: text('id').primaryKey(),
    /** Method and path: an id belongs to one act. */
    what: text('what').notNull(),
    /** SHA-256 of the body, hex. */
    bodyHash: text('body_hash').notNull(),
    answer: json<unknown>()('answer').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [index('requests_at').on(t.atMs)],
);
