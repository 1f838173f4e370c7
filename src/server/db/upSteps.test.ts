import { describe, expect, it } from 'vitest';
import { upConsult, upProfile } from './upSteps';

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
});
