import { describe, expect, it } from 'vitest';
import { sidesOf, ZONES, type ZoneId } from '../anatomy';
import { planVisit } from './planVisit';

/** How many pieces a practised hand lays, at most (common practice, no source; the large zones from memory). */
const MOST: readonly (readonly [ZoneId, string, number])[] = [
  ['upper-lip', 'film-hard', 4],
  ['chin', 'film-hard', 6],
  ['brow', 'film-hard', 5],
  ['ear', 'film-hard', 2],
  ['underarm', 'film-hard', 4],
  ['underarm', 'cream-hard', 4],
  ['lower-leg-front', 'film-hard', 14],
  ['lower-leg-front', 'cream-hard', 14],
  ['lower-leg-front', 'soft', 8],
  ['upper-back', 'cream-hard', 18],
  ['upper-back', 'film-hard', 18],
  ['bikini-edge', 'film-hard', 4],
  ['bikini-edge', 'cream-hard', 4],
];

describe('pieces of a practised hand', () => {
  it.each(MOST)('%s in %s: at most one and a half times %i', (zone, product, most) => {
    const [side = 'middle'] = sidesOf(ZONES[zone]);
    const planned = planVisit({
      ...{ version: 1, on: '2027-05-14', client: { consent: true, level: 'practised' } },
      zones: [{ zone, side, hair: { lengthMm: 8, coarseness: 3, density: 3 }, product, way: 'with' }],
    } as Parameters<typeof planVisit>[0]);
    if (!planned.ok) throw new Error(planned.error.message);
    const [made] = planned.value.zones;
    const pieces = (made?.strips ?? []).filter((s) => s.pass === 1).length;
    expect(made?.choice?.product).toBe(product);
    expect(pieces).toBeGreaterThan(0);
    expect(pieces).toBeLessThanOrEqual(1.5 * most);
  });
});
