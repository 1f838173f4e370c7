import { describe, expect, it, vi } from 'vitest';
import { boundsOf, productFaults, SHIPPED_PRODUCTS } from '@/core/products';
import { idFrom, keepDraft, readDraft, valueAt, withValue } from './draft';

const [film] = SHIPPED_PRODUCTS;
if (!film) throw new Error('a catalogue');

describe('a product by path', () => {
  it('reads and writes single figures and leaves the rest alone', () => {
    const warmer = withValue(film, 'manners.tab.labelC.max', 66);
    expect(valueAt(warmer, 'manners.tab.labelC.max')).toBe(66);
    expect(valueAt(film, 'manners.tab.labelC.max')).toBe(64);
    expect(valueAt(withValue(film, 'viscosity[1][0]', 4), 'viscosity')).toEqual([
      [15, 52],
      [4, 62],
    ]);
    expect(warmer.setting).toBe(film.setting);
    expect(valueAt(film, 'manners.hand.labelC.min')).toBeUndefined();
  });
  it('an emptied figure is asked for by its field', () => {
    expect(productFaults(withValue(film, 'manners.tab.thicknessMm.usual', Number.NaN)).map((f) => f.path)).toContain(
      'manners.tab.thicknessMm.usual',
    );
  });
  it('is kept as a draft with the version it began from, emptied figures and all', () => {
    const store = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (k: string) => store.get(k) ?? null,
      setItem: (k: string, v: string) => store.set(k, v),
      removeItem: (k: string) => store.delete(k),
    });
    const draft = { product: withValue(SHIPPED_PRODUCTS[2] ?? film, 'packKg', Number.NaN), version: 3 };
    keepDraft('soft', draft);
    expect(readDraft('soft')).toEqual(draft);
    keepDraft('new', { product: film, version: null });
    expect(readDraft('new')?.version).toBeNull();
    keepDraft('soft', null);
    expect(readDraft('soft')).toBeNull();
    vi.unstubAllGlobals();
  });
  it('makes ids out of names', () => {
    expect(idFrom('Film wax, beads (2)')).toBe('film-wax-beads-2');
    expect(idFrom('Crème à l’été')).toBe('creme-a-l-ete');
    expect(boundsOf(`manners.tab.${'labelC.min'}`)?.unit).toBe('°C');
  });
});
