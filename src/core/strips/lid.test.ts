// Under the brow nothing comes near the eye: the fold of the lid is where the zone ends (common practice, no source),
// and a tab that reaches past it would lie on the lid, a centimetre from the lashes (from memory).

import { expect, it } from 'vitest';
import { BROW_EDGE, sheetFor, ZONES, type Family, type Side } from '../anatomy';
import { growthField } from '../field';
import { boxOf, intersectRegions, isInside, regionArea, type Region, type Ring, type Vec } from '../shared';
import { layOutZone } from './layOut';
import { largestStrip } from './sizes';
import type { HandLevel, Strip } from './types';
import { neverOn, zoneShapes } from './zoneShapes';

const WAYS = [
  ['hard', 'with'],
  ['hard', 'counter'],
  ['hard', 'crossed'],
  ['hard', 'across'],
  ['soft', 'with'],
  ['sugar', 'against'],
] as const;

const browEdge = (side: Side): Ring => BROW_EDGE.map(([u, v]): Vec => [(side === 'left' ? u : 1 - u) * 8, v * 5]);
type Wanted = readonly [side: Side, family: Family, way: (typeof WAYS)[number][1], keeps: boolean, small: boolean];
function laid([side, family, way, keepsBrow, small]: Wanted, level: HandLevel): readonly Strip[] {
  const zone = ZONES.brow;
  const made = sheetFor(zone, side, {});
  if (!made.ok) throw new Error(made.error.code);
  const sheet = made.value;
  const edge = browEdge(side);
  const field = growthField(zone, side, sheet, []);
  const shapes = zoneShapes({ zone: 'brow', side, family, sheet });
  const input = { way, largestCm: largestStrip(zone, family, level, small), ...shapes };
  return layOutZone(sheet.outline, field, [], keepsBrow ? { ...input, keep: [edge] } : input, '').strips;
}

it('no tab of a brow lies on the lid or on hair that stays, whatever the product, the way, the hand and the line', () => {
  const sheet = { widthCm: 8, heightCm: 5 };
  const tabs = (['left', 'right'] as const).flatMap((side) =>
    WAYS.flatMap(([family, way]) =>
      [true, false].flatMap((keeps) =>
        (['trainee', 'practised'] as const).flatMap((level) =>
          laid([side, family, way, keeps, level === 'practised'], level).map(({ id, tabRing }) => {
            const share = (region: Region): number =>
              regionArea(intersectRegions([tabRing], region)) / regionArea([tabRing]);
            const kept = keeps ? [browEdge(side)] : [];
            return {
              name: `${side} ${family} ${way} ${level} ${id}`,
              lid: share(neverOn('brow', side, sheet)),
              kept: share(kept),
            };
          }),
        ),
      ),
    ),
  );
  expect(tabs.length).toBeGreaterThan(300);
  expect(tabs.filter((t) => t.lid > 0.1 || t.kept > 0.1)).toEqual([]);
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
