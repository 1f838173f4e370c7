import { describe, expect, it } from 'vitest';
import { howMuchFor } from '../agreement';
import { sidesOf, ZONE_IDS, ZONES } from '../anatomy';
import { planVisit, type Plan, type ZoneCase } from '../plan';
import { intersectRegions, regionArea, type Ring } from '../shared';
import { keepOf, outcomesWithLine } from './keepLines';

const hair = { lengthMm: 8, coarseness: 4, density: 3 };
const CASES = ZONE_IDS.flatMap((zone) => outcomesWithLine(zone).map((outcome) => ({ zone, outcome })));
const plan = (zones: readonly ZoneCase[]): Plan => {
  const made = planVisit({ version: 1, on: '2027-05-14', client: { consent: true }, zones });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
};
/** The largest ground of a strip or a tab on what stays, cm². */
const onKept = (zone: Plan['zones'][number]): number =>
  Math.max(
    0,
    ...zone.strips.map((s) =>
      regionArea(
        intersectRegions(
          [s.outline],
          zone.keep.map((k) => k.outline),
        ),
      ),
    ),
  );

describe('what stays by what was agreed', () => {
  it('is drawn only for outcomes that the zone has', () => {
    expect(CASES.length).toBeGreaterThanOrEqual(5);
    const unknown = CASES.filter(({ zone, outcome }) => !howMuchFor(zone).some((h) => h.id === outcome));
    expect(unknown).toEqual([]);
    expect(keepOf('underarm', 'left', 'all', { widthCm: 9, heightCm: 13 })).toEqual([]);
  });
  it.each(CASES)(
    '$zone, $outcome: no strip lies on it, and hair, wax and minutes are those of the rest',
    ({ zone, outcome }) => {
      const side = sidesOf(ZONES[zone])[0] ?? 'middle';
      const at: ZoneCase = { zone, side, hair, product: 'film-hard', way: 'with' };
      const [all, part] = [plan([{ ...at, keep: [], fade: false }]), plan([{ ...at, outcome }])];
      const [whole, rest] = [all.zones[0], part.zones[0]];
      if (!whole || !rest) throw new Error('both are planned');
      expect(rest.agreed).toBe(outcome);
      expect(rest.keep.length).toBeGreaterThan(0);
      const stays = regionArea(
        intersectRegions(
          [rest.outline],
          rest.keep.map((k) => k.outline),
        ),
      );
      expect(whole.hairAreaCm2 - rest.hairAreaCm2).toBeCloseTo(stays, 1);
      expect(rest.strips.length).toBeGreaterThan(0);
      // a border that two strips share is drawn to a millimetre
      expect(onKept(rest)).toBeLessThan(0.12);
      expect(rest.cover.coveredShare).toBeGreaterThan(0.97);
      const grams = (p: Plan): number =>
        p.materials.filter((m) => m.item === 'film-hard').reduce((s, m) => s + m.amount, 0);
      expect(grams(part)).toBeLessThan(grams(all));
      // a line close to the border saves no strip
      const least = stays > 0.1 * whole.hairAreaCm2 ? 1 : 0;
      expect(part.schedule.endS).toBeLessThanOrEqual(all.schedule.endS - least);
    },
  );
  it('a border that fades keeps a mark clear like any other, and takes fewer hairs than all of it', () => {
    const at: ZoneCase = { zone: 'shoulder', side: 'left', hair, product: 'film-hard', way: 'with' };
    const marks = [{ kind: 'mole' as const, at: [6, 5] as const, radiusMm: 3 }];
    const area = (outcome: string, more: Partial<ZoneCase> = {}): number =>
      plan([{ ...at, outcome, ...more }]).zones[0]?.hairAreaCm2 ?? 0;
    expect(area('fade')).toBeLessThan(0.9 * area('all'));
    expect(area('fade') - area('fade', { marks })).toBeCloseTo(area('all') - area('all', { marks }), 1);
  });
  it('can be drawn by hand instead, and lies in the mirror on the other side', () => {
    const keep = [
      {
        outline: [
          [0, 0],
          [20, 0],
          [20, 10],
          [0, 10],
        ] as Ring,
      },
    ];
    const both = plan(
      (['left', 'right'] as const).map((side) => ({
        zone: 'lower-leg-front',
        side,
        hair,
        product: 'film-hard',
        way: 'with',
        outcome: 'all',
        keep,
      })),
    );
    const [left, right] = both.zones;
    expect(left?.hairAreaCm2).toBeCloseTo(right?.hairAreaCm2 ?? 0, 3);
    expect(left?.strips.map((s) => s.number)).toEqual(right?.strips.map((s) => s.number));
    expect(both.zones.map((z) => onKept(z) < 0.12)).toEqual([true, true]);
    const bad = planVisit({
      version: 1,
      on: '2027-05-14',
      client: { consent: true },
      zones: [{ zone: 'underarm', side: 'left', hair, outcome: 'corners' }],
    });
    expect(bad.ok ? [] : bad.error.details.map((d) => d.path)).toEqual(['zones[0].outcome']);
  });
});
