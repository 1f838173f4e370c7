import { describe, expect, it } from 'vitest';
import { planMemory } from './planMemory';
import { planVisit } from './planVisit';
import type { ClientCase, VisitCase, ZoneCase } from './visitCase';

const memory = planMemory();
const visit = (zone: Partial<ZoneCase> = {}, client: Partial<ClientCase> = {}): VisitCase => ({
  version: 1,
  on: '2027-05-14',
  client: { consent: true, ...client },
  zones: [
    {
      zone: 'underarm',
      side: 'left',
      hair: { lengthMm: 7, coarseness: 3, density: 3 },
      product: 'film-hard',
      way: 'with',
      ...zone,
    },
  ],
});
const heat = (v: VisitCase) => {
  const plan = planVisit(v, { memory });
  const zone = plan.ok ? plan.value.zones[0] : undefined;
  if (!zone?.heat) throw new Error('a heat');
  return { ...zone.heat, reasons: zone.reasons.join(' '), massG: zone.strips.reduce((s, x) => s + x.massG, 0) };
};

describe('a slab and a touch asked for by hand', () => {
  it('are planned with: a thinner slab has a wider window, sets sooner and takes less wax', () => {
    const [usual, thin] = [heat(visit()), heat(visit({ heat: { product: 'film-hard', thicknessMm: 1.5 } }))];
    expect(thin.thicknessMm).toBe(1.5);
    expect(thin.workingC.max).toBeGreaterThan(usual.workingC.max);
    expect(thin.setS.min).toBeLessThan(usual.setS.min);
    expect(thin.massG).toBeLessThan(usual.massG);
    expect(thin.reasons).toContain('1.5 mm thick, as asked for');
  });
  it('the window keeps the last word over a touch, and says so', () => {
    const usual = heat(visit());
    const within = heat(visit({ heat: { product: 'film-hard', touchC: usual.workingC.min + 0.5 } }));
    expect(within.workingC.target).toBeCloseTo(usual.workingC.min + 0.5, 1);
    const over = heat(visit({ heat: { product: 'film-hard', touchC: 64 } }));
    expect(over.workingC.target).toBe(usual.workingC.max);
    expect(over.reasons).toMatch(
      /64 °C was asked for; the window runs from [\d.]+ to [\d.]+ °C, so it is planned with/,
    );
  });
  it('count for their product only', () => {
    expect(heat(visit({ heat: { product: 'cream-hard', thicknessMm: 3 } })).thicknessMm).toBe(2);
  });
  it('are refused by their field beyond the label, or for a product that is not there', () => {
    for (const [wish, path] of [
      [{ product: 'film-hard', thicknessMm: 5 }, 'zones[0].heat.thicknessMm'],
      [{ product: 'no-such' }, 'zones[0].heat.product'],
    ] as const) {
      const plan = planVisit(visit({ heat: wish }));
      expect(plan.ok ? [] : plan.error.details.map((d) => d.path)).toContain(path);
    }
  });
});

describe('how wax felt at past visits', () => {
  const felt = (word: 'too-warm' | 'right' | 'too-cool', n = 1): Partial<ClientCase> => ({
    heatFelt: Array.from({ length: n }, (_, i) => ({ on: `2027-0${i + 1}-10`, marginK: -1, felt: word })),
  });

  it('"too warm" makes the next plan cooler and says why; the label and the flow stay where they are', () => {
    const [usual, warm] = [heat(visit()), heat(visit({}, felt('too-warm')))];
    expect(warm.limitC).toBeLessThan(usual.limitC - 0.3);
    expect(warm.workingC.target).toBeLessThan(usual.workingC.target);
    expect(warm.workingC.min).toBe(usual.workingC.min);
    expect(warm.learned).toMatchObject({ visits: 1 });
    expect(warm.reasons).toContain('cooler for this client');
  });
  it('"too cool" never takes the target past what the label and 0.8 K allow', () => {
    const [usual, cool] = [heat(visit()), heat(visit({}, felt('too-cool', 4)))];
    expect(cool.limitC - usual.limitC).toBeGreaterThan(0);
    expect(cool.limitC - usual.limitC).toBeLessThanOrEqual(0.8);
    expect(cool.workingC.max).toBeLessThanOrEqual(cool.bands.labelC[1]);
  });
  it('counts visits, not answers, and hears nothing in paste that was right at body heat', () => {
    const two = heat(
      visit(
        {},
        {
          heatFelt: [
            { on: '2027-04-10', marginK: -1, felt: 'too-warm', zone: 'underarm' },
            { on: '2027-04-10', marginK: -1, felt: 'too-warm', zone: 'upper-lip' },
          ],
        },
      ),
    );
    expect(two.learned?.visits).toBe(1);
    expect(two.reasons).toContain('after what one visit said');
    expect(
      heat(
        visit(
          {},
          { heatFelt: [1, 2, 3, 4].map((m) => ({ on: `2027-0${m}-10`, marginK: -7.7, felt: 'right' as const })) },
        ),
      ),
    ).toMatchObject({ learned: null, limitC: heat(visit()).limitC });
  });
  it('caution wins: where the screening lowers the limit, what was learned does not raise it again', () => {
    const numbed = { screening: [{ fact: 'numbing-cream' as const }] };
    expect(heat(visit({}, { ...numbed, ...felt('too-cool', 4) })).limitC).toBe(heat(visit({}, numbed)).limitC);
    expect(heat(visit({}, { ...numbed, ...felt('too-warm') })).limitC).toBeLessThan(heat(visit({}, numbed)).limitC);
  });
});
