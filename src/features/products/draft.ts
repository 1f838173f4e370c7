// A product while it is being edited: read and written by path (`manners.tab.labelC.min`, `viscosity[0][1]`), kept on
// this tablet until it is saved or given up. An emptied number is NaN: the core's check then asks for it.

import type { Product } from '@/core/products';

type Node = Readonly<Record<string, unknown>> | readonly unknown[];
const partsOf = (path: string): readonly string[] => path.split(/[.[\]]+/).filter(Boolean);
const isNode = (value: unknown): value is Node => value !== null && typeof value === 'object';

export function valueAt(product: Product, path: string): unknown {
  return partsOf(path).reduce<unknown>(
    (at, key) => (isNode(at) ? (at as Readonly<Record<string, unknown>>)[key] : undefined),
    product,
  ); // arrays are read by index too
}

function put(at: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(at)) return at.map((v: unknown, i) => (String(i) === key ? put(v, rest, value) : v));
  const node = isNode(at) ? at : {};
  return { ...node, [key]: put((node as Readonly<Record<string, unknown>>)[key], rest, value) };
}

/** A new product with one value changed; the rest is shared. Undefined takes a field away. */
export const withValue = (product: Product, path: string, value: unknown): Product =>
  put(product, partsOf(path), value) as Product; // the shape is checked again before it is sent

/** `Film wax, beads, 2` → `film-wax-beads-2`. */
export const idFrom = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);

const keyOf = (id: string): string => `strickle-product-${id}`;
const asText = (draft: Draft): string =>
  JSON.stringify(draft, (_, v: unknown) => (typeof v === 'number' && Number.isNaN(v) ? null : v));

/** A draft and the version that it began from: what another tablet has saved since is not overwritten in silence. */
export interface Draft {
  readonly product: Product;
  readonly version: number | null;
}

export function keepDraft(id: string, draft: Draft | null): void {
  try {
    if (draft === null) localStorage.removeItem(keyOf(id));
    else localStorage.setItem(keyOf(id), asText(draft));
  } catch {
    // a full or forbidden store: the page still holds it
  }
}

export function readDraft(id: string): Draft | null {
  try {
    const text = localStorage.getItem(keyOf(id));
    return text === null
      ? null
      : (JSON.parse(text, (key, v: unknown) =>
          v === null && key !== 'setting' && key !== 'version' ? Number.NaN : v,
        ) as Draft); // written by keepDraft only
  } catch {
    return null;
  }
}
