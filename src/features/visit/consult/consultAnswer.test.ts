import { describe, expect, it } from 'vitest';
import { judge, type FoundFact, type ScreeningInput } from '@/core/screening';
import type { Bench } from '@/server/services/bench';
import { reasonGroups } from './consultAnswer';

const hair = { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular' } as const;
const zone = (side: 'left' | 'right') =>
  // only these fields are looked at
  ({ zone: 'underarm', side, name: 'Underarm', data: { hair } }) as unknown as Bench['zones'][number];
const zones = [zone('left'), zone('right')];
const answer = (facts: readonly FoundFact[], more: Partial<ScreeningInput> = {}) =>
  judge({
    on: '2027-05-14',
    consent: true,
    guardianConsent: false,
    sensitivity: 3,
    facts,
    zones: zones.map((z) => ({ zone: z.zone, side: z.side, hair: { ...hair, past: [] } })),
    ...more,
  });
describe('reasonGroups', () => {
  it('says once what both sides share, and each by itself where they differ', () => {
    expect(reasonGroups(answer([{ fact: 'sunburn' }]), zones)).toMatchObject([
      { name: 'Both underarms', zones: ['underarm/left', 'underarm/right'] },
    ]);
    expect(reasonGroups(answer([{ fact: 'sunburn', zones: ['underarm/right'] }]), zones).map((g) => g.name)).toEqual([
      'Underarm, right',
    ]);
  });
  it('puts the whole visit first and the strictest first within', () => {
    const groups = reasonGroups(answer([{ fact: 'shaved' }, { fact: 'sunburn' }, { fact: 'caffeine' }]), zones);
    expect(groups.map((g) => g.name)).toEqual(['Whole visit', 'Both underarms']);
    expect(groups[1]?.reasons.map((r) => r.outcome)).toEqual(['postpone', 'adapt']);
  });
});
