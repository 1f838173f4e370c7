import { describe, expect, it } from 'vitest';
import { cardFault, cleanFact, withProfile, type CardFields } from './cardFields';

const card: CardFields = {
  name: 'Nell',
  byline: '',
  bornOn: '1990-01-01',
  phone: '',
  note: '',
  profile: {
    v: 2,
    statureCm: null,
    massKg: null,
    sensitivity: 3,
    skin: 'normal',
    ingrownProne: false,
    standing: [],
    reactions: [],
    patchTests: [],
    consentOn: null,
    guardianConsentOn: null,
    blackout: [],
  },
};
const TODAY = '2027-05-14';

describe('cardFault', () => {
  it('finds nothing on a plain card', () => expect(cardFault(card, TODAY)).toBeNull());
  it.each<[string, CardFields]>([
    ['name', { ...card, name: '  ' }],
    ['birth', { ...card, bornOn: '2027-05-15' }],
    ['ends before', withProfile(card, { standing: [{ fact: 'diabetes', since: '2027-02-01', until: '2027-01-01' }] })],
    ['kept free', withProfile(card, { blackout: [{ from: '2027-06-02', to: '2027-06-01', why: '' }] })],
    ['kept free', withProfile(card, { blackout: [{ from: '', to: '2027-06-01', why: '' }] })],
    ['Height', withProfile(card, { statureCm: Number.NaN })],
    ['Height', withProfile(card, { statureCm: 20 })],
    ['Weight', withProfile(card, { massKg: 900 })],
  ])('names the fault: %s', (words, fields) => expect(cardFault(fields, TODAY)).toContain(words));
});

it('cleanFact drops emptied dates and keeps the rest', () => {
  expect(cleanFact({ fact: 'steroid', since: '', until: '', lastOn: '2027-01-02', zones: ['underarm'] })).toEqual({
    fact: 'steroid',
    lastOn: '2027-01-02',
    zones: ['underarm'],
  });
  expect(cleanFact({ fact: 'steroid', since: '2027-01-01' })).toEqual({ fact: 'steroid', since: '2027-01-01' });
});
