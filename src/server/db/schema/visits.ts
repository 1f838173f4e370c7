// A visit, its charts, its plan, the journal of the table, what was read, and the care told.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { json, packedJson } from '../json';
import type { HomeCareId } from '../../../core/care';
import type { Plan } from '../../../core/plan';
import { bookings, clients } from './clients';
import type { ChartData, Consult, Reading } from './documents';
import { people } from './studio';

/** Plans by the SHA-256 of the case that they answer: derived data, kept so that nothing is computed twice. */
export const plans = sqliteTable(
  'plans',
  {
    caseHash: text('case_hash').primaryKey(),
    plan: packedJson<Plan>()('plan').notNull(),
    computedAtMs: integer('computed_at_ms').notNull(),
    /** Hash of the core that made it; empty on plans of before it was kept. */
    engines: text('engines').notNull().default(''),
    /** Whose it is: a visit's, or a look ahead at a booking. */
    visitId: text('visit_id'),
    bookingId: text('booking_id'),
    /** Rises with every plan: which of two is the newer. */
    seq: integer('seq').notNull().default(0),
  },
  (t) => [index('plans_visit').on(t.visitId), index('plans_booking').on(t.bookingId), index('plans_seq').on(t.seq)],
);

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
    consult: json<Consult>()('consult').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    closedAtMs: integer('closed_at_ms'),
    /** Minutes without turnover by its plan, and from the first act at the table to the last; null = not known. */
    plannedMin: real('planned_min'),
    tableMin: real('table_min'),
    /** How a closed visit ended; null = done. */
    endedAs: text('ended_as', { enum: ['postponed', 'declined'] }),
    /** The plan by which the visit was worked, set when it is closed. */
    planHash: text('plan_hash').references(() => plans.caseHash),
    /** Rises with every change of the visit, its charts or readings. */
    version: integer('version').notNull().default(1),
    /** Versions of the visit at which its consultation and its list of zones were last written. */
    consultVersion: integer('consult_version').notNull().default(1),
    zonesVersion: integer('zones_version').notNull().default(1),
  },
  (t) => [
    index('visits_client').on(t.clientId, t.onDate),
    // with what every look at a client's past asks, so that no consultation is read for it
    index('visits_past').on(t.clientId, t.status, t.endedAs, t.onDate, t.createdAtMs, t.id),
    // the ledger's days: what was done in a span of time and by whom, so that no consultation is read for it
    index('visits_on').on(t.onDate, t.status, t.endedAs, t.personId, t.id),
    // the latest that were closed: what a visit uses in the mean
    index('visits_closed')
      .on(t.closedAtMs, t.id)
      .where(sql`closed_at_ms is not null`),
    index('visits_plan').on(t.planHash),
    // how long a practitioner takes
    index('visits_timed')
      .on(t.personId, t.closedAtMs)
      .where(sql`table_min is not null`),
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
    data: json<ChartData>()('data').notNull(),
    /** Version of the visit at which it was last written. */
    version: integer('version').notNull().default(1),
    /** What later visits ask of it, beside the whole: length charted in mm (null = not readable), and by whom seen. */
    lengthMm: real('length_mm'),
    lookedAt: integer('looked_at', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [
    primaryKey({ columns: [t.visitId, t.zone, t.side] }),
    // holds all that is asked of a client's whole past, so that no chart is read for it
    index('charts_past').on(t.visitId, t.place, t.zone, t.side, t.lengthMm, t.lookedAt),
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
    data: json<Readonly<Record<string, string | number>>>()('data').notNull(),
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
    data: json<Reading>()('data').notNull(),
    /** Version of the visit at which it was last written. */
    version: integer('version').notNull().default(1),
  },
  (t) => [primaryKey({ columns: [t.visitId, t.zone, t.side] })],
);

/** What later pages need of a closed visit, zone by zone, so that no plan has to be read for it. */
export const worked = sqliteTable(
  'worked',
  {
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    place: integer('place').notNull(),
    zone: text('zone').notNull(),
    side: text('side', { enum: ['left', 'right', 'middle'] }).notNull(),
    product: text('product').notNull(),
    way: text('way').notNull(),
    /** Planned temperature at touch, °C; null where it was not warmed. */
    touchC: real('touch_c'),
    /** Felt peak that was planned and the limit of this skin without what was learned, °C; null = not kept then. */
    feltPeakC: real('felt_peak_c'),
    limitC: real('limit_c'),
    /** Of the skin on that day, 1–5. */
    sensitivity: integer('sensitivity').notNull().default(3),
    /** What its reading is compared with; null = planned before that was kept. The day is the visit's. */
    plannedOn: text('planned_on'),
    body: text('body'),
    strips: integer('strips'),
    passes: integer('passes'),
    /** Share of the hair that the plan said would be left, and the learned shift it was planned with. */
    expectedLeft: real('expected_left'),
    holdShift: real('hold_shift'),
    /** What it was worked with, when the hair is ready for that again (civil dates), how this person's hair grows. */
    family: text('family'),
    readyFrom: text('ready_from'),
    readyTo: text('ready_to'),
    rateFactor: real('rate_factor'),
    lagShift: real('lag_shift'),
  },
  (t) => [
    primaryKey({ columns: [t.visitId, t.place] }),
    index('worked_planned_on')
      .on(t.plannedOn)
      .where(sql`planned_on is not null`),
  ],
);

/** Per client and zone, from the visit at which it was last worked: when it is ready again for that. */
export const outlooks = sqliteTable(
  'outlooks',
  {
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    zone: text('zone').notNull(),
    side: text('side', { enum: ['left', 'right', 'middle'] }).notNull(),
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    place: integer('place').notNull(),
    lastOn: text('last_on').notNull(),
    family: text('family').notNull(),
    /** Null = not known, or never. */
    readyFrom: text('ready_from'),
    readyTo: text('ready_to'),
    rateFactor: real('rate_factor'),
    lagShift: real('lag_shift'),
  },
  (t) => [
    primaryKey({ columns: [t.clientId, t.zone, t.side] }),
    index('outlooks_ready').on(t.readyTo, t.visitId),
    index('outlooks_visit').on(t.visitId, t.lastOn),
    index('outlooks_last').on(t.lastOn),
  ],
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

/** What was advised for home at a visit, and what the client said of it at a later one. */
export const homeCare = sqliteTable(
  'home_care',
  {
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    item: text('item').$type<HomeCareId>().notNull(),
    /** Null = not asked, or not answered. */
    kept: text('kept', { enum: ['kept', 'partly', 'not'] }),
    /** The visit at which it was answered. */
    askedAt: text('asked_at').references(() => visits.id),
  },
  (t) => [
    primaryKey({ columns: [t.visitId, t.item] }),
    index('home_care_asked').on(t.askedAt),
    check('home_care_kept', sql`${t.kept} is null or ${t.kept} in ('kept', 'partly', 'not')`),
    check('home_care_said', sql`(${t.kept} is null) = (${t.askedAt} is null)`),
  ],
);
