// Clients and their bookings.

import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { json } from '../json';
import type { ClientProfile, ZoneRef } from './documents';
import { people } from './studio';

export const clients = sqliteTable(
  'clients',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    /** What the studio knows the client by, e.g. `rows in the eight`. */
    byline: text('byline').notNull().default(''),
    bornOn: text('born_on'),
    phone: text('phone').notNull().default(''),
    note: text('note').notNull().default(''),
    profile: json<ClientProfile>()('profile').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    /** Put away: no longer found by default; the record stays whole. */
    archivedAtMs: integer('archived_at_ms'),
    /** The table that it came in with; null = made here. */
    importId: text('import_id'),
    version: integer('version').notNull().default(1),
  },
  (t) => [
    index('clients_name').on(t.name),
    index('clients_import')
      .on(t.importId)
      .where(sql`import_id is not null`),
    check('clients_named', sql`length(trim(${t.name})) > 0`),
  ],
);

export const bookings = sqliteTable(
  'bookings',
  {
    id: text('id').primaryKey(),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    startsAtMs: integer('starts_at_ms').notNull(),
    minutes: integer('minutes').notNull(),
    zones: json<readonly ZoneRef[]>()('zones').notNull(),
    /** A word on it, e.g. `patch test`. */
    note: text('note').notNull().default(''),
    status: text('status', { enum: ['booked', 'cancelled', 'missed'] })
      .notNull()
      .default('booked'),
    version: integer('version').notNull().default(1),
  },
  (t) => [
    index('bookings_start').on(t.startsAtMs),
    index('bookings_client').on(t.clientId),
    check('bookings_minutes', sql`${t.minutes} between 5 and 600`),
    check('bookings_status', sql`${t.status} in ('booked', 'cancelled', 'missed')`),
  ],
);

/** When a practitioner is not there, by hand or out of their own calendar. */
export const absences = sqliteTable(
  'absences',
  {
    id: text('id').primaryKey(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    fromMs: integer('from_ms').notNull(),
    toMs: integer('to_ms').notNull(),
    why: text('why').notNull(),
    source: text('source', { enum: ['hand', 'calendar'] }).notNull(),
  },
  (t) => [
    index('absences_person').on(t.personId, t.fromMs),
    check('absences_span', sql`${t.toMs} > ${t.fromMs}`),
    check('absences_source', sql`${t.source} in ('hand', 'calendar')`),
  ],
);

/** Who waits for a place: with whom, on which days, until when. */
export const waiting = sqliteTable(
  'waiting',
  {
    id: text('id').primaryKey(),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    /** Null = with anybody. */
    personId: text('person_id').references(() => people.id),
    /** Weekdays that suit, 0 Monday … 6 Sunday. */
    weekdays: json<readonly number[]>()('weekdays').notNull(),
    /** Minutes of the day between which it suits. */
    fromMin: integer('from_min').notNull(),
    toMin: integer('to_min').notNull(),
    words: text('words').notNull().default(''),
    createdAtMs: integer('created_at_ms').notNull(),
  },
  (t) => [uniqueIndex('waiting_client').on(t.clientId), check('waiting_span', sql`${t.toMin} > ${t.fromMin}`)],
);

/** Who changed what on a card, and when. Append-only (drizzle/0003). */
export const clientEdits = sqliteTable(
  'client_edits',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    personId: text('person_id').references(() => people.id),
    atMs: integer('at_ms').notNull(),
    changes:
      json<readonly { readonly field: string; readonly from: string; readonly to: string }[]>()('changes').notNull(),
  },
  (t) => [index('client_edits_client').on(t.clientId, t.seq)],
);
