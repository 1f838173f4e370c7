import { describe, expect, it } from 'vitest';
import { planVisit } from '@/core/plan';
import { alertsToday } from './alertsToday';

const planned = (facts: readonly { readonly fact: 'caffeine' | 'blood-thinner' }[]) => {
  const made = planVisit({
    version: 1,
    on: '2027-05-14',
    client: { consent: true, screening: facts },
    studio: {},
    zones: [{ zone: 'underarm', side: 'left', hair: { lengthMm: 7, coarseness: 3, density: 3 } }],
  });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
};

describe('what is looked at before the first wax', () => {
  it('is the card and what was answered today, each once', () => {
    const seen = alertsToday(['Very reactive skin.'], planned([{ fact: 'blood-thinner' }]));
    expect(seen).toEqual(['Very reactive skin.', 'Blood thinner, aspirin or ibuprofen']);
    const known = alertsToday(['Blood thinner, aspirin or ibuprofen'], planned([{ fact: 'blood-thinner' }]));
    expect(known).toHaveLength(1);
  });
  it('is no more than is read at a glance', () => {
    const many = alertsToday(['a', 'b', 'c', 'd', 'e', 'f'], planned([]));
    expect(many).toEqual(['a', 'b', 'c', 'd', '2 more in the slip']);
  });
});
