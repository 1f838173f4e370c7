// The client's side of the form, what was signed, and words given to the client.

import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { json } from '../json';
import { bookings, clients } from './clients';
import type { FormData, Signature } from './documents';
import { people } from './studio';
import { visits } from './visits';

export const forms = sqliteTable(
  'forms',
  {
    id: text('id').primaryKey(),
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    /** `filling`: with the client; `signed`: sent; `taken-back`: the practitioner took it back unsigned. */
    state: text('state', { enum: ['filling', 'signed', 'taken-back'] })
      .notNull()
      .default('filling'),
    data: json<FormData>()('data').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    endedAtMs: integer('ended_at_ms'),
    /** Wrong PINs in a row on this form, and until when none is taken. */
    wrongPins: integer('wrong_pins').notNull().default(0),
    pinWaitUntilMs: integer('pin_wait_until_ms').notNull().default(0),
    version: integer('version').notNull().default(1),
  },
  (t) => [
    index('forms_visit').on(t.visitId),
    check('forms_state', sql`${t.state} in ('filling', 'signed', 'taken-back')`),
  ],
);

/** Append-only (drizzle/0003): what was agreed, in the very words, and the signature as strokes. */
export const consents = sqliteTable(
  'consents',
  {
    id: text('id').primaryKey(),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    visitId: text('visit_id')
      .notNull()
      .references(() => visits.id),
    textVersion: integer('text_version').notNull(),
    words: text('words').notNull(),
    signedBy: text('signed_by', { enum: ['client', 'guardian'] }).notNull(),
    signerName: text('signer_name').notNull(),
    signature: json<Signature>()('signature').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [
    index('consents_client').on(t.clientId, t.atMs),
    check('consents_signer', sql`${t.signedBy} in ('client', 'guardian')`),
  ],
);

/** A consent that was taken back: nothing signed before it counts any more; what was signed stays as it was. */
export const consentEnds = sqliteTable(
  'consent_ends',
  {
    id: text('id').primaryKey(),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    atMs: integer('at_ms').notNull(),
    byId: text('by_id').references(() => people.id),
    /** How it was said: by hand, by phone, in a letter. */
    words: text('words').notNull(),
  },
  (t) => [index('consent_ends_client').on(t.clientId, t.atMs)],
);

/** The studio's own words of a message, each version as it was; the last one counts. Append-only (drizzle/0027). */
export const postTexts = sqliteTable('post_texts', {
  seq: integer('seq').primaryKey({ autoIncrement: true }),
  kind: text('kind', { enum: ['reminder', 'offer'] }).notNull(),
  /** With places to fill in braces; empty = the shipped words again. */
  words: text('words').notNull(),
  personId: text('person_id').references(() => people.id),
  atMs: integer('at_ms').notNull(),
});

export const messages = sqliteTable(
  'messages',
  {
    id: text('id').primaryKey(),
    clientId: text('client_id')
      .notNull()
      .references(() => clients.id),
    /** Null for what concerns a booking that no visit was opened for. */
    visitId: text('visit_id').references(() => visits.id),
    bookingId: text('booking_id').references(() => bookings.id),
    kind: text('kind', { enum: ['postponed', 'referral', 'after-care', 'reminder', 'offer'] }).notNull(),
    words: text('words').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    /** Put into the simulated post box; nothing leaves the machine. */
    postedAtMs: integer('posted_at_ms'),
  },
  (t) => [
    index('messages_client').on(t.clientId, t.createdAtMs),
    check('messages_kind', sql`${t.kind} in ('postponed', 'referral', 'after-care', 'reminder', 'offer')`),
    index('messages_booking').on(t.bookingId),
  ],
);
