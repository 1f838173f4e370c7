// Takes a person out of the file. The rows that money, material and time hang on stay as husks without a word of them.

import 'server-only';
import { and, count, eq, gte, inArray, isNotNull, lte, or, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { EMPTY_PROFILE } from '../db/upSteps';
import {
  bookings,
  careTold,
  charts,
  clientEdits,
  clients,
  consentEnds,
  consents,
  erasing,
  erasures,
  forms,
  homeCare,
  ledgerEntries,
  messages,
  outlooks,
  pastVisits,
  plans,
  readings,
  requests,
  tableJournal,
  visits,
  waiting,
  worked,
} from '../db/schema';
import type { Consult } from '../db/schema';

export type ErasureRow = typeof erasures.$inferSelect;
export const erasureOf = (db: DbOrTx, clientId: string): ErasureRow | undefined =>
  db.select().from(erasures).where(eq(erasures.clientId, clientId)).get();
export const erasuresDue = (db: DbOrTx, today: string): ErasureRow[] =>
  db
    .select()
    .from(erasures)
    .where(and(isNotNull(erasures.consentsUntil), lte(erasures.consentsUntil, today)))
    .all();
export const putErasure = (db: DbOrTx, row: typeof erasures.$inferInsert): void => {
  db.insert(erasures).values(row).run();
};

export const moneyLinesOf = (db: DbOrTx, clientId: string): number =>
  db.select({ n: count() }).from(ledgerEntries).where(eq(ledgerEntries.clientId, clientId)).get()?.n ?? 0;
export const consentsCount = (db: DbOrTx, clientId: string): number =>
  db.select({ n: count() }).from(consents).where(eq(consents.clientId, clientId)).get()?.n ?? 0;
/** A visit at whose table something was done within this is under way. */
const AT_TABLE_MS = 6 * 3_600_000;
/** True where a visit of this client is open and something was done at its table lately. */
export const isAtTable = (db: DbOrTx, clientId: string, nowMs: number): boolean =>
  db
    .select({ id: visits.id })
    .from(visits)
    .innerJoin(tableJournal, eq(tableJournal.visitId, visits.id))
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'open'), gte(tableJournal.atMs, nowMs - AT_TABLE_MS)))
    .get() !== undefined;

const NOTHING_SAID: Consult = {
  v: 2,
  ...{ facts: [], asked: [], unsure: [], spots: [], services: [], overrides: [] },
  ...{ consent: false, guardianConsent: false, sensitivity: 3, judged: null, confirmedAtMs: null },
  agreed: { howMuch: [], coldPack: false, company: 'either', tweezing: false, words: '' },
};

/** Whatever append-only tables hold gives way inside of `run`; to be run in one transaction. */
export function whileErasing(db: DbOrTx, clientId: string, run: () => void): void {
  db.insert(erasing).values({ clientId }).run();
  run();
  db.delete(erasing).run();
}

export const dropConsents = (db: DbOrTx, clientId: string): void => {
  db.delete(consents).where(eq(consents.clientId, clientId)).run();
  db.delete(consentEnds).where(eq(consentEnds.clientId, clientId)).run();
};

/** Remembered answers that name one of these. */
function dropRequestsAbout(db: DbOrTx, ids: ReadonlySet<string>): void {
  const rows = db.all<{ id: string; text: string }>(
    sql`select id, what || ' ' || cast(answer as text) as text from ${requests}`,
  );
  for (const { id, text } of rows) {
    const isAbout = (text.match(/[\w-]+/g) ?? []).some((word) => ids.has(word));
    if (isAbout) db.delete(requests).where(eq(requests.id, id)).run();
  }
}

/** Everything of a person but signed consents; the card, visits and bookings stay as husks. */
export function emptyPerson(db: DbOrTx, clientId: string, name: string, nowMs: number): void {
  const own = db.select({ id: visits.id }).from(visits).where(eq(visits.clientId, clientId)).all();
  const booked = db.select({ id: bookings.id }).from(bookings).where(eq(bookings.clientId, clientId)).all();
  const filled = db.select({ id: forms.id }).from(forms).where(eq(forms.clientId, clientId)).all();
  const visitIds = own.map((v) => v.id);
  const ids = [clientId, ...visitIds, ...booked.map((b) => b.id), ...filled.map((f) => f.id)];
  db.delete(messages).where(eq(messages.clientId, clientId)).run();
  db.delete(pastVisits).where(eq(pastVisits.clientId, clientId)).run();
  db.delete(waiting).where(eq(waiting.clientId, clientId)).run();
  db.delete(outlooks).where(eq(outlooks.clientId, clientId)).run();
  db.delete(forms).where(eq(forms.clientId, clientId)).run();
  db.delete(clientEdits).where(eq(clientEdits.clientId, clientId)).run();
  for (const table of [charts, readings, careTold, homeCare, worked, tableJournal]) {
    db.delete(table).where(inArray(table.visitId, visitIds)).run();
  }
  const done = db
    .select({ id: visits.bookingId })
    .from(visits)
    .where(and(eq(visits.clientId, clientId), eq(visits.status, 'closed'), isNotNull(visits.bookingId)));
  db.update(bookings)
    // what was done stands in the day as it was worked; nobody comes for the rest
    .set({ zones: [], note: '', status: sql`case when id in ${done} then status else 'cancelled' end` })
    .where(eq(bookings.clientId, clientId))
    .run();
  db.update(visits)
    .set({ consult: NOTHING_SAID, planHash: null, status: 'closed', closedAtMs: sql`coalesce(closed_at_ms, ${nowMs})` })
    .where(eq(visits.clientId, clientId))
    .run();
  db.delete(plans)
    .where(
      or(
        inArray(plans.visitId, visitIds),
        inArray(
          plans.bookingId,
          booked.map((b) => b.id),
        ),
      ),
    )
    .run();
  db.update(ledgerEntries).set({ words: '' }).where(eq(ledgerEntries.clientId, clientId)).run();
  dropRequestsAbout(db, new Set(ids));
  db.update(clients)
    .set({ ...{ name, byline: '', bornOn: null, phone: '', note: '', profile: EMPTY_PROFILE }, archivedAtMs: nowMs })
    .where(eq(clients.id, clientId))
    .run();
}

/** Merges the index of words, so that none of a gone name is left in an older part of it. */
export const tidySearch = (db: DbOrTx): void => {
  db.run(sql`insert into client_search (client_search) values ('optimize')`);
};

/** Bytes of the data file. */
export const fileBytes = (db: DbOrTx): number =>
  db.get<{ bytes: number }>(sql`select page_count * page_size as bytes from pragma_page_count(), pragma_page_size()`)
    .bytes;
