// The shelf: what stands on it by lots, every move of it, and what each visit used.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { people } from './studio';
import { visits } from './visits';

export const shelfItems = sqliteTable(
  'shelf_items',
  {
    /** Of a product its own id, of what a visit uses its name in the plan. */
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    kind: text('kind', { enum: ['product', 'consumable', 'retail'] }).notNull(),
    unit: text('unit', { enum: ['g', 'ml', 'piece', 'pair'] }).notNull(),
    /** What is bought at a time, in its unit, and what that costs, minor units; null = not said. */
    pack: integer('pack').notNull(),
    priceMinor: integer('price_minor'),
    deliveryDays: integer('delivery_days').notNull(),
    supplier: text('supplier').notNull().default(''),
    /** Kept for the table: so much is never sold. */
    reserve: integer('reserve').notNull().default(0),
    place: integer('place').notNull(),
    active: integer('active', { mode: 'boolean' }).notNull().default(true),
    version: integer('version').notNull().default(1),
  },
  (t) => [
    check('shelf_items_kind', sql`${t.kind} in ('product', 'consumable', 'retail')`),
    check('shelf_items_unit', sql`${t.unit} in ('g', 'ml', 'piece', 'pair')`),
    check('shelf_items_pack', sql`${t.pack} > 0 and ${t.deliveryDays} between 0 and 120 and ${t.reserve} >= 0`),
  ],
);

export const shelfLots = sqliteTable(
  'shelf_lots',
  {
    id: text('id').primaryKey(),
    itemId: text('item_id')
      .notNull()
      .references(() => shelfItems.id),
    /** As on the label; empty = none. */
    lot: text('lot').notNull(),
    amount: integer('amount').notNull(),
    receivedOn: text('received_on').notNull(),
    expiresOn: text('expires_on'),
    openedOn: text('opened_on'),
  },
  (t) => [index('shelf_lots_item').on(t.itemId), check('shelf_lots_amount', sql`${t.amount} >= 0`)],
);

/**
 * Append-only (drizzle/0015): what came, went, was counted otherwise or thrown away; the sum of a lot's moves is its
 * amount.
 */
export const shelfMoves = sqliteTable(
  'shelf_moves',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    lotId: text('lot_id')
      .notNull()
      .references(() => shelfLots.id),
    kind: text('kind', { enum: ['received', 'poured', 'used', 'sold', 'counted', 'wasted'] }).notNull(),
    /** Signed: what went is negative. */
    amount: integer('amount').notNull(),
    atMs: integer('at_ms').notNull(),
    personId: text('person_id').references(() => people.id),
    visitId: text('visit_id').references(() => visits.id),
    /** The sale or waste that it takes back. */
    about: integer('about'),
  },
  (t) => [
    index('shelf_moves_about')
      .on(t.about)
      .where(sql`about is not null`),
    index('shelf_moves_lot').on(t.lotId, t.seq),
    index('shelf_moves_counted')
      .on(t.atMs)
      .where(sql`kind = 'counted'`),
    check('shelf_moves_kind', sql`${t.kind} in ('received', 'poured', 'used', 'sold', 'counted', 'wasted')`),
  ],
);

/** What a closed visit used and of which lot: for what the next one will take, and for a recall. */
export const visitUses = sqliteTable(
  'visit_uses',
  {
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    item: text('item').notNull(),
    amount: integer('amount').notNull(),
    /** Each lot that may have been in it, the first with the amount; empty = not known. */
    lot: text('lot').notNull().default(''),
  },
  (t) => [primaryKey({ columns: [t.visitId, t.item, t.lot] }), index('visit_uses_lot').on(t.lot)],
);
