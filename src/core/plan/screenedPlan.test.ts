import { describe, expect, it } from 'vitest';
import { largestStrip } from '../strips';
import { ZONES } from '../anatomy';
import { liveGroups } from './liveGroups';
import { planVisit } from './planVisit';
import type { Plan, PlanZone } from './planTypes';
import type { ClientCase, ZoneCase } from './visitCase';

// What the screening says the hands do otherwise is in the plan, not only in its sentences.

const leg: ZoneCase = {
  zone: 'lower-leg-front',
  side: 'left',
  hair: { lengthMm: 8, coarseness: 2, density: 3 },
};
const coarse: ZoneCase = {
  zone: 'underarm',
  side: 'left',
  hair: { lengthMm: 7, coarseness: 4, density: 4, history: 'first' },
};
function planned(zone: ZoneCase, client: Partial<ClientCase> = {}): { readonly plan: Plan; readonly zone: PlanZone } {
  const made = planVisit({ version: 1, on: '2027-05-14', client: { consent: true, ...client }, zones: [zone] });
  const [first] = made.ok ? made.value.zones : [];
  if (!made.ok || !first) throw new Error('the case can be planned');
  return { plan: made.value, zone: first };
}
const presses = (plan: Plan): readonly number[] =>
  plan.schedule.events.filter((e) => e.do === 'press').map((e) => e.forS);

describe('a screened plan', () => {
  it('keeps soft wax off a leg under a steroid, and presses ten seconds after every pull', () => {
    expect(planned(leg).zone.choice?.family).toBe('soft');
    const { plan, zone } = planned(leg, { screening: [{ fact: 'steroid' }] });
    expect(zone.choice?.family).not.toBe('soft');
    expect(zone.options.filter((o) => o.family === 'soft' && o.eligible)).toEqual([]);
    expect(new Set(presses(plan))).toEqual(new Set([10]));
    expect(liveGroups(plan).flatMap((g) => g.jobs.map((j) => j.pressS))).toEqual(zone.strips.map(() => 10));
  });
  it('presses as usual where nothing asks for more', () => {
    const { plan, zone } = planned(leg);
    expect(zone.hands).toEqual({ pressS: 3, smallStrips: false, onePass: false });
    expect(new Set(presses(plan))).toEqual(new Set([3]));
  });
  it('lays smaller strips, and more of them, where it says small strips', () => {
    const usual = planned(leg, { screening: [{ fact: 'faint' }] }).zone;
    const small = planned({ ...leg, product: usual.choice?.product }, { screening: [{ fact: 'caffeine' }] }).zone;
    expect(small.choice?.product).toBe(usual.choice?.product);
    expect(small.strips.length).toBeGreaterThan(usual.strips.length);
    const [widest, longest] = largestStrip(ZONES[leg.zone], 'soft', 'practised', true);
    expect(widest * longest).toBeCloseTo(
      0.5 * largestStrip(ZONES[leg.zone], 'soft', 'practised').reduce((a, b) => a * b),
      6,
    );
    // a strip may be a little over its largest before another is cut
    expect(small.strips.filter((s) => s.lengthMm > 12.5 * longest || s.widthMm > 14 * widest)).toEqual([]);
  });
  it('takes no product that skin never waxed has not met, after a reaction or with an allergy', () => {
    for (const fact of ['earlier-reaction', 'allergy-rosin'] as const) {
      const { zone } = planned(coarse, { screening: [{ fact }] });
      expect(zone.choice).toBeNull();
      expect(zone.options.every((o) => o.excludedBy.includes('patch.new-product'))).toBe(true);
    }
    const { zone } = planned(coarse, { screening: [{ fact: 'earlier-reaction' }], knownProducts: ['film-hard'] });
    expect(zone.choice?.product).toBe('film-hard');
    expect(planned(coarse).zone.choice).not.toBeNull();
  });
  it('leaves a leg concerned by a vein thrombosis until a doctor has cleared it', () => {
    const fact = { fact: 'vein-thrombosis', zones: ['lower-leg-back/left'] } as const;
    expect(planned(leg, { screening: [fact] }).zone).toMatchObject({ outcome: 'postpone', choice: null });
    const clearance = { on: '2027-05-03', by: 'Dr Made-Up' };
    const { zone } = planned(leg, { screening: [{ ...fact, clearance }] });
    expect(zone.outcome).toBe('adapt');
    expect(zone.choice).not.toBeNull();
    const ahead = planVisit({
      version: 1,
      on: '2027-05-14',
      client: { consent: true, screening: [{ ...fact, clearance: { ...clearance, on: '2027-05-15' } }] },
      zones: [leg],
    });
    expect(ahead.ok ? [] : ahead.error.details.map((d) => d.path)).toEqual(['client.screening[0].clearance.on']);
  });
});
