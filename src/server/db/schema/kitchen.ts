// Paste that was cooked here: each batch with its recipe and its end, and all that was noted while it was cooked.

import { sql } from 'drizzle-orm';
import { check, index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Recipe } from '../../../core/kitchen';
import { json } from '../json';
import { people } from './studio';

export const batches = sqliteTable(
  'batches',
  {
    id: text('id').primaryKey(),
    lot: text('lot').notNull(),
    firmness: text('firmness', { enum: ['soft', 'firm', 'hard'] }).notNull(),
    recipe: json<Recipe>()('recipe').notNull(),
    /** To be taken off at, where water boils at `waterC`, °C. */
    endC: real('end_c').notNull(),
    waterC: real('water_c').notNull(),
    roomC: real('room_c').notNull(),
    /** Heat of the stove that it was planned with, and that was found, W; null = not found. */
    stoveW: real('stove_w').notNull(),
    stoveFoundW: real('stove_found_w'),
    personId: text('person_id').references(() => people.id),
    weighedAtMs: integer('weighed_at_ms').notNull(),
    step: text('step', { enum: ['weigh', 'boil', 'cook', 'dish', 'cool', 'knead', 'jar'] }).notNull(),
    state: text('state', { enum: ['cooking', 'jarred', 'thrown'] })
      .notNull()
      .default('cooking'),
    /** What was read when it was last taken off the heat, °C. */
    offC: real('off_c'),
    endedAtMs: integer('ended_at_ms'),
    /** Weighed in the jar, g. */
    jarG: integer('jar_g'),
    /** Civil date until which it keeps. */
    keepsTo: text('keeps_to'),
    /** How it turned out and worked, in words. */
    words: text('words').notNull().default(''),
    version: integer('version').notNull().default(1),
  },
  (t) => [
    uniqueIndex('batches_lot').on(t.lot),
    index('batches_weighed').on(t.weighedAtMs),
    // one stove, one pot of syrup
    uniqueIndex('batches_cooking')
      .on(t.state)
      .where(sql`state = 'cooking'`),
    check('batches_firmness', sql`${t.firmness} in ('soft', 'firm', 'hard')`),
    check('batches_state', sql`${t.state} in ('cooking', 'jarred', 'thrown')`),
    check('batches_ended', sql`(${t.state} = 'cooking') = (${t.endedAtMs} is null)`),
  ],
);

/** Append-only (drizzle/0013): steps, heats that were read, colours, what went wrong. */
export const batchNotes = sqliteTable(
  'batch_notes',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    atMs: integer('at_ms').notNull(),
    personId: text('person_id').references(() => people.id),
    kind: text('kind', { enum: ['step', 'heat', 'colour', 'trouble'] }).notNull(),
    /** Step, colour or trouble by its name; empty for a heat. */
    what: text('what').notNull().default(''),
    tempC: real('temp_c'),
  },
  (t) => [
    index('batch_notes_batch').on(t.batchId, t.seq),
    check('batch_notes_kind', sql`${t.kind} in ('step', 'heat', 'colour', 'trouble')`),
    check('batch_notes_heat', sql`(${t.kind} = 'heat') = (${t.tempC} is not null)`),
  ],
);
