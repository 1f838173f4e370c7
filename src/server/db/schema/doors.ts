// Who has signed in where, and what opens the studio again when a passphrase is lost.

import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { people } from './studio';

export const sessions = sqliteTable(
  'sessions',
  {
    /** SHA-256 of the cookie's token, hex. */
    id: text('id').primaryKey(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    /** The tablet that it was begun on; it counts on no other. */
    tablet: text('tablet').notNull(),
    startedMs: integer('started_ms').notNull(),
    /** The last touch that was noticed. */
    touchedMs: integer('touched_ms').notNull(),
    /** True where the tablet asks who is there; only a PIN goes on. */
    rests: integer('rests', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [index('sessions_person').on(t.personId)],
);

/** Short codes that make a tablet known, each once and for some minutes. */
export const pairings = sqliteTable('pairings', {
  /** SHA-256 of the code, hex. */
  hash: text('hash').primaryKey(),
  madeMs: integer('made_ms').notNull(),
  usedMs: integer('used_ms'),
});

export const recoveryCodes = sqliteTable('recovery_codes', {
  /** SHA-256 of the code, hex. */
  hash: text('hash').primaryKey(),
  personId: text('person_id')
    .notNull()
    .references(() => people.id),
  madeMs: integer('made_ms').notNull(),
  usedMs: integer('used_ms'),
});
