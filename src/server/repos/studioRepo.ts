import { and, asc, eq, isNotNull, sql } from 'drizzle-orm';
import { SHIPPED_SERVICES, type Service } from '../../core/agreement';
import type { Product } from '../../core/products';
import type { DbOrTx } from '../db/openDatabase';
import { prepared } from '../db/prepared';
import { upSettings } from '../db/upSteps';
import { people, products, ruleChanges, services, studio } from '../db/schema';

export type StudioRow = typeof studio.$inferSelect;
export type PersonRow = typeof people.$inferSelect;

/** The one studio of this file; undefined before it has been set up. */
export const readStudio = (db: DbOrTx): StudioRow | undefined => {
  const row = theStudio(db).get();
  return row && { ...row, settings: upSettings(row.settings) };
};
const theStudio = prepared((db) => db.select().from(studio).where(eq(studio.id, 1)).prepare());
export const readPeople = (db: DbOrTx): PersonRow[] => peopleHere(db).all();
const peopleHere = prepared((db) => db.select().from(people).where(eq(people.active, true)).prepare());
export const readPerson = (db: DbOrTx, id: string): PersonRow | undefined => personById(db).get({ id });
const personById = prepared((db) =>
  db
    .select()
    .from(people)
    .where(eq(people.id, sql.placeholder('id')))
    .prepare(),
);
/** Names of all who ever worked here, by id. */
export const peopleNames = (db: DbOrTx): ReadonlyMap<string, string> =>
  new Map(
    db
      .select({ id: people.id, name: people.name })
      .from(people)
      .all()
      .map((p) => [p.id, p.name]),
  );
/** Stocked products in their order of entry. */
export const readProducts = (db: DbOrTx): Product[] =>
  stockedProducts(db)
    .all()
    .map((r) => r.data.product);
const stockedProducts = prepared((db) => db.select().from(products).where(eq(products.stocked, true)).prepare());

export type ProductRow = typeof products.$inferSelect;
/** Every product, on the shelf or not, in the order of entry. */
export const allProducts = (db: DbOrTx): ProductRow[] => db.select().from(products).all();
export const readProduct = (db: DbOrTx, id: string): ProductRow | undefined =>
  db.select().from(products).where(eq(products.id, id)).get();
export const insertProduct = (db: DbOrTx, product: Product, stocked: boolean): void => {
  db.insert(products)
    .values({ id: product.id, data: { v: 1, product }, stocked })
    .run();
};
/** False where the version is no longer the one that was read. */
export const updateProduct = (db: DbOrTx, product: Product, stocked: boolean, version: number): boolean =>
  db
    .update(products)
    .set({ data: { v: 1, product }, stocked, version: version + 1 })
    .where(and(eq(products.id, product.id), eq(products.version, version)))
    .run().changes === 1;
export const setSettings = (db: DbOrTx, settings: StudioRow['settings'], version: number): boolean =>
  db
    .update(studio)
    .set({ settings, version: version + 1 })
    .where(and(eq(studio.id, 1), eq(studio.version, version)))
    .run().changes === 1;

/** True once someone of the studio has chosen a PIN. */
export const anyPin = (db: DbOrTx): boolean =>
  db.select({ id: people.id }).from(people).where(isNotNull(people.pinHash)).get() !== undefined;
export const setPin = (db: DbOrTx, personId: string, pinHash: string): void => {
  db.update(people).set({ pinHash }).where(eq(people.id, personId)).run();
};

const servicesHere = prepared((db) =>
  db.select().from(services).where(eq(services.active, true)).orderBy(asc(services.place)).prepare(),
);
/** The studio's services in their order; the shipped ones where it has none of its own. */
export function readServices(db: DbOrTx): readonly Service[] {
  const rows = servicesHere(db).all();
  return rows.length === 0 ? SHIPPED_SERVICES : rows.map(({ id, name, says, zones }) => ({ id, name, says, zones }));
}

export type RuleChangeRow = typeof ruleChanges.$inferSelect;
/** The studio's changes of the rules in the order in which they were made. */
export const ruleChangesOf = (db: DbOrTx): RuleChangeRow[] => allRuleChanges(db).all();
const allRuleChanges = prepared((db) => db.select().from(ruleChanges).orderBy(asc(ruleChanges.seq)).prepare());
export const insertRuleChange = (db: DbOrTx, row: typeof ruleChanges.$inferInsert): void => {
  db.insert(ruleChanges).values(row).run();
};
