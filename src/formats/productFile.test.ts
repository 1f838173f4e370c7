import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../core/products';
import { readProducts, writeProducts } from './productFile';

describe('a file of products', () => {
  it('comes back as it was written', () => {
    expect(readProducts(writeProducts(SHIPPED_PRODUCTS))).toEqual({ ok: true, value: SHIPPED_PRODUCTS });
  });
  const broken = (
    change: (file: { strickle: string; version: number; products: Record<string, unknown>[] }) => void,
  ): readonly string[] => {
    const file = JSON.parse(writeProducts(SHIPPED_PRODUCTS)) as {
      strickle: string;
      version: number;
      products: Record<string, unknown>[];
    };
    change(file);
    const read = readProducts(JSON.stringify(file));
    return read.ok ? [] : read.faults.map((f) => f.path);
  };
  it('is refused whole, with the path of each fault', () => {
    expect(
      broken((f) => {
        f.version = 2;
      }),
    ).toContain('version');
    expect(
      broken((f) => {
        f.strickle = 'chart';
      }),
    ).toContain('strickle');
    expect(
      broken((f) => {
        const [p] = f.products;
        if (p) p['colour'] = 'amber';
      }),
    ).toContain('products[0].colour');
    expect(
      broken((f) => {
        const p = f.products[2];
        if (p) p['grip'] = 'strong';
      }),
    ).toContain('products[2].grip');
    expect(
      broken((f) => {
        const p = f.products[1];
        if (p) p['packKg'] = 900;
      }),
    ).toContain('products[1].packKg');
    expect(
      broken((f) => {
        const [p] = f.products;
        if (p) f.products.push(p);
      }),
    ).toContain('products[6].id');
    expect(
      broken((f) => {
        f.products = [];
      }),
    ).toContain('products');
    expect(readProducts('{"strickle":')).toMatchObject({ ok: false, faults: [{ message: 'The file is not JSON.' }] });
  });
});
