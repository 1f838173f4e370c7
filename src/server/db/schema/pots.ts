// The studio's pots, what was noted of them, and what their probes told.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { people, products } from './studio';

export const pots = sqliteTable(
  'pots',
  {
    id: text('id').primaryKey(),
    productId: text('product_id')
      .notNull()
      .references(() => products.id),
    waxG: integer('wax_g').notNull(),
    /** Setting of its thermostat, °C; null = off. */
    setC: real('set_c'),
    /** Who tells its heat: nobody but the hand, or the simulated sensor on its channel. */
    sensor: text('sensor', { enum: ['none', 'simulated'] }).notNull(),
    channel: integer('channel').notNull(),
    active: integer('active', { mode: 'boolean' }).notNull().default(true),
    version: integer('version').notNull().default(1),
  },
  (t) => [
    check('pots_wax', sql`${t.waxG} between 20 and 5000`),
    check('pots_set', sql`${t.setC} is null or ${t.setC} between 20 and 120`),
    check('pots_channel', sql`${t.channel} between 1 and 16`),
    check('pots_sensor', sql`${t.sensor} in ('none', 'simulated')`),
  ],
);

/** Append-only (drizzle/0007): what was measured by hand, what the thermostat was set to. */
export const potNotes = sqliteTable(
  'pot_notes',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    potId: text('pot_id')
      .notNull()
      .references(() => pots.id),
    atMs: integer('at_ms').notNull(),
    personId: text('person_id').references(() => people.id),
    kind: text('kind', { enum: ['measured', 'set'] }).notNull(),
    /** °C; null = switched off. */
    tempC: real('temp_c'),
  },
  (t) => [
    index('pot_notes_pot').on(t.potId, t.seq),
    check('pot_notes_kind', sql`${t.kind} in ('measured', 'set')`),
    check('pot_notes_heat', sql`${t.kind} = 'set' or ${t.tempC} is not null`),
  ],
);

/** What a probe told, once a minute; kept for some days. */
export const potHeats = sqliteTable(
  'pot_heats',
  {
    potId: text('pot_id')
      .notNull()
      .references(() => pots.id),
    atMs: integer('at_ms').notNull(),
    tempC: real('temp_c').notNull(),
  },
  (t) => [primaryKey({ columns: [t.potId, t.atMs] })],
);
