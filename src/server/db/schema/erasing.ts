// People who asked to be forgotten: what of theirs is gone, what the law makes one keep and until when.

import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { clients } from './clients';
import { people } from './studio';

export const erasures = sqliteTable('erasures', {
  clientId: text('client_id')
    .primaryKey()
    .references(() => clients.id),
  atMs: integer('at_ms').notNull(),
  byId: text('by_id').references(() => people.id),
  /** Until when signed consents are kept all the same, and by which law; null = they are gone. */
  consentsUntil: text('consents_until'),
  consentsWhy: text('consents_why').notNull().default(''),
  /** How many lines of money stay, without the name, and until when. */
  moneyLines: integer('money_lines').notNull(),
  moneyUntil: text('money_until').notNull(),
});

/** Has a row only inside of the transaction that erases: what is append-only gives way to it (drizzle/0026). */
export const erasing = sqliteTable('erasing', { clientId: text('client_id').primaryKey() });
