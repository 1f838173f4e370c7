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
    /** In it now by what was weighed, added and used, g. */
    waxG: integer('wax_g').notNull(),
    heaterW: integer('heater_w').notNull().default(100),
    lid: integer('lid', { mode: 'boolean' }).notNull().default(true),
    /** How it is heated. */
    school: text('school', { enum: ['steady', 'melt-off', 'pulses', 'bath'] })
      .notNull()
      .default('steady'),
    /** Lot of what is in it, as written on the tin; empty = not said. */
    lot: text('lot').notNull().default(''),
    /** Setting of its thermostat, °C; null = off. */
    setC: real('set_c'),
    /** Who tells its heat: nobody but the hand, or the simulated sensor on its channel. */
    sensor: text('sensor', { enum: ['none', 'simulated'] }).notNull(),
    channel: integer('channel').notNull(),
    active: integer('active', { mode: 'boolean' }).notNull().default(true),
    version: integer('version').notNull().default(1),
  },
  (t) => [
    check('pots_wax', sql`${t.waxG} between 0 and 5000`),
    check('pots_heater', sql`${t.heaterW} between 10 and 2000`),
    check('pots_school', sql`${t.school} in ('steady', 'melt-off', 'pulses', 'bath')`),
    check('pots_set', sql`${t.setC} is null or ${t.setC} between 20 and 120`),
    check('pots_channel', sql`${t.channel} between 1 and 16`),
    check('pots_sensor', sql`${t.sensor} in ('none', 'simulated')`),
  ],
);

/**
 * Append-only (drizzle/0007, 0014): what was measured by hand, what the thermostat was set to, how it felt on the
 * wrist, what was weighed, added and used.
 */
export const potNotes = sqliteTable(
  'pot_notes',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    potId: text('pot_id')
      .notNull()
      .references(() => pots.id),
    atMs: integer('at_ms').notNull(),
    personId: text('person_id').references(() => people.id),
    kind: text('kind', { enum: ['measured', 'set', 'wrist', 'weighed', 'added', 'used'] }).notNull(),
    /** °C; null = switched off. */
    tempC: real('temp_c'),
    /** How it felt on the wrist. */
    felt: text('felt', { enum: ['too-warm', 'right', 'too-cool'] }),
    /** In it by the scales; put into it; taken out of it by a visit, g. */
    grams: integer('grams'),
    /** The visit that used it. */
    visitId: text('visit_id'),
  },
  (t) => [
    index('pot_notes_pot').on(t.potId, t.seq),
    check('pot_notes_kind', sql`${t.kind} in ('measured', 'set', 'wrist', 'weighed', 'added', 'used')`),
    check('pot_notes_heat', sql`${t.kind} <> 'measured' or ${t.tempC} is not null`),
    check('pot_notes_felt', sql`(${t.kind} = 'wrist') = (${t.felt} is not null)`),
    check('pot_notes_grams', sql`(${t.kind} in ('weighed', 'added', 'used')) = (${t.grams} is not null)`),
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
