import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hair } from '../hair';
import { judge, type ScreeningInput, type ScreeningZone } from './judge';
import { FACTS, type FoundFact, type Outcome } from './types';

const hair: Hair = { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const underarm: ScreeningZone = { zone: 'underarm', side: 'left', hair };
const lip: ScreeningZone = { zone: 'upper-lip', side: 'middle', hair };
const leg: ScreeningZone = { zone: 'lower-leg-front', side: 'right', hair };
const base: ScreeningInput = {
  on: '2027-05-14',
  consent: true,
  guardianConsent: false,
  sensitivity: 3,
  facts: [],
  zones: [underarm],
};
const judged = (facts: readonly FoundFact[], more: Partial<ScreeningInput> = {}) => judge({ ...base, ...more, facts });

describe('judge', () => {
  // Starting values of the trade: practice for acids, from memory for the rest. [fact, days after, outcome on the last
  // waiting day, outcome after]
  it.each<[FoundFact['fact'], string, string, Outcome, Outcome]>([
    ['acid-exfoliant', '2027-05-08', '2027-05-07', 'postpone', 'go'],
    ['sunburn', '2027-05-08', '2027-05-07', 'postpone', 'adapt'],
    ['physical-exfoliant', '2027-05-14', '2027-05-13', 'postpone', 'go'],
    ['retinoid-topical', '2027-05-08', '2027-05-07', 'postpone', 'adapt'],
    ['recent-resurfacing', '2027-04-17', '2027-04-16', 'postpone', 'go'],
    ['injectable', '2027-05-01', '2027-04-30', 'postpone', 'go'],
    ['permanent-makeup', '2027-04-17', '2027-04-16', 'postpone', 'go'],
    ['surgery', '2027-02-14', '2027-02-13', 'postpone', 'go'],
    ['retinoid-oral', '2026-05-15', '2026-05-14', 'postpone', 'go'],
  ])('%s on %s still waits, on %s no longer', (fact, waitingOn, freeOn, during, after) => {
    expect(judged([{ fact, lastOn: waitingOn }]).outcome).toBe(during);
    expect(judged([{ fact, lastOn: freeOn }]).outcome).toBe(after);
  });
  it('names the first free date, over a leap day too', () => {
    expect(judged([{ fact: 'acid-exfoliant', lastOn: '2027-05-11' }]).earliestOn).toBe('2027-05-18');
    expect(judged([{ fact: 'acid-exfoliant', lastOn: '2028-02-24' }], { on: '2028-02-26' }).earliestOn).toBe(
      '2028-03-02',
    );
    expect(judged([{ fact: 'retinoid-oral', lastOn: '2028-02-29' }], { on: '2028-06-01' }).earliestOn).toBe(
      '2029-02-28',
    );
    expect(judged([{ fact: 'chemo-radio' }])).toMatchObject({ outcome: 'postpone', earliestOn: null });
  });
  it.each([
    'blood-thinner',
    'steroid',
    'alcohol',
    'caffeine',
    'immune',
    'pregnancy',
    'before-period',
    'keloid',
    'shaved',
    'photosensitiser',
    'faint',
    'diabetes',
    'circulation',
    'numbing-cream',
    'allergy-rosin',
    'allergy-glove',
    'earlier-reaction',
  ] as const)('%s without a date holds today: adapt', (fact) => expect(judged([{ fact }]).outcome).toBe('adapt'));
  it('stops only the zone that a fact names, and the visit goes on adapted', () => {
    const result = judged([{ fact: 'acid-exfoliant', lastOn: '2027-05-11', zones: ['upper-lip'] }], {
      zones: [underarm, lip],
    });
    expect(result.zones.map((z) => z.outcome)).toEqual(['go', 'postpone']);
    expect(result).toMatchObject({ outcome: 'adapt', earliestOn: '2027-05-18' });
    expect(
      judged([{ fact: 'numb-skin', zones: ['underarm/left'] }], {
        zones: [underarm, { ...underarm, side: 'right' }],
      }).zones.map((z) => z.outcome),
    ).toEqual(['decline', 'go']);
  });
  it('takes the mildest of the zones where all are stopped', () => {
    const facts: FoundFact[] = [
      { fact: 'numb-skin', zones: ['underarm'] },
      { fact: 'sunburn', zones: ['lower-leg-front'] },
    ];
    expect(judged(facts, { zones: [underarm, leg] }).outcome).toBe('postpone');
  });
  it('keeps a cold sore to lip and chin', () => {
    expect(judged([{ fact: 'cold-sore' }], { zones: [lip] }).outcome).toBe('postpone');
    expect(judged([{ fact: 'cold-sore' }], { zones: [leg] }).outcome).toBe('go');
  });
  it('declines without consent, minors without guardian, and intimate zones of minors always', () => {
    expect(judged([], { consent: false }).outcome).toBe('decline');
    expect(judged([], { ageYears: 17 }).outcome).toBe('decline');
    expect(judged([], { ageYears: 17, guardianConsent: true }).outcome).toBe('adapt');
    expect(
      judged([{ fact: 'minor' }], { guardianConsent: true, zones: [{ zone: 'bikini-edge', side: 'left', hair }] })
        .outcome,
    ).toBe('decline');
    expect(judged([], { ageYears: 18 }).outcome).toBe('go');
  });
  it('takes products and families out, and degrees off', () => {
    expect(judged([{ fact: 'allergy-rosin' }]).zones[0]?.allergensOut).toEqual(['rosin']);
    expect(judged([{ fact: 'retinoid-topical', lastOn: '2027-04-20' }]).zones[0]?.familiesOut).toEqual(['soft']);
    expect(judged([{ fact: 'numbing-cream' }]).zones[0]?.lowerHeatK).toBe(1);
    const coarse = { ...underarm, hair: { ...hair, coarseness: 4, history: 'first' as const } };
    const both = judged([{ fact: 'blood-thinner' }], { zones: [coarse] });
    expect(both.zones[0]?.familiesOut).toEqual(['soft']);
    expect(both.reasons.map((r) => r.code)).toContain('both.thinner-first-coarse');
  });
  it('never becomes milder by one more fact', () => {
    const strict: Record<Outcome, number> = { go: 0, adapt: 1, postpone: 2, decline: 3 };
    const date = fc
      .integer({ min: 0, max: 400 })
      .map((d) => new Date(Date.UTC(2027, 4, 14) - d * 86_400_000).toISOString().slice(0, 10));
    const fact = fc.record({ fact: fc.constantFrom(...FACTS), lastOn: date }, { requiredKeys: ['fact'] });
    fc.assert(
      fc.property(fc.array(fact, { maxLength: 5 }), fact, fc.boolean(), (facts, extra, shaved) => {
        const zones = [
          { ...underarm, hair: { ...hair, coarseness: 5, history: shaved ? ('shaved' as const) : ('first' as const) } },
          lip,
          leg,
        ];
        const before = judged(facts, { zones });
        const after = judged([...facts, extra], { zones });
        before.zones.forEach((z, i) => {
          const now = after.zones[i];
          expect(strict[now?.outcome ?? 'go']).toBeGreaterThanOrEqual(strict[z.outcome]);
          for (const family of z.familiesOut) expect(now?.familiesOut).toContain(family);
        });
        expect(strict[after.outcome]).toBeGreaterThanOrEqual(strict[before.outcome]);
      }),
      { seed: 3, numRuns: 300 },
    );
  });
});
