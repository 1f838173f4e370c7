import { and, desc, eq, sql } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { consents, forms, messages } from '../db/schema';

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

export const insertMessage = (db: DbOrTx, row: typeof messages.$inferInsert): void => {
  db.insert(messages).values(row).run();
};
/** Latest first. */
export const messagesOf = (db: DbOrTx, clientId: string): MessageRow[] =>
  db.select().from(messages).where(eq(messages.clientId, clientId)).orderBy(desc(messages.createdAtMs)).all();
