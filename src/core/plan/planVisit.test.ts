import { describe, expect, it } from 'vitest';
import { distance, dot } from '../shared';
import { planMemory } from './planMemory';
import { planVisit } from './planVisit';
import type { Plan, PlanZone } from './planTypes';
import type { ClientCase, HairCase, StudioCase, VisitCase, ZoneCase } from './visitCase';

const hair: HairCase = { lengthMm: 8, coarseness: 3, density: 3 };
const leftUnderarm: ZoneCase = { zone: 'underarm', side: 'left', hair: { ...hair, lengthMm: 7 } };
const make = (zones: readonly ZoneCase[], client: Partial<ClientCase> = {}, studio: StudioCase = {}): VisitCase => ({
  version: 1,
  on: '2027-05-14',
  client: { consent: true, ...client },
  studio,
  zones,
});
function plan(visit: VisitCase, withField = false): Plan {
  const made = planVisit(visit, { withField });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
}
const one = (zone: ZoneCase, client: Partial<ClientCase> = {}, studio: StudioCase = {}): PlanZone => {
  const [first] = plan(make([zone], client, studio)).zones;
  if (!first) throw new Error('one zone in, one zone out');
  return first;
};
const faultPaths = (visit: VisitCase): readonly string[] => {
  const made = planVisit(visit);
  return made.ok ? [] : made.error.details.map((d) => d.path);
};

describe('the choice (facts of the trade; common practice, no source)', () => {
  const leg = (more: Partial<HairCase>): ZoneCase => ({
    zone: 'lower-leg-front',
    side: 'left',
    hair: { ...hair, ...more },
  });
  it('takes hard wax for a coarse back', () =>
    expect(
      one({ zone: 'upper-back', side: 'middle', hair: { ...hair, coarseness: 5, density: 4 } }).choice?.family,
    ).toBe('hard'));
  it('takes soft wax with strips for a fine leg', () =>
    expect(one(leg({ coarseness: 2 })).choice?.family).toBe('soft'));
  it('takes hard wax only on the ear, whatever else', () => {
    const ear: ZoneCase = { zone: 'ear', side: 'left', hair: { ...hair, coarseness: 1 } };
    expect(one(ear).choice?.family).toBe('hard');
    expect(one({ ...ear, product: 'soft' }).choice).toBeNull();
    expect(one(ear, {}, { schools: { families: ['soft'] } }).choice).toBeNull();
  });
  it('takes sugar for short, ingrown-prone hair', () =>
    expect(one(leg({ lengthMm: 4.5 }), { ingrownProne: true }).choice?.family).toBe('sugar'));
  it('never puts soft first on very reactive skin', () =>
    expect(one(leg({ coarseness: 1 }), { sensitivity: 5 }).choice?.family).not.toBe('soft'));
  it('plans within one family where the studio holds to it', () => {
    const z = one(leg({ coarseness: 2 }), {}, { schools: { families: ['hard'] } });
    expect(z.choice?.family).toBe('hard');
    expect(z.options.filter((o) => o.family !== 'hard').every((o) => o.excludedBy.includes('studio.family'))).toBe(
      true,
    );
  });
  it('never gives soft a second pass', () =>
    expect(one({ ...leg({ coarseness: 5 }), product: 'soft' }).choice?.passes).toBe(1));
  it('leaves out what the card forbids, even when it is forced', () => {
    const z = one({ ...leftUnderarm, product: 'cream-hard' }, { screening: [{ fact: 'allergy-rosin' }] });
    expect(z.choice).toBeNull();
    expect(z.options.find((o) => o.product === 'cream-hard')?.excludedBy).toContain('allergy.rosin');
    expect(z.reasons.length).toBeGreaterThan(0);
  });
  it('says when too short hair will hold, and trims too long hair', () => {
    const short = one({ ...leftUnderarm, hair: { ...hair, lengthMm: 1 } });
    expect(short.choice).toBeNull();
    expect(short.options.find((o) => o.product === 'film-hard')?.readyOn).toMatch(/^2027-0[5-7]/);
    expect(
      one({ ...leftUnderarm, hair: { ...hair, lengthMm: 18 } }).options.find(
        (o) => o.product === 'film-hard' && o.way === 'with',
      ),
    ).toMatchObject({ trimFirst: true, eligible: true });
  });
  it('removes no more when hair is shorter', () => {
    for (const product of ['film-hard', 'soft', 'sugar-firm']) {
      const shares = [3, 4, 5, 6, 7, 8, 10].map((lengthMm) =>
        one({ ...leftUnderarm, hair: { ...hair, lengthMm } }).options.find(
          (o) => o.product === product && ['with', 'moulded'].includes(o.way),
        ),
      );
      // with the passes held to one, so that only the length changes
      const perPass = shares.map((o) => (o ? 1 - (1 - o.removedShare) ** (1 / o.passes) : 0));
      perPass.slice(1).forEach((share, i) => expect(share).toBeGreaterThanOrEqual((perPass[i] ?? 0) - 0.02));
    }
  });
  it('follows the house rule for the lay, and a forced way', () => {
    expect(one({ ...leftUnderarm, product: 'film-hard' }, {}, { schools: { hardLay: 'against' } }).choice?.way).toBe(
      'against',
    );
    const across = one({ ...leftUnderarm, product: 'film-hard', way: 'across' });
    expect(across.choice?.way).toBe('across');
    for (const s of across.strips) expect(Math.abs(dot(s.lay, s.growth))).toBeLessThan(1e-5);
  });
});

describe('the plan', () => {
  const both: readonly ZoneCase[] = [
    leftUnderarm,
    { ...leftUnderarm, side: 'right' },
    { zone: 'upper-lip', side: 'middle', hair: { lengthMm: 6, coarseness: 2, density: 2 } },
  ];
  it('schedules every strip once, one deed at a time, presses at once, and never overtakes a tab', () => {
    const p = plan(make(both, {}, { products: ['film-hard', 'soft'] }));
    const strips = new Map(p.zones.flatMap((z) => z.strips.map((s) => [s.id, s])));
    const { events } = p.schedule;
    events
      .slice(1)
      .forEach((e, i) => expect(e.atS).toBeGreaterThanOrEqual((events[i]?.atS ?? 0) + (events[i]?.forS ?? 0)));
    expect(events.at(-1)).toMatchObject({ do: 'press' });
    expect((events.at(-1)?.atS ?? 0) + (events.at(-1)?.forS ?? 0)).toBe(p.schedule.endS);
    expect(p.schedule.lowerBoundS).toBeLessThanOrEqual(p.schedule.endS);
    for (const [id, strip] of strips) {
      const lays = events.filter((e) => e.do === 'lay' && e.strip === id);
      const pulls = events.filter((e) => e.do === 'pull' && e.strip === id);
      expect(pulls).toHaveLength(1);
      const wait = (pulls[0]?.atS ?? 0) - ((lays.at(-1)?.atS ?? 0) + (lays.at(-1)?.forS ?? 0));
      expect(wait).toBeGreaterThanOrEqual(strip.setS.min);
      expect(wait).toBeLessThanOrEqual(strip.setS.max);
      for (const before of strip.needsBefore) {
        const press = events.find((e) => e.do === 'press' && e.strip === before);
        expect((press?.atS ?? Infinity) + (press?.forS ?? 0)).toBeLessThanOrEqual(lays[0]?.atS ?? 0);
      }
    }
    const orders = [...strips.values()].map((s) => s.order).sort((a, b) => a - b);
    expect(orders).toEqual(orders.map((_, i) => i + 1));
  });
  it('is deterministic and carries the field only when asked', () => {
    const visit = make(both);
    expect(JSON.stringify(plan(visit))).toBe(JSON.stringify(plan(visit)));
    expect(plan(visit).zones[0]?.field).toBeUndefined();
    const field = plan(visit, true).zones[0]?.field ?? [];
    expect(field.length).toBeGreaterThan(50);
    for (const [, , dx, dy] of field) expect(Math.hypot(dx, dy)).toBeCloseTo(1, 4);
  });
  it('plans nothing on a stopped zone but keeps its options', () => {
    const p = plan(make([leftUnderarm], { screening: [{ fact: 'sunburn', lastOn: '2027-05-12' }] }));
    expect(p.screening).toMatchObject({ outcome: 'postpone', earliestOn: '2027-05-19' });
    expect(p.zones[0]).toMatchObject({ choice: null, heat: null, strips: [] });
    expect(p.zones[0]?.options.some((o) => o.eligible)).toBe(true);
    expect(p.materials).toEqual([]);
    expect(p.regrowth).toHaveLength(1);
  });
  it('keeps clear of marks', () => {
    const p = plan(make([{ ...leftUnderarm, marks: [{ kind: 'mole', at: [5.2, 6.1], radiusMm: 4 }] }]));
    expect(p.zones[0]?.excluded).toEqual([{ at: [5.2, 6.1], clearanceMm: 9 }]);
    for (const s of p.zones[0]?.strips ?? []) {
      for (const point of s.outline) expect(distance(point, [5.2, 6.1])).toBeGreaterThanOrEqual(0.8999);
    }
  });
  it("turns the return date round the client's dates", () => {
    const free = plan(make([leftUnderarm])).returnOn?.on ?? '';
    const moved = plan(make([leftUnderarm], { blackout: [{ from: free, to: free, why: 'race' }] })).returnOn?.on ?? '';
    expect(moved).not.toBe(free);
    expect(moved < free || moved > free).toBe(true);
  });
  it('is the same with what another plan has left in the memory', () => {
    const memory = planMemory();
    const visits = [
      make(both),
      make([{ ...leftUnderarm, marks: [{ kind: 'mole', at: [5, 6], radiusMm: 4 }] }]),
      make(both, { sensitivity: 5 }, { roomC: 26, level: 'trainee' }),
      make(both, {}, { schools: { hardLay: 'against' } }),
    ];
    for (const visit of [...visits, ...visits]) {
      const made = planVisit(visit, { memory });
      expect(made.ok ? made.value : made.error).toEqual(plan(visit));
    }
  });
  it('knows where hair crosses, says so, and counts it as harder to take', () => {
    const chin: ZoneCase = { zone: 'chin', side: 'middle', hair, product: 'cream-hard', way: 'with' };
    const plain = one(chin);
    const crossed = one({
      ...chin,
      strokes: [
        { at: [3.5, 2.5], towards: [1, 0], share: 0.5 },
        { at: [3, 3], towards: [1, 0], share: 0.5 },
      ],
    });
    expect(plain.crossingShare).toBe(0);
    expect(plain.strips.every((s) => s.crossing === null)).toBe(true);
    expect(crossed.crossingShare).toBeGreaterThan(0.03);
    const under = crossed.strips.flatMap((s) => (s.crossing ? [s.crossing] : []));
    expect(under.length).toBeGreaterThan(0);
    for (const c of under) expect(Math.abs(c.growth[0])).toBeGreaterThan(0.9);
    expect(crossed.reasons.some((r) => r.includes('crosses'))).toBe(true);
    const share = (z: PlanZone): number =>
      z.options.find((o) => o.product === 'cream-hard' && o.way === 'with')?.removedShare ?? 0;
    expect(share(crossed)).toBeLessThan(share(plain));
  });
  it('counts the hairs where they stand, and starts a leg where they are thin', () => {
    const film: ZoneCase = {
      zone: 'lower-leg-front',
      side: 'left',
      hair: { ...hair, density: 4 },
      product: 'film-hard',
      way: 'with',
    };
    const toTweeze = (zone: ZoneCase): number =>
      one(zone).options.find((o) => o.product === 'film-hard' && o.way === 'with')?.toTweeze ?? NaN;
    const all = [{ at: [8, 18], radiusCm: 50, density: 1 }] as const;
    // a place that holds the whole zone is the zone’s own density said otherwise
    expect(toTweeze({ ...film, densities: all })).toBe(toTweeze({ ...film, hair: { ...film.hair, density: 1 } }));
    expect(toTweeze({ ...film, densities: [{ at: [8, 9], radiusCm: 10, density: 1 }] })).toBeLessThan(toTweeze(film));
    const legs: ZoneCase = { zone: 'lower-leg-front', side: 'left', hair, product: 'film-hard', way: 'with' };
    const first = (zone: ZoneCase): PlanZone['strips'][number] | undefined =>
      one(zone).strips.find((s) => s.id === 'A1');
    const thin = first({ ...legs, densities: [{ at: [3, 36], radiusCm: 7, density: 1 }] });
    expect(first(legs)?.density).toBeNull();
    expect(thin?.density).toBeLessThan(2.5);
    expect(thin?.outline).not.toEqual(first(legs)?.outline);
  });
  it('names the place of a strip and how the sheet was sized', () => {
    const legs = one({ zone: 'lower-leg-front', side: 'left', hair });
    expect(new Set(legs.strips.map((s) => s.place)).size).toBeGreaterThan(1);
    expect(one({ zone: 'between-brows', side: 'middle', hair }).strips.every((s) => s.place === null)).toBe(true);
    expect(legs.basis).toBe('reference-adult');
    expect(one({ zone: 'underarm', side: 'left', hair, sheetCm: [10, 14] }).basis).toBe('measured');
    expect(one(leftUnderarm, { statureCm: 180, massKg: 80 }).basis).toBe('body-surface');
  });
  it('says what flat hair, layers and hair under the skin ask for, and never to dig', () => {
    const said = one({
      ...leftUnderarm,
      hair: { ...leftUnderarm.hair, flags: ['flat', 'layers', 'under-skin'] },
    }).reasons.join(' ');
    for (const words of ['lies flat', 'in layers', 'no digging']) expect(said).toContain(words);
    expect(one(leftUnderarm).reasons.join(' ')).not.toMatch(/flat:|layers|under the skin/);
  });
  it('demands the wrist test with every heat figure', () => {
    for (const z of plan(make(both)).zones) expect(z.heat?.wristTest).toBe(true);
  });
});

describe('faults of meaning', () => {
  it('names every fault by its path', () => {
    expect(faultPaths(make([{ ...leftUnderarm, side: 'middle' }]))).toEqual(['zones[0].side']);
    expect(faultPaths(make([leftUnderarm, leftUnderarm]))).toEqual(['zones[1].zone']);
    expect(faultPaths(make([{ ...leftUnderarm, marks: [{ kind: 'mole', at: [30, 2], radiusMm: 3 }] }]))).toEqual([
      'zones[0].marks[0].at',
    ]);
    expect(faultPaths(make([{ ...leftUnderarm, densities: [{ at: [3, -2], radiusCm: 3, density: 2 }] }]))).toEqual([
      'zones[0].densities[0].at',
    ]);
    expect(faultPaths(make([{ ...leftUnderarm, strokes: [{ at: [3, 3], towards: [0, 0] }] }]))).toEqual([
      'zones[0].strokes[0].towards',
    ]);
    expect(faultPaths(make([{ ...leftUnderarm, product: 'soft', way: 'moulded' }]))).toEqual(['zones[0].way']);
    expect(faultPaths(make([leftUnderarm], {}, { products: ['nothing'] }))).toEqual(['studio.products[0]']);
    expect(
      faultPaths(
        make([
          { zone: 'bikini-edge', side: 'left', hair },
          { zone: 'bikini-extended', side: 'left', hair },
        ]),
      ),
    ).toEqual(['zones[0].zone']);
    expect(faultPaths({ ...make([leftUnderarm]), on: '2027-02-30' })).toEqual(['on']);
    expect(faultPaths(make([{ ...leftUnderarm, hair: { ...hair, shortestMm: 9, longestMm: 7 } }]))).toEqual([
      'zones[0].hair.shortestMm',
      'zones[0].hair.longestMm',
    ]);
  });
});
