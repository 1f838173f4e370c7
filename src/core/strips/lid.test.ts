// Under the brow nothing comes near the eye: the fold of the lid is where the zone ends (common practice, no source),
// and a tab that reaches past it would lie on the lid, a centimetre from the lashes (from memory).

import { expect, it } from 'vitest';
import { BROW_EDGE, sheetFor, ZONES, type Family, type Side } from '../anatomy';
import { growthField } from '../field';
import { boxOf, intersectRegions, isInside, regionArea, type Ring, type Vec } from '../shared';
import { layOutZone } from './layOut';
import { largestStrip } from './sizes';
import type { Strip } from './types';
import { neverOn, zoneShapes } from './zoneShapes';

const WAYS = [
  ['hard', 'with'],
  ['hard', 'counter'],
  ['hard', 'crossed'],
  ['hard', 'across'],
  ['soft', 'with'],
  ['sugar', 'against'],
] as const;

function laid(side: Side, family: Family, way: (typeof WAYS)[number][1], keepsBrow: boolean): readonly Strip[] {
  const zone = ZONES.brow;
  const made = sheetFor(zone, side, {});
  if (!made.ok) throw new Error(made.error.code);
  const sheet = made.value;
  const edge: Ring = BROW_EDGE.map(([u, v]): Vec => [(side === 'left' ? u : 1 - u) * 8, v * 5]);
  const field = growthField(zone, side, sheet, []);
  const shapes = zoneShapes({ zone: 'brow', side, family, sheet });
  const input = { way, largestCm: largestStrip(zone, family, 'practised'), ...shapes };
  return layOutZone(sheet.outline, field, [], keepsBrow ? { ...input, keep: [edge] } : input, '').strips;
}

it('no tab of a brow lies on the lid, whatever the product, the way and the line', () => {
  const shares = (['left', 'right'] as const).flatMap((side) =>
    WAYS.flatMap(([family, way]) =>
      [true, false].flatMap((keeps) =>
        laid(side, family, way, keeps).map(({ id, tabRing }) => ({
          name: `${side} ${family} ${way} ${id}`,
          share:
            regionArea(intersectRegions([tabRing], neverOn('brow', side, { widthCm: 8, heightCm: 5 }))) /
            regionArea([tabRing]),
        })),
      ),
    ),
  );
  expect(shares.length).toBeGreaterThan(80);
  expect(shares.filter((s) => s.share > 0.1)).toEqual([]);
});

it('the ground that is kept free holds the lid and the eye of either side, and none of the brow', () => {
  for (const side of ['left', 'right'] as const) {
    const [lid] = neverOn('brow', side, { widthCm: 8, heightCm: 5 });
    if (!lid) throw new Error('no lid');
    // the pupil stands under the outer third of the brow's inner half (from memory)
    expect(isInside([lid], [side === 'left' ? 3.8 : 4.2, 4.9])).toBe(true);
    expect(boxOf([lid]).y0).toBeGreaterThan(3.3);
  }
  expect(neverOn('upper-lip', 'middle', { widthCm: 6, heightCm: 2 })).toEqual([]);
});
