import { describe, expect, it } from 'vitest';
import { ZONE_IDS, ZONES, type ZoneId } from '../anatomy';
import { MARK_KINDS } from '../field';
import type { Hair } from '../hair';
import { addDays } from '../shared';
import { judge, mayOverride, type ScreeningInput, type ScreeningZone } from './judge';
import { FACTS, type Fact, type FoundFact, type Outcome } from './types';

const hair: Hair = { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const zone = (id: ZoneId, more: Partial<Hair> = {}): ScreeningZone => ({
  zone: id,
  side: ZONES[id].paired ? 'left' : 'middle',
  hair: { ...hair, ...more },
});
const ON = '2027-05-14';
const judged = (
  facts: readonly FoundFact[],
  zones: readonly ScreeningZone[] = [zone('underarm')],
  more: Partial<ScreeningInput> = {},
) => judge({ on: ON, consent: true, guardianConsent: false, sensitivity: 3, facts, zones, ...more });
const daysAgo = (n: number): string => addDays(ON, -n);

/**
 * Starting values of the trade: acids, scrub, sunburn and skin that must heal are common practice (no source), the
 * others from memory.
 */
const WAITS: readonly (readonly [Fact, ZoneId, number, Outcome])[] = [
  ['acid-exfoliant', 'underarm', 7, 'go'],
  ['sunburn', 'underarm', 7, 'adapt'],
  ['retinoid-topical', 'underarm', 7, 'adapt'],
  ['physical-exfoliant', 'underarm', 1, 'go'],
  ['recent-resurfacing', 'underarm', 28, 'go'],
  ['broken-skin', 'underarm', 7, 'adapt'],
  ['rash', 'underarm', 7, 'adapt'],
  ['infection', 'underarm', 7, 'adapt'],
  ['cold-sore', 'upper-lip', 7, 'adapt'],
  ['cold-sore', 'chin', 7, 'adapt'],
  ['injectable', 'underarm', 14, 'go'],
  ['permanent-makeup', 'brow', 28, 'go'],
  ['surgery', 'underarm', 90, 'go'],
];
const ADAPTS: readonly Fact[] = [
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
  'allergy-honey',
  'allergy-fragrance',
  'allergy-zinc-oxide',
  'allergy-glove',
  'earlier-reaction',
];
const STOPS: readonly (readonly [Fact, Outcome])[] = [
  ['numb-skin', 'decline'],
  ['chemo-radio', 'postpone'],
  ['lymph', 'postpone'],
  ['vein-thrombosis', 'postpone'],
  ['retinoid-oral', 'postpone'],
  ['minor', 'decline'],
];

describe('every fact', () => {
  it('has its line in these tables', () => {
    expect([...new Set([...WAITS.map(([f]) => f), ...ADAPTS, ...STOPS.map(([f]) => f)])].sort()).toEqual(
      [...FACTS].sort(),
    );
  });
  it.each(WAITS)(
    '%s on %s waits %i days: the day before its end still, on it and after no longer',
    (fact, id, days, after) => {
      const on = (n: number): Outcome => judged([{ fact, lastOn: daysAgo(n) }], [zone(id)]).outcome;
      expect([days - 1, days, days + 1].map(on)).toEqual(['postpone', after, after]);
      expect(judged([{ fact, lastOn: daysAgo(days - 1) }], [zone(id)]).earliestOn).toBe(addDays(ON, 1));
      expect(judged([{ fact }], [zone(id)])).toMatchObject({ outcome: 'postpone', earliestOn: addDays(ON, days) });
    },
  );
  it.each(ADAPTS)('%s adapts, without a date for as long as it stands', (fact) =>
    expect(judged([{ fact }]).outcome).toBe('adapt'),
  );
  it.each(STOPS)('%s: %s', (fact, outcome) => expect(judged([{ fact }]).outcome).toBe(outcome));
  it('keeps soft wax out for 28 days after a retinoid cream, not for 29', () => {
    expect(
      [27, 28, 29].map((n) => judged([{ fact: 'retinoid-topical', lastOn: daysAgo(n) }]).zones[0]?.familiesOut),
    ).toEqual([['soft'], [], []]);
  });
  it('names dates over leap days and the end of a month', () => {
    const on = (date: string, facts: readonly FoundFact[]) =>
      judge({ on: date, consent: true, guardianConsent: false, sensitivity: 3, facts, zones: [zone('underarm')] })
        .earliestOn;
    expect(on('2028-02-26', [{ fact: 'acid-exfoliant', lastOn: '2028-02-23' }])).toBe('2028-03-01');
    expect(on('2027-02-26', [{ fact: 'acid-exfoliant', lastOn: '2027-02-23' }])).toBe('2027-03-02');
    expect(on('2028-03-01', [{ fact: 'retinoid-oral', lastOn: '2028-02-29' }])).toBe('2029-02-28');
  });
  it('counts civil days: an hour more or less at a clock change makes no difference', () => {
    // Europe/London, clocks forward on 28 March 2027: 21 March + 7 days is the 28th, whatever the hours
    expect(
      judge({
        on: '2027-03-28',
        consent: true,
        guardianConsent: false,
        sensitivity: 3,
        facts: [{ fact: 'acid-exfoliant', lastOn: '2027-03-21' }],
        zones: [zone('underarm')],
      }).outcome,
    ).toBe('go');
    expect(
      judge({
        on: '2027-03-27',
        consent: true,
        guardianConsent: false,
        sensitivity: 3,
        facts: [{ fact: 'acid-exfoliant', lastOn: '2027-03-21' }],
        zones: [zone('underarm')],
      }).outcome,
    ).toBe('postpone');
  });
});

describe('facts together', () => {
  const codes = (
    facts: readonly FoundFact[],
    zones: readonly ScreeningZone[],
    more: Partial<ScreeningInput> = {},
  ): readonly string[] =>
    judged(facts, zones, more)
      .reasons.map((r) => r.code)
      .filter((c) => c.startsWith('both.'));
  const coarse = zone('underarm', { coarseness: 4 });
  it.each<[string, readonly FoundFact[], ScreeningZone, ScreeningZone | null, readonly FoundFact[] | null]>([
    // code, facts, zone where it holds, a zone where it does not, fewer facts with which it does not
    [
      'both.thinner-first-coarse',
      [{ fact: 'blood-thinner' }],
      zone('underarm', { coarseness: 4, history: 'first' }),
      zone('underarm', { coarseness: 4 }),
      [],
    ],
    [
      'both.thinner-alcohol',
      [{ fact: 'blood-thinner' }, { fact: 'alcohol' }],
      zone('knee'),
      null,
      [{ fact: 'alcohol' }],
    ],
    [
      'both.steroid-thinner',
      [{ fact: 'steroid' }, { fact: 'blood-thinner' }],
      zone('knee'),
      null,
      [{ fact: 'steroid' }],
    ],
    ['both.period-intimate', [{ fact: 'before-period' }], zone('bikini-extended'), zone('knee'), []],
    ['both.diabetes-immune', [{ fact: 'diabetes' }, { fact: 'immune' }], zone('underarm'), null, [{ fact: 'immune' }]],
    ['both.shaved-coarse', [{ fact: 'shaved' }], coarse, zone('underarm'), []],
    ['both.keloid-coarse', [{ fact: 'keloid' }], coarse, zone('underarm'), []],
    [
      'both.acid-face',
      [{ fact: 'acid-exfoliant', lastOn: daysAgo(2), zones: ['upper-lip'] }],
      zone('chin'),
      zone('knee'),
      [{ fact: 'acid-exfoliant', lastOn: daysAgo(2), zones: ['knee'] }],
    ],
    [
      'both.sunburn-light',
      [{ fact: 'sunburn', lastOn: daysAgo(10) }, { fact: 'photosensitiser' }],
      zone('underarm'),
      null,
      [{ fact: 'sunburn', lastOn: daysAgo(10) }],
    ],
    [
      'both.diabetes-circulation-leg',
      [{ fact: 'diabetes' }, { fact: 'circulation' }],
      zone('lower-leg-front'),
      zone('underarm'),
      [{ fact: 'circulation' }],
    ],
    ['both.numbing-intimate', [{ fact: 'numbing-cream' }], zone('front-complete'), zone('underarm'), []],
  ])('%s holds where it should and nowhere else', (code, facts, holds, not, fewer) => {
    expect(codes(facts, [holds])).toContain(code);
    if (not) expect(codes(facts, [not])).not.toContain(code);
    if (fewer) expect(codes(fewer, [holds])).not.toContain(code);
  });
  it('reactive skin and an earlier reaction: from sensitivity 4', () => {
    expect(codes([{ fact: 'earlier-reaction' }], [zone('underarm')], { sensitivity: 4 })).toEqual([
      'both.sensitive-reaction',
    ]);
    expect(codes([{ fact: 'earlier-reaction' }], [zone('underarm')], { sensitivity: 3 })).toEqual([]);
  });
  it('hair noted as shaved counts as the fact, and sunburn under a light-sensitising medicine waits 14 days', () => {
    expect(codes([], [zone('underarm', { coarseness: 5, history: 'shaved' })])).toEqual(['both.shaved-coarse']);
    const burnt = (n: number) => judged([{ fact: 'sunburn', lastOn: daysAgo(n) }, { fact: 'photosensitiser' }]);
    expect(burnt(13)).toMatchObject({ outcome: 'postpone', earliestOn: addDays(ON, 1) });
    expect(burnt(14).outcome).toBe('adapt');
  });
});

describe('spots', () => {
  it('are worked around with their clearance and leave the zone as it is (clearance from memory)', () => {
    const result = judged([], [{ ...zone('underarm'), marks: MARK_KINDS.flatMap((kind) => [{ kind }, { kind }]) }]);
    expect(result.outcome).toBe('go');
    expect(Object.fromEntries(result.spots.map((s) => [s.mark, s.clearanceMm]))).toEqual({
      mole: 5,
      tag: 5,
      scar: 5,
      wart: 10,
      piercing: 10,
      vein: 10,
      tattoo: 10,
      irritated: 20,
    });
    expect(result.spots).toHaveLength(MARK_KINDS.length);
  });
});

describe('overrides', () => {
  it('lift the rule that they name and no other one', () => {
    const two: FoundFact[] = [
      { fact: 'acid-exfoliant', lastOn: ON },
      { fact: 'retinoid-topical', lastOn: ON },
    ];
    const lifted = (codes: readonly string[]): string =>
      judged(two, [zone('underarm')], { overrides: codes.map((code) => ({ code, reason: 'one drop, on the hand' })) })
        .outcome;
    expect(lifted([])).toBe('postpone');
    expect(lifted(['skin.acid'])).toBe('postpone');
    expect(lifted(['skin.retinoid'])).toBe('postpone');
    expect(lifted(['skin.acid', 'skin.retinoid'])).toBe('adapt');
  });
  const acid: FoundFact = { fact: 'acid-exfoliant', lastOn: daysAgo(5) };
  it('let a soft rule give way for a reason: adapt, with the reason beside it', () => {
    const result = judged([acid], [zone('underarm')], {
      overrides: [{ code: 'skin.acid', reason: 'one drop, seen on the hand' }],
    });
    expect(result).toMatchObject({ outcome: 'adapt', earliestOn: null });
    expect(result.reasons[0]).toMatchObject({
      code: 'skin.acid',
      outcome: 'adapt',
      overridden: 'one drop, seen on the hand',
    });
  });
  it('for one zone only, where one is named; never without a reason', () => {
    const two = [zone('underarm'), { ...zone('underarm'), side: 'right' as const }];
    expect(
      judged([acid], two, {
        overrides: [{ code: 'skin.acid', zone: 'underarm/left', reason: 'only the right' }],
      }).zones.map((z) => z.outcome),
    ).toEqual(['adapt', 'postpone']);
    expect(judged([acid], two, { overrides: [{ code: 'skin.acid', reason: '  ' }] }).outcome).toBe('postpone');
  });
  it.each<[Fact, string]>([
    ['broken-skin', 'skin.broken'],
    ['numb-skin', 'skin.numb'],
    ['retinoid-oral', 'skin.retinoid-oral'],
  ])('never let %s give way', (fact, code) => {
    const before = judged([{ fact }]);
    expect(judged([{ fact }], [zone('underarm')], { overrides: [{ code, reason: 'because I say so' }] }).outcome).toBe(
      before.outcome,
    );
    expect(before.reasons.filter((r) => r.code === code).every((r) => !mayOverride(r))).toBe(true);
  });
  it('never replace a consent, a guardian, or the age for intimate zones', () => {
    const all = ['person.no-consent', 'person.minor', 'person.minor-intimate'].map((code) => ({
      code,
      reason: 'because I say so',
    }));
    expect(judged([], [zone('underarm')], { consent: false, overrides: all }).outcome).toBe('decline');
    expect(judged([], [zone('underarm')], { ageYears: 17, overrides: all }).outcome).toBe('decline');
    expect(judged([], [zone('bikini-edge')], { ageYears: 17, guardianConsent: true, overrides: all }).outcome).toBe(
      'decline',
    );
  });
});

it('judges every zone of the catalogue', () => {
  expect(
    judged(
      FACTS.filter((f) => f !== 'minor').map((fact) => ({ fact })),
      ZONE_IDS.map((z) => zone(z)),
    ).zones,
  ).toHaveLength(ZONE_IDS.length);
});
