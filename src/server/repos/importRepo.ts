// Tables of clients that are being taken in, or were.

import { eq, lt } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { imports } from '../db/schema';

export type ImportRow = typeof imports.$inferSelect;

export const insertImport = (db: DbOrTx, row: ImportRow): void => {
  db.insert(imports).values(row).run();
};
export const readImportRow = (db: DbOrTx, id: string): ImportRow | undefined =>
  db.select().from(imports).where(eq(imports.id, id)).get();
export const unfinishedImports = (db: DbOrTx): { readonly id: string }[] =>
  db.select({ id: imports.id }).from(imports).where(lt(imports.taken, imports.total)).all();
export const setTaken = (db: DbOrTx, id: string, taken: number): void => {
  db.update(imports).set({ taken }).where(eq(imports.id, id)).run();
};
/** Once all is taken the cards stand by themselves. */
export const forgetTable = (db: DbOrTx, id: string): void => {
  db.update(imports).set({ csv: '' }).where(eq(imports.id, id)).run();
};
