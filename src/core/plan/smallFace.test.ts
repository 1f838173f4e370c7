// Brows and ears as a practitioner works them (common practice, no source): the gap first, under one brow in parts,
// then over it, then the other side; the rim of the ear, then the ball at its tragus.

import { describe, expect, it } from 'vitest';
import { browSpineAt, type ZoneId } from '../anatomy';
import { browEdge } from '../outcomes';
import { intersectRegions, regionArea } from '../shared';
import { planVisit } from './planVisit';
import type { Plan, PlanZone } from './planTypes';
import type { ZoneCase } from './visitCase';

const hair = { lengthMm: 7, coarseness: 3, density: 3 };
const plan = (zones: readonly (readonly [ZoneId, ZoneCase['side']])[], more: Partial<ZoneCase> = {}): Plan => {
  const made = planVisit({
    version: 1,
    on: '2027-05-14',
    client: { consent: true },
    zones: zones.map(([zone, side]) => ({ zone, side, hair, product: 'film-hard', way: 'with', ...more })),
  });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
};
const orders = (z: PlanZone | undefined): readonly number[] => (z?.strips ?? []).map((s) => s.order);
const middle = (s: PlanZone['strips'][number]): readonly [number, number] => [
  s.outline.reduce((t, p) => t + p[0], 0) / s.outline.length,
  s.outline.reduce((t, p) => t + p[1], 0) / s.outline.length,
];

describe('brows', () => {
  const made = plan([
    ['brow', 'left'],
    ['brow', 'right'],
    ['between-brows', 'middle'],
  ]);
  const zone = (id: ZoneId, side: string): PlanZone => {
    const found = made.zones.find((z) => z.zone === id && z.side === side);
    if (!found) throw new Error(id);
    return found;
  };
  const [left, right, gap] = [zone('brow', 'left'), zone('brow', 'right'), zone('between-brows', 'middle')];
  it('are begun with the gap, one side to its end before the other, never in turns', () => {
    const most = (z: PlanZone): number => Math.max(...orders(z));
    const least = (z: PlanZone): number => Math.min(...orders(z));
    const [first, second] = least(left) < least(right) ? [left, right] : [right, left];
    expect(most(gap)).toBeLessThan(least(first));
    expect(most(first)).toBeLessThan(least(second));
  });
  it('are laid in three parts below and one or two above, up to half as many again, the lower ones first', () => {
    const below = left.strips.filter((s) => {
      const [x, y] = middle(s);
      return y > 5 * browSpineAt(x / 8);
    });
    const above = left.strips.filter((s) => !below.includes(s));
    expect(below.length).toBe(3);
    expect(above.length).toBeGreaterThanOrEqual(1);
    expect(above.length).toBeLessThanOrEqual(3);
    expect(Math.max(...below.map((s) => s.order))).toBeLessThan(Math.min(...above.map((s) => s.order)));
    expect(left.strips.map((s) => s.pulls)).toEqual(left.strips.map(() => 3));
  });
  it('stay whole where nothing else was agreed: no wax on the brow itself, strays only are counted', () => {
    const edge = browEdge('left', { widthCm: 8, heightCm: 5 });
    expect(left.agreed).toBe('natural');
    const onBrow = left.strips.map((s) => regionArea(intersectRegions([s.outline], [edge])));
    expect(Math.max(...onBrow)).toBeLessThan(0.01);
    // strays stand at a third of the brow's density (from memory)
    expect(left.hairs / left.hairAreaCm2).toBeCloseTo(30 / 3, 0);
    expect(left.line.hairs).toBeGreaterThan(5);
    const choice = left.options.find((o) => o.product === 'film-hard' && o.way === 'with');
    expect(choice?.tweezed).toBeGreaterThanOrEqual(left.line.hairs);
  });
  it('take more hair off step by step where a new shape was agreed', () => {
    const hairs = ['natural', 'tidy', 'reshape'].map(
      (outcome) => plan([['brow', 'left']], { outcome }).zones[0]?.hairs ?? 0,
    );
    expect(hairs[1]).toBeGreaterThan(hairs[0] ?? 0);
    expect(hairs[2]).toBeGreaterThan(hairs[1] ?? 0);
  });
});

describe('an ear', () => {
  it('is a rim in one or two pieces and a ball, the rim first', () => {
    const [ear] = plan([['ear', 'left']]).zones;
    const ball = ear?.strips.filter((s) => s.handwork?.includes('canal')) ?? [];
    expect(ball.length).toBe(1);
    expect(ear?.strips.length).toBeLessThanOrEqual(3);
    expect(ball[0]?.order).toBe(ear?.strips.length);
  });
});
