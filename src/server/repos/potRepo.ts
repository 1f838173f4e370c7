import { and, asc, desc, eq, gte, lt, lte, sql } from 'drizzle-orm';
import type { Product } from '../../core/products';
import { quietly } from '../db/sinceWrite';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { potHeats, potNotes, pots, products } from '../db/schema';

export type PotRow = typeof pots.$inferSelect;
export type PotNoteRow = typeof potNotes.$inferSelect;

const potsInUse = prepared((db) =>
  db
    .select({ pot: pots, product: products.data })
    .from(pots)
    .innerJoin(products, eq(products.id, pots.productId))
    .where(eq(pots.active, true))
    .orderBy(asc(pots.channel))
    .prepare(),
);
/** Pots in use with what is in them, in the order of their channels. */
export const readPots = (db: DbOrTx): { readonly pot: PotRow; readonly product: Product }[] =>
  potsInUse(db)
    .all()
    .map((r) => ({ pot: r.pot, product: r.product.product }));
export const readPot = (db: DbOrTx, id: string): PotRow | undefined =>
  db.select().from(pots).where(eq(pots.id, id)).get();
export const insertPot = (db: DbOrTx, row: typeof pots.$inferInsert): void => {
  db.insert(pots).values(row).run();
};
/** False where the version is no longer the one that was read. */
export const updatePot = (
  db: DbOrTx,
  id: string,
  version: number,
  change: Partial<typeof pots.$inferInsert>,
): boolean =>
  db
    .update(pots)
    .set({ ...change, version: version + 1 })
    .where(and(eq(pots.id, id), eq(pots.version, version)))
    .run().changes === 1;

export const insertPotNote = (db: DbOrTx, row: typeof potNotes.$inferInsert): void => {
  quietly(db, () => db.insert(potNotes).values(row).run());
};
const lastNote = prepared((db) =>
  db
    .select()
    .from(potNotes)
    .where(and(eq(potNotes.potId, sql.placeholder('potId')), eq(potNotes.kind, sql.placeholder('kind'))))
    .orderBy(desc(potNotes.seq))
    .limit(1)
    .prepare(),
);
/** What was last measured by hand. */
export const lastMeasured = (db: DbOrTx, potId: string): PotNoteRow | undefined =>
  lastNote(db).get({ potId, kind: 'measured' });
/** When its thermostat was last set or switched. */
export const lastSet = (db: DbOrTx, potId: string): PotNoteRow | undefined => lastNote(db).get({ potId, kind: 'set' });
/** The last time before an instant that a pot felt right on the wrist, as it stood then; null where it never did. */
export function lastRight(
  db: DbOrTx,
  potId: string,
  beforeMs: number,
): { readonly atMs: number; readonly setC: number | null; readonly tempC: number | null } | null {
  const of = eq(potNotes.potId, potId);
  const right = db
    .select()
    .from(potNotes)
    .where(and(of, eq(potNotes.kind, 'wrist'), eq(potNotes.felt, 'right'), lt(potNotes.atMs, beforeMs)))
    // those of the table are written when its visit is closed
    .orderBy(desc(potNotes.atMs), desc(potNotes.seq))
    .limit(1)
    .get();
  if (!right) return null;
  const before = (kind: 'set' | 'measured', sinceMs: number): PotNoteRow | undefined =>
    db
      .select()
      .from(potNotes)
      .where(and(of, eq(potNotes.kind, kind), lte(potNotes.atMs, right.atMs), gte(potNotes.atMs, sinceMs)))
      .orderBy(desc(potNotes.atMs), desc(potNotes.seq))
      .limit(1)
      .get();
  const measured = right.tempC ?? before('measured', right.atMs - HELD_MS)?.tempC ?? null;
  return { atMs: right.atMs, setC: before('set', 0)?.tempC ?? null, tempC: measured };
}
/** A heat that was measured says what it was for so long, ms. */
const HELD_MS = 30 * 60_000;

/** The last notes of all pots, latest first. */
export const lastNotes = (db: DbOrTx, most: number): PotNoteRow[] =>
  db.select().from(potNotes).orderBy(desc(potNotes.seq)).limit(most).all();

export const insertPotHeat = (db: DbOrTx, row: typeof potHeats.$inferInsert): void => {
  quietly(db, () => db.insert(potHeats).values(row).onConflictDoNothing().run());
};
export const lastPotHeat = (db: DbOrTx, potId: string): typeof potHeats.$inferSelect | undefined =>
  db.select().from(potHeats).where(eq(potHeats.potId, potId)).orderBy(desc(potHeats.atMs)).limit(1).get();
export const dropPotHeatsBefore = (db: DbOrTx, atMs: number): void => {
  db.delete(potHeats).where(lt(potHeats.atMs, atMs)).run();
};
/** Heats of a span as they were written down, oldest first. */
export const potHeatsBetween = (db: DbOrTx, potId: string, fromMs: number, toMs: number): PotHeatRow[] =>
  db
    .select()
    .from(potHeats)
    .where(and(eq(potHeats.potId, potId), gte(potHeats.atMs, fromMs), lt(potHeats.atMs, toMs)))
    .orderBy(asc(potHeats.atMs))
    .all();
type PotHeatRow = typeof potHeats.$inferSelect;
