// The ledger: every line of money, the days that were closed, and what a visit took of time and material by service.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { clients } from './clients';
import { people } from './studio';
import { shelfMoves } from './shelf';
import { visits } from './visits';

/** Append-only (drizzle/0016): a wrong line is undone by another one. Amounts in minor units, tax inside. */
export const ledgerEntries = sqliteTable(
  'ledger_entries',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull(),
    /** Civil date on which it counts. */
    onDate: text('on_date').notNull(),
    atMs: integer('at_ms').notNull(),
    /** Who wrote it, and who did the work. */
    byId: text('by_id').references(() => people.id),
    personId: text('person_id').references(() => people.id),
    kind: text('kind', { enum: ['service', 'goods', 'gift', 'package', 'deposit'] }).notNull(),
    act: text('act', { enum: ['taken', 'refund', 'undone'] }).notNull(),
    amountMinor: integer('amount_minor').notNull(),
    /** Tax inside of it, basis points. */
    vatBp: integer('vat_bp').notNull(),
    /** Null = nobody has said how. */
    paid: text('paid', { enum: ['cash', 'card', 'transfer', 'credit', 'nothing'] }),
    /** The credit that it opens (its own id), draws on or gives back. */
    creditId: text('credit_id'),
    /** Visits that a package opens with, or that are taken from it (below nothing). */
    uses: integer('uses').notNull().default(0),
    /** The line that is given back or undone. */
    about: text('about'),
    visitId: text('visit_id').references(() => visits.id),
    clientId: text('client_id').references(() => clients.id),
    /** The sale on the shelf that it is for. */
    moveSeq: integer('move_seq').references(() => shelfMoves.seq),
    /** Service or thing by its id. */
    item: text('item'),
    words: text('words').notNull().default(''),
  },
  (t) => [
    uniqueIndex('ledger_entries_id').on(t.id),
    index('ledger_entries_on').on(t.onDate, t.seq),
    index('ledger_entries_visit').on(t.visitId),
    index('ledger_entries_credit')
      .on(t.creditId)
      .where(sql`credit_id is not null`),
    index('ledger_entries_about')
      .on(t.about)
      .where(sql`about is not null`),
    index('ledger_entries_move')
      .on(t.moveSeq)
      .where(sql`move_seq is not null`),
    check('ledger_entries_kind', sql`${t.kind} in ('service', 'goods', 'gift', 'package', 'deposit')`),
    check('ledger_entries_act', sql`${t.act} in ('taken', 'refund', 'undone')`),
    check(
      'ledger_entries_paid',
      sql`${t.paid} is null or ${t.paid} in ('cash', 'card', 'transfer', 'credit', 'nothing')`,
    ),
    check('ledger_entries_about', sql`(${t.act} = 'taken') = (${t.about} is null)`),
    check('ledger_entries_credit', sql`${t.paid} is not 'credit' or ${t.creditId} is not null`),
    check('ledger_entries_nothing', sql`${t.paid} is not 'nothing' or ${t.amountMinor} = 0`),
    check('ledger_entries_vat', sql`${t.vatBp} between 0 and 5000`),
  ],
);

/** Append-only (drizzle/0016): a day that was closed takes no more lines. */
export const ledgerClosings = sqliteTable('ledger_closings', {
  onDate: text('on_date').primaryKey(),
  atMs: integer('at_ms').notNull(),
  personId: text('person_id').references(() => people.id),
  /** The last line of that time, how many the day has, and what they sum to. */
  lastSeq: integer('last_seq').notNull(),
  lines: integer('lines').notNull(),
  earnedMinor: integer('earned_minor').notNull(),
  cashMinor: integer('cash_minor').notNull(),
  /** Counted in the drawer, without what it began with; null = not counted. */
  countedMinor: integer('counted_minor'),
  words: text('words').notNull().default(''),
});

/** What each service took at a closed visit. */
export const visitParts = sqliteTable(
  'visit_parts',
  {
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    place: integer('place').notNull(),
    /** By its id; `other` = what is no service of the list. */
    service: text('service').notNull(),
    /** Null = worked with several. */
    family: text('family', { enum: ['hard', 'soft', 'sugar'] }),
    product: text('product'),
    /** Share of the visit's time, turnover included, min. */
    minutes: real('minutes').notNull(),
    materialsMinor: integer('materials_minor').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.visitId, t.place] }),
    check('visit_parts_family', sql`${t.family} is null or ${t.family} in ('hard', 'soft', 'sugar')`),
  ],
);
