import { asc, desc, eq, max } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { people, services, studio, studioTexts, wayChanges } from '../db/schema';

export type WayChangeRow = typeof wayChanges.$inferSelect;
export const wayChangesOf = (db: DbOrTx): WayChangeRow[] =>
  db.select().from(wayChanges).orderBy(asc(wayChanges.seq)).all();
export const insertWayChange = (db: DbOrTx, row: typeof wayChanges.$inferInsert): void => {
  db.insert(wayChanges).values(row).run();
};

export type StudioTextRow = typeof studioTexts.$inferSelect;
/** Versions of a text, the newest first. */
export const textsOf = (db: DbOrTx, kind: StudioTextRow['kind']): StudioTextRow[] =>
  db.select().from(studioTexts).where(eq(studioTexts.kind, kind)).orderBy(desc(studioTexts.seq)).all();
export const insertText = (db: DbOrTx, row: typeof studioTexts.$inferInsert): void => {
  db.insert(studioTexts).values(row).run();
};

export const renameStudio = (
  db: DbOrTx,
  facts: { readonly name: string; readonly timeZone: string; readonly currency: string },
): void => {
  db.update(studio).set(facts).where(eq(studio.id, 1)).run();
};

export type ServiceRow = typeof services.$inferSelect;
/** Those that are offered no more are among them: visits and lines of money name them. */
export const allServices = (db: DbOrTx): ServiceRow[] => db.select().from(services).orderBy(asc(services.place)).all();
export const putService = (db: DbOrTx, row: typeof services.$inferInsert): void => {
  const { name, says, zones, active } = row;
  db.insert(services)
    .values(row)
    .onConflictDoUpdate({ target: services.id, set: { name, says, zones, active: active ?? true } })
    .run();
};
export const lastServicePlace = (db: DbOrTx): number =>
  db
    .select({ place: max(services.place) })
    .from(services)
    .get()?.place ?? -1;

/** Everybody who ever worked here. */
export const everybody = (db: DbOrTx): (typeof people.$inferSelect)[] => db.select().from(people).all();
export const insertPerson = (db: DbOrTx, row: typeof people.$inferInsert): void => {
  db.insert(people).values(row).run();
};
export const updatePerson = (db: DbOrTx, id: string, row: Partial<typeof people.$inferInsert>): void => {
  db.update(people).set(row).where(eq(people.id, id)).run();
};
