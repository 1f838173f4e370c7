// A visit, its charts, its plan, the journal of the table, what was read, and the care told.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Plan } from '../../../core/plan';
import { bookings, clients } from './clients';
import type { ChartData, Consult, Reading } from './documents';
import { people } from './studio';

/** Plans by the SHA-256 of the case that they answer: derived data, kept so that nothing is computed twice. */
export const plans = sqliteTable('plans', {
  caseHash: text('case_hash').primaryKey(),
  plan: text('plan', { mode: 'json' }).$type<Plan>().notNull(),
  computedAtMs: integer('computed_at_ms').notNull(),
});

export const visits = sqliteTable(
  'visits',
  {
    id: text('id').primaryKey(),
    bookingId: text('booking_id')
      .unique()
      .references(() => bookings.id),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    /** Civil date of the visit in the studio's zone. */
    onDate: text('on_date').notNull(),
    status: text('status', { enum: ['open', 'closed'] })
      .notNull()
      .default('open'),
    consult: text('consult', { mode: 'json' }).$type<Consult>().notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    closedAtMs: integer('closed_at_ms'),
    /** How a closed visit ended; null = done. */
    endedAs: text('ended_as', { enum: ['postponed', 'declined'] }),
    /** The plan by which the visit was worked, set when it is closed. */
    planHash: text('plan_hash').references(() => plans.caseHash),
    /** Rises with every change of the visit, its charts or readings. */
    version: integer('version').notNull().default(1),
  },
  (t) => [
    index('visits_client').on(t.clientId, t.onDate),
    check('visits_status', sql`${t.status} in ('open', 'closed')`),
  ],
);

export const charts = sqliteTable(
  'charts',
  {
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    zone: text('zone').notNull(),
    side: text('side', { enum: ['left', 'right', 'middle'] }).notNull(),
    place: integer('place').notNull(),
    data: text('data', { mode: 'json' }).$type<ChartData>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.visitId, t.zone, t.side] }),
    check('charts_side', sql`${t.side} in ('left', 'right', 'middle')`),
  ],
);

/** Append-only: triggers refuse every update and delete (drizzle/0001). */
export const tableJournal = sqliteTable(
  'table_journal',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    /** Made by the tablet, so that sending twice writes once. */
    id: text('id').notNull(),
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    atMs: integer('at_ms').notNull(),
    kind: text('kind').notNull(),
    data: text('data', { mode: 'json' }).$type<Readonly<Record<string, string | number>>>().notNull(),
  },
  (t) => [uniqueIndex('table_journal_id').on(t.id), index('table_journal_visit').on(t.visitId, t.seq)],
);

export const readings = sqliteTable(
  'readings',
  {
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    zone: text('zone').notNull(),
    side: text('side', { enum: ['left', 'right', 'middle'] }).notNull(),
    data: text('data', { mode: 'json' }).$type<Reading>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.visitId, t.zone, t.side] })],
);

export const careTold = sqliteTable(
  'care_told',
  {
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    place: integer('place').notNull(),
    whenTold: text('when_told', { enum: ['before', 'after'] }).notNull(),
    fromH: integer('from_h').notNull(),
    toH: integer('to_h').notNull(),
    text: text('text').notNull(),
  },
  (t) => [primaryKey({ columns: [t.visitId, t.place] })],
);
