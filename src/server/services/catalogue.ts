// The studio's catalogue: what it works with, as it is entered, changed, put on or off the shelf, taken in from a file
// and written to one.

import { isDeepStrictEqual } from 'node:util';
import 'server-only';
import {
  COST_PARTS,
  holdOf,
  SHIPPED_COUNTS,
  SHIPPED_LEFTOVERS,
  SHIPPED_PREFERENCES,
  type Counts,
  type HoldShift,
  type LearnedHold,
  type Leftovers,
  type Preferences,
} from '../../core/matching';
import { productFaults, SHIPPED_PRODUCTS, type Product } from '../../core/products';
import { ok } from '../../core/shared';
import { readProducts as readProductFile, writeProducts } from '../../formats/productFile';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { Choosing } from '../db/schema/documents';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import {
  allProducts,
  insertProduct,
  readPeople,
  readProduct,
  readStudio,
  setSettings,
  updateProduct,
  type ProductRow,
} from '../repos/studioRepo';
import { learnedHold } from './studioHold';

export interface CatalogueRow {
  readonly product: Product;
  readonly stocked: boolean;
  readonly version: number;
  /** As shipped, changed from what was shipped, or the studio's own. */
  readonly origin: 'shipped' | 'changed' | 'own';
  /** What the strips read in this studio say of its body. */
  readonly hold: HoldShift;
}

export interface Catalogue {
  readonly rows: readonly CatalogueRow[];
  readonly currency: string;
  readonly roomC: number;
  readonly counts: Counts;
  readonly preferences: Preferences;
  readonly leftovers: Leftovers;
  /** What a practitioner reaches for first, by person; who is not there does as the house. */
  readonly firstOf: NonNullable<Choosing['firstOf']>;
  /** Orders of laying that can be remembered, or the quickest. */
  readonly order: NonNullable<Choosing['order']>;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly studioVersion: number;
}

/** Everything that was read so far. */
const EVER = '9999-12-31';

const alike = (a: Product, b: Product): boolean => JSON.stringify(a) === JSON.stringify(b);

function originOf(product: Product): CatalogueRow['origin'] {
  const shipped = SHIPPED_PRODUCTS.find((p) => p.id === product.id);
  if (!shipped) return 'own';
  return alike(shipped, product) ? 'shipped' : 'changed';
}

/** What taking in a product would do. */
function doesTo(row: ProductRow | undefined, product: Product): ProductLines['lines'][number]['does'] {
  if (!row) return 'new';
  return alike(row.data.product, product) ? 'same' : 'changes';
}

function rowOf({ data, stocked, version }: ProductRow, learned: LearnedHold): CatalogueRow {
  return {
    // the figure that plans are made with
    hold: { strips: learned[data.product.body].strips, shift: holdOf(learned)[data.product.body] ?? 0 },
    product: data.product,
    stocked,
    version,
    origin: originOf(data.product),
  };
}

export function loadCatalogue(db: Db): ServiceResult<Catalogue> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { choosing } = studio.settings;
  const learned = learnedHold(db, EVER);
  return ok({
    rows: allProducts(db).map((row) => rowOf(row, learned)),
    currency: studio.currency,
    roomC: studio.settings.roomC,
    counts: Object.fromEntries(COST_PARTS.map((p) => [p, choosing?.counts?.[p] ?? SHIPPED_COUNTS[p]])) as Counts,
    preferences: { ...SHIPPED_PREFERENCES, ...given(choosing?.preferences) },
    leftovers: { ...SHIPPED_LEFTOVERS, ...given(choosing?.leftovers) },
    firstOf: choosing?.firstOf ?? {},
    order: choosing?.order ?? 'followable',
    people: readPeople(db).map(({ id, name }) => ({ id, name })),
    studioVersion: studio.version,
  });
}

const invalid = (faults: readonly { readonly path: string; readonly message: string }[]): ServiceResult<never> => ({
  ok: false,
  error: { code: 'invalid', message: 'The product cannot be kept like this. Nothing was changed.', details: faults },
});

/** Enters a product (`version` null) or changes one; the last product on the shelf stays there. */
export function saveProduct(
  db: Db,
  body: { readonly version: number | null; readonly product: Product; readonly stocked: boolean },
): ServiceResult<null> {
  const faults = productFaults(body.product);
  if (faults.length > 0) return invalid(faults);
  return atomically(db, () => {
    const known = readProduct(db, body.product.id);
    if (body.version === null) {
      if (known) return refused(`A product "${body.product.id}" is there already.`, 'product.id');
      insertProduct(db, body.product, body.stocked);
      return ok(null);
    }
    if (!known) return notFound('product');
    if (!body.stocked && !allProducts(db).some((p) => p.stocked && p.id !== known.id)) {
      return refused('The last product on the shelf stays there: nothing could be planned without it.', 'stocked');
    }
    if (known.version !== body.version || !updateProduct(db, body.product, body.stocked, body.version)) {
      return stale(rowOf(known, learnedHold(db, EVER)));
    }
    return ok(null);
  });
}

export interface ProductLines {
  readonly lines: readonly { readonly id: string; readonly name: string; readonly does: 'new' | 'changes' | 'same' }[];
}

export interface ProductImport extends ProductLines {
  /** As it stands after the file was taken in; null where it was only looked at. */
  readonly catalogue: Catalogue | null;
}

/** What was taken in, with the catalogue as it then stands. */
export function withCatalogue(db: Db, { lines }: ProductLines, taken: boolean): ServiceResult<ProductImport> {
  if (!taken) return ok({ lines, catalogue: null });
  const catalogue = loadCatalogue(db);
  return catalogue.ok ? ok({ lines, catalogue: catalogue.value }) : catalogue;
}

/** Shows what a file would do, or does it: all of it or nothing. What is off the shelf stays off. */
export function importProducts(
  db: Db,
  body: { readonly text: string; readonly commit: boolean },
): ServiceResult<ProductLines> {
  const read = readProductFile(body.text);
  if (!read.ok) {
    return {
      ok: false,
      error: { code: 'invalid', message: 'The file cannot be taken in. Nothing was changed.', details: read.faults },
    };
  }
  return atomically(db, () => {
    const known = new Map(allProducts(db).map((p) => [p.id, p]));
    const lines = read.value.map((p) => {
      const row = known.get(p.id);
      return {
        id: p.id,
        name: p.name,
        does: doesTo(row, p),
      };
    });
    if (!body.commit) return ok({ lines });
    for (const p of read.value) {
      const row = known.get(p.id);
      if (!row) insertProduct(db, p, true);
      else if (JSON.stringify(row.data.product) !== JSON.stringify(p)) {
        mustWrite(updateProduct(db, p, row.stocked, row.version), 'the product');
      }
    }
    return ok({ lines });
  });
}

export const exportProducts = (db: Db): string => writeProducts(allProducts(db).map((p) => p.data.product));

/** What is set in an object. */
const given = <T extends object>(some: T | undefined): { [K in keyof T]?: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(some ?? {}).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };

/** What differs from the shipped; undefined where nothing does. */
function differing<T extends object>(value: T, shipped: T): Partial<T> | undefined {
  const own = Object.entries(value).filter(([key, v]) => !isDeepStrictEqual(v, shipped[key as keyof T]));
  return own.length === 0 ? undefined : (Object.fromEntries(own) as Partial<T>);
}

/** Sets what counts when products are compared and what the house would rather use; what is as shipped is not kept. */
export function saveChoosing(
  db: Db,
  body: { readonly version: number } & Pick<Catalogue, 'counts' | 'preferences' | 'leftovers' | 'firstOf' | 'order'>,
): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    const choosing = given({
      counts: differing(body.counts, SHIPPED_COUNTS),
      preferences: differing(body.preferences, SHIPPED_PREFERENCES),
      leftovers: differing(body.leftovers, SHIPPED_LEFTOVERS),
      firstOf: Object.keys(body.firstOf).length === 0 ? undefined : body.firstOf,
      order: body.order === 'followable' ? undefined : body.order,
    });
    const settings = { ...studio.settings, choosing: Object.keys(choosing).length === 0 ? undefined : choosing };
    if (studio.version === body.version && setSettings(db, settings, body.version)) return ok(null);
    const newer = loadCatalogue(db);
    return stale(newer.ok ? newer.value : null);
  });
}
