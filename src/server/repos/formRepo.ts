import { and, desc, eq, gte, inArray, isNotNull, lt, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { consentEnds, consents, forms, messages, postTexts } from '../db/schema';

export type FormRow = typeof forms.$inferSelect;
export type ConsentRow = typeof consents.$inferSelect;
export type MessageRow = typeof messages.$inferSelect;

export const readForm = (db: DbOrTx, id: string): FormRow | undefined =>
  db.select().from(forms).where(eq(forms.id, id)).get();
export const insertForm = (db: DbOrTx, row: typeof forms.$inferInsert): void => {
  db.insert(forms).values(row).run();
};
/** Forms of a visit, latest first. */
export const formsOf = (db: DbOrTx, visitId: string): FormRow[] => formsByVisit(db).all({ visitId });
const formsByVisit = prepared((db) =>
  db
    .select()
    .from(forms)
    .where(eq(forms.visitId, sql.placeholder('visitId')))
    .orderBy(desc(forms.createdAtMs))
    .prepare(),
);

/** Writes a form if the version still stands; false where another write came first. */
export function updateForm(db: DbOrTx, id: string, version: number, row: Partial<typeof forms.$inferInsert>): boolean {
  return (
    db
      .update(forms)
      .set({ ...row, version: version + 1 })
      .where(and(eq(forms.id, id), eq(forms.version, version)))
      .run().changes === 1
  );
}
/** Counts PINs; it does not touch the version, so that a wrong PIN never costs the client an answer. */
export const notePins = (db: DbOrTx, id: string, wrongPins: number, pinWaitUntilMs: number): void => {
  db.update(forms).set({ wrongPins, pinWaitUntilMs }).where(eq(forms.id, id)).run();
};

export const insertConsent = (db: DbOrTx, row: typeof consents.$inferInsert): void => {
  db.insert(consents).values(row).run();
};
/** Latest first. */
export const consentsOf = (db: DbOrTx, clientId: string): ConsentRow[] =>
  db.select().from(consents).where(eq(consents.clientId, clientId)).orderBy(desc(consents.atMs)).all();

export type ConsentEndRow = typeof consentEnds.$inferSelect;
export const insertConsentEnd = (db: DbOrTx, row: ConsentEndRow): void => {
  db.insert(consentEnds).values(row).run();
};
/** Latest first. */
export const consentEndsOf = (db: DbOrTx, clientId: string): ConsentEndRow[] =>
  db.select().from(consentEnds).where(eq(consentEnds.clientId, clientId)).orderBy(desc(consentEnds.atMs)).all();

/** Of the days before; true where any did. */
export const dropMessagesBefore = (db: DbOrTx, beforeMs: number): boolean =>
  db.delete(messages).where(lt(messages.createdAtMs, beforeMs)).run().changes > 0;

export type PostTextRow = typeof postTexts.$inferSelect;
/** Versions of a message's words, the newest first. */
export const postTextsOf = (db: DbOrTx, kind: PostTextRow['kind']): PostTextRow[] =>
  db.select().from(postTexts).where(eq(postTexts.kind, kind)).orderBy(desc(postTexts.seq)).all();
export const insertPostText = (db: DbOrTx, row: typeof postTexts.$inferInsert): void => {
  db.insert(postTexts).values(row).run();
};

export const insertMessage = (db: DbOrTx, row: typeof messages.$inferInsert): void => {
  db.insert(messages).values(row).run();
};
/** Latest first. */
export const messagesOf = (db: DbOrTx, clientId: string): MessageRow[] =>
  db.select().from(messages).where(eq(messages.clientId, clientId)).orderBy(desc(messages.createdAtMs)).all();

const MOST_MESSAGES = 200;
/** What lies in the post box, latest first. */
export const latestMessages = (db: DbOrTx): MessageRow[] =>
  db
    .select()
    .from(messages)
    .where(isNotNull(messages.postedAtMs))
    .orderBy(desc(messages.postedAtMs), desc(messages.id))
    .limit(MOST_MESSAGES)
    .all();
export const readMessage = (db: DbOrTx, id: string): MessageRow | undefined =>
  db.select().from(messages).where(eq(messages.id, id)).get();
/** Those of the bookings that a reminder was written for. */
export const remindedBookings = (db: DbOrTx, bookingIds: readonly string[]): ReadonlySet<string> =>
  new Set(
    db
      .select({ id: messages.bookingId })
      .from(messages)
      .where(and(eq(messages.kind, 'reminder'), inArray(messages.bookingId, [...bookingIds])))
      .all()
      .flatMap((r) => (r.id === null ? [] : [r.id])),
  );
/** When a place was last offered to a client since an instant; null = not yet. */
export const lastOffer = (db: DbOrTx, clientId: string, sinceMs: number): number | null =>
  db
    .select({ atMs: messages.createdAtMs })
    .from(messages)
    .where(and(eq(messages.clientId, clientId), eq(messages.kind, 'offer'), gte(messages.createdAtMs, sinceMs)))
    .orderBy(desc(messages.createdAtMs))
    .limit(1)
    .get()?.atMs ?? null;
