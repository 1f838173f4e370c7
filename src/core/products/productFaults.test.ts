import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from './catalogue';
import { boundsOf, productFaults } from './productFaults';
import type { Product } from './types';

const get = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const [film, soft, sugar] = [get('film-hard'), get('soft'), get('sugar-firm')];
const tab = film.manners.tab;
if (!tab) throw new Error('film wax has a tab');
const paths = (p: Product): readonly string[] => productFaults(p).map((f) => f.path);

describe('productFaults', () => {
  it('finds nothing wrong with what ships', () => {
    for (const p of SHIPPED_PRODUCTS) expect(productFaults(p)).toEqual([]);
  });
  it.each<[string, Product, string]>([
    [
      'a slipped digit in the label',
      { ...film, manners: { tab: { ...tab, labelC: { min: 50, max: 640 } } } },
      'manners.tab.labelC.max',
    ],
    [
      'a label the wrong way round',
      { ...film, manners: { tab: { ...tab, labelC: { min: 60, max: 52 } } } },
      'manners.tab.labelC.min',
    ],
    [
      'a usual slab beyond the thickest',
      { ...film, manners: { tab: { ...tab, thicknessMm: { min: 1.5, usual: 4, max: 3 } } } },
      'manners.tab.thicknessMm.usual',
    ],
    [
      'a tender slab thicker than the usual',
      { ...film, manners: { tab: { ...tab, thicknessMm: { min: 1.5, usual: 2, max: 3, tender: 2.5 } } } },
      'manners.tab.thicknessMm.tender',
    ],
    [
      'wax that runs less the warmer it is',
      {
        ...film,
        viscosity: [
          [3, 52],
          [15, 62],
        ],
      },
      'viscosity[1]',
    ],
    ['hard wax that does not set', { ...film, setting: null }, 'setting'],
    ['soft wax that sets', { ...soft, setting: film.setting }, 'setting'],
    [
      'wax brittle before it has set',
      { ...film, setting: film.setting && { ...film.setting, brittleC: 55 } },
      'setting.brittleC',
    ],
    ['soft wax over the same skin twice', { ...soft, passes: { usual: 1, max: 2 } }, 'passes.max'],
    ['more passes usual than allowed', { ...film, passes: { usual: 3, max: 2 } }, 'passes.usual'],
    ['a body of another family', { ...film, body: 'firm-paste' }, 'body'],
    ['hard wax worked by hand', { ...film, manners: { hand: tab } }, 'manners.hand'],
    ['no manner at all', { ...sugar, manners: {} }, 'manners'],
    ['an allergen named twice', { ...soft, allergens: ['rosin', 'rosin'] }, 'allergens'],
    ['half a month', { ...film, shelfMonths: 2.5 }, 'shelfMonths'],
    ['no name', { ...film, name: ' ' }, 'name'],
    ['an id with spaces', { ...film, id: 'my wax' }, 'id'],
    ['the id of the page for new ones', { ...film, id: 'new' }, 'id'],
  ])('%s is a fault of its field', (_, product, path) => expect(paths(product)).toContain(path));
  it('refuses NaN and infinities in any figure', () => {
    const figures = [
      'conductivityWmK',
      'densityKgM3',
      'heatCapacityJkgK',
      'grip',
      'priceMinorPerKg',
      'packKg',
      'shelfMonths',
    ] as const;
    fc.assert(
      fc.property(fc.constantFrom(...figures), fc.constantFrom(Number.NaN, Infinity, -Infinity, -1), (name, bad) => {
        expect(paths({ ...film, [name]: bad })).toContain(name);
      }),
      { seed: 3, numRuns: 40 },
    );
  });
  it('has bounds with a unit for every figure of a label', () => {
    for (const path of [
      'manners.tab.labelC.min',
      'manners.hand.thicknessMm.usual',
      'viscosity[0][1]',
      'setting.midC',
    ]) {
      expect(boundsOf(path)?.unit).not.toBe('');
    }
    expect(boundsOf('name')).toBeUndefined();
  });
});
