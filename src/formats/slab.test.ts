import { describe, expect, it } from 'vitest';
import { planVisit } from '../core/plan';
import { isInside, type Ring, type Vec } from '../core/shared';
import { slabOf } from './slab';

const plan = planVisit({
  version: 1,
  on: '2027-05-14',
  client: { consent: true },
  zones: (['lower-leg-front', 'underarm'] as const).map((zone) => ({
    zone,
    side: 'left',
    hair: { lengthMm: 8, coarseness: 4, density: 3 },
    product: 'cream-hard',
    way: 'with',
  })),
});
if (!plan.ok) throw new Error('the case is good');
const strips = plan.value.zones.flatMap((z) => z.strips);

/** End points of the pieces of a path. */
const pointsOf = (path: string): Ring =>
  [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)(?=[LQZM]|$)/g)].map((m): Vec => [Number(m[1]), Number(m[2])]);

describe('a strip as a slab', () => {
  it('keeps inside its own ground, so that a gap shows to every neighbour', () => {
    expect(strips.length).toBeGreaterThan(15);
    const out = strips.filter((s) => {
      const points = pointsOf(slabOf(s, 0.15, 0.5).path);
      return points.length < 4 || points.some((p) => !isInside([s.outline], p));
    });
    expect(out.map((s) => s.id)).toEqual([]);
  });
  it('has its tab where the pull starts and its number on the wax, nearer to the tab than to the foot', () => {
    const ends = strips.map((s) => {
      const { tab, disc, foot, end } = slabOf(s, 0.15, 0.5);
      const along = ([x, y]: Vec): number => x * s.pull[0] + y * s.pull[1];
      const middle: Vec = [
        (tab[0]?.[0] ?? 0) / 2 + (tab[2]?.[0] ?? 0) / 2,
        (tab[0]?.[1] ?? 0) / 2 + (tab[2]?.[1] ?? 0) / 2,
      ];
      return {
        tabFirst: s.tabKind === 'hook' || along(middle) < along(disc),
        onWax: isInside([s.outline], disc),
        near: along(disc) - along(end) <= along(foot) - along(disc) + 0.01,
      };
    });
    expect(ends.filter((e) => !e.tabFirst || !e.onWax || !e.near)).toEqual([]);
  });
  it('is a little wider at a tab that takes the whole end', () => {
    const square = {
      outline: [
        [0, 0],
        [4, 0],
        [4, 10],
        [0, 10],
      ] as Ring,
      pull: [0, -1] as Vec,
      tab: [2, 10.5] as Vec,
      tabKind: 'end' as const,
      lengthMm: 100,
      widthMm: 40,
    };
    const { tab, disc, foot, end } = slabOf(square, 0.2, 0.6);
    const xs = tab.map(([x]) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(3.6 * 1.07, 2);
    expect(Math.max(...tab.map(([, y]) => y))).toBeGreaterThan(9.8);
    expect(disc[0]).toBeCloseTo(2, 6);
    expect(disc[1]).toBeGreaterThan(5);
    expect([foot[1], end[1]]).toEqual([expect.closeTo(0.2, 3), expect.closeTo(9.8, 3)]);
  });
});
