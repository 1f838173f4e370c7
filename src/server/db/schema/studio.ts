// The studio itself, its people and its products.

import { sql } from 'drizzle-orm';
import { check, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ROLES } from '../../../core/doors';
import { json } from '../json';
import type { Product } from '../../../core/products';
import type { StudioSettings, ZoneRef } from './documents';

export const studio = sqliteTable(
  'studio',
  {
    id: integer('id').primaryKey(),
    name: text('name').notNull(),
    /** IANA zone of the studio's wall clock. */
    timeZone: text('time_zone').notNull(),
    currency: text('currency').notNull(),
    settings: json<StudioSettings>()('settings').notNull(),
    version: integer('version').notNull().default(1),
  },
  (t) => [check('studio_single', sql`${t.id} = 1`)],
);

export const people = sqliteTable(
  'people',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    level: text('level', { enum: ['trainee', 'practised', 'expert'] }).notNull(),
    active: integer('active', { mode: 'boolean' }).notNull().default(true),
    /** Argon2id; null = no PIN chosen yet. */
    pinHash: text('pin_hash'),
    /** SHA-256 of what opens this person's calendar to a calendar program; null = nothing does. */
    feedHash: text('feed_hash'),
    /** What they may do: src/core/doors. */
    role: text('role', { enum: ROLES }).notNull().default('practitioner'),
    /** Argon2id of the passphrase that opens a tablet which is not known; null = none chosen. */
    passHash: text('pass_hash'),
  },
  (t) => [check('people_level', sql`${t.level} in ('trainee', 'practised', 'expert')`)],
);

export const products = sqliteTable('products', {
  id: text('id').primaryKey(),
  data: json<{ v: 1; product: Product }>()('data').notNull(),
  stocked: integer('stocked', { mode: 'boolean' }).notNull().default(true),
  version: integer('version').notNull().default(1),
});

export const services = sqliteTable('services', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  says: text('says').notNull(),
  zones: json<readonly ZoneRef[]>()('zones').notNull(),
  place: integer('place').notNull(),
  active: integer('active', { mode: 'boolean' }).notNull().default(true),
});

/**
 * The studio's own changes of the screening rules, with who and why. Append-only (drizzle/0003): a visit names the set
 * it was judged by.
 */
export const ruleChanges = sqliteTable(
  'rule_changes',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    code: text('code').notNull(),
    outcome: text('outcome', { enum: ['go', 'adapt', 'postpone', 'decline'] }),
    waitDays: integer('wait_days'),
    reason: text('reason').notNull(),
    personId: text('person_id').references(() => people.id),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [check('rule_changes_says', sql`${t.outcome} is not null or ${t.waitDays} is not null`)],
);

/** The studio's own choices where practitioners disagree, with who and why; the last one counts. Append-only. */
export const wayChanges = sqliteTable('way_changes', {
  seq: integer('seq').primaryKey({ autoIncrement: true }),
  way: text('way').notNull(),
  choice: text('choice').notNull(),
  reason: text('reason').notNull(),
  personId: text('person_id').references(() => people.id),
  atMs: integer('at_ms').notNull(),
});

/** The studio's own words, each version as it was: what was signed stays readable. Append-only. */
export const studioTexts = sqliteTable(
  'studio_texts',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    kind: text('kind', { enum: ['consent', 'guardian', 'care'] }).notNull(),
    /** Paragraphs with a line between; empty = the shipped words again. */
    words: text('words').notNull(),
    personId: text('person_id').references(() => people.id),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [check('studio_texts_kind', sql`${t.kind} in ('consent', 'guardian', 'care')`)],
);
