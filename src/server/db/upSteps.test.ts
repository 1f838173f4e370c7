import { describe, expect, it } from 'vitest';
import { planVisit, type Plan } from '../../core/plan';
import { upConsult, upPlan, upProfile } from './upSteps';

describe('documents of an older shape', () => {
  it('a consultation 1 keeps its answers, its words and whether tweezing was allowed', () => {
    const old = {
      v: 1,
      facts: [{ fact: 'blood-thinner' }],
      consent: true,
      guardianConsent: false,
      sensitivity: 4,
      agreed: 'All of it.',
      tweezingAllowed: false,
      confirmedAtMs: 5,
    };
    expect(upConsult(old)).toEqual({
      v: 2,
      facts: [{ fact: 'blood-thinner' }],
      asked: [],
      unsure: [],
      spots: [],
      consent: true,
      guardianConsent: false,
      sensitivity: 4,
      services: [],
      overrides: [],
      judged: null,
      confirmedAtMs: 5,
      agreed: { howMuch: [], coldPack: false, company: 'either', tweezing: false, words: 'All of it.' },
    });
    expect(upConsult(upConsult(old))).toEqual(upConsult(old));
  });
  it('a profile 1 keeps its facts', () => {
    const old = {
      v: 1,
      statureCm: 171,
      massKg: null,
      sensitivity: 3,
      skin: 'dry',
      ingrownProne: true,
      standing: [{ fact: 'diabetes' }],
      consentOn: '2027-01-02',
      guardianConsentOn: null,
      blackout: [],
    };
    expect(upProfile(old)).toEqual({ ...old, v: 2, reactions: [], patchTests: [] });
    expect(upProfile(upProfile(old))).toEqual(upProfile(old));
  });
  it('a plan with groups gets its rounds from them: nothing is turned in it, and nothing is said of its order', () => {
    const made = planVisit({
      version: 1,
      on: '2027-05-14',
      client: { consent: true },
      zones: [
        { zone: 'upper-lip', side: 'middle', hair: { lengthMm: 8, coarseness: 3, density: 3 } },
        { zone: 'nape', side: 'middle', hair: { lengthMm: 8, coarseness: 3, density: 3 } },
      ],
    });
    if (!made.ok) throw new Error('the case is good');
    const { schedule } = made.value;
    const { rounds, events, endS } = schedule;
    const groups = rounds.map(({ product, strips }) => ({ product, strips }));
    const up = upPlan({ ...made.value, schedule: { events, endS, groups } } as unknown as Plan); // as it once was kept
    expect(up.schedule.rounds.map((r) => [...r.strips])).toEqual(rounds.map((r) => [...r.strips]));
    expect(up.schedule.rounds.map((r) => r.zones)).toEqual(rounds.map((r) => r.zones));
    expect(new Set(up.schedule.rounds.map((r) => r.position)).size).toBe(1);
    expect(up.schedule.rounds.flatMap((r) => [r.stands, ...r.says])).toEqual(['', '']);
    expect(up.schedule.quickestS).toBe(schedule.endS);
    expect('groups' in up.schedule).toBe(false);
    expect(upPlan(up)).toEqual(up);
  });
});
