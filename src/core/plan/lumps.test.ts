import { describe, expect, it } from 'vitest';
import type { TableEvent } from '../hands';
import { lumpsUsed } from './lumps';
import type { Plan } from './planTypes';

const zone = (product: string, way: string, ids: readonly string[]) => ({
  choice: { product, way },
  strips: ids.map((id) => ({ id })),
});
// only what is read of a plan
const plan = {
  zones: [zone('sugar-firm', 'moulded', ['a', 'b']), zone('film-hard', 'with', ['c'])],
} as unknown as Pick<Plan, 'zones'>;
const event = (kind: TableEvent['kind'], more: Partial<TableEvent>): TableEvent => ({
  id: 'x',
  atMs: 0,
  kind,
  ...more,
});
const laid = (strip: string): TableEvent => event('laid', { strip });
const fresh = event('lump', { product: 'sugar-firm' });

describe('lumpsUsed', () => {
  it('counts one lump for many strokes, and each fresh one that was said', () => {
    expect([...lumpsUsed(plan, [laid('a'), laid('b')])]).toEqual([['sugar-firm', 1]]);
    expect([...lumpsUsed(plan, [laid('a'), fresh, laid('b'), fresh])]).toEqual([['sugar-firm', 3]]);
  });
  it('counts none before the first stroke, and none of what is no hand paste', () => {
    expect(lumpsUsed(plan, [laid('c')]).size).toBe(0);
    expect(lumpsUsed(plan, []).size).toBe(0);
  });
});
