import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { likelyCauses, type ReadingFacts } from './causes';
import { nextAction, type AfterPass } from './nextAction';

const facts: ReadingFacts = {
  removedShare: 0.8,
  brokenShare: 0.02,
  leftKind: 'other-way',
  family: 'hard',
  workableShare: 0.9,
  crossingGrowth: false,
  drySkin: false,
  heatFelt: 'right',
  shaved: false,
};

describe('likelyCauses (table of faults of the trade; common practice, no source)', () => {
  it.each([
    [{ leftKind: 'other-way' }, 'wrong-way'],
    [{ leftKind: 'short', workableShare: 0.6 }, 'too-short'],
    [{ leftKind: 'anywhere', heatFelt: 'too-cool' }, 'too-cool'],
    [{ leftKind: 'flat', crossingGrowth: true }, 'next-layer'],
    [{ removedShare: 0.97, brokenShare: 0.2, leftKind: 'none', drySkin: true }, 'dry-hair'],
  ] as const)('%o → %s first', (more, code) => expect(likelyCauses({ ...facts, ...more })[0]?.code).toBe(code));
  it('gives shares that add up, and nothing where all went well', () => {
    expect(likelyCauses(facts).reduce((s, c) => s + c.probability, 0)).toBeCloseTo(1, 9);
    expect(likelyCauses({ ...facts, removedShare: 0.98 })).toEqual([]);
  });
});

describe('nextAction', () => {
  it('never repeats soft wax, never works on sore skin, never passes the limit', () => {
    const any = fc.record<AfterPass>({
      family: fc.constantFrom('hard', 'soft', 'sugar'),
      passesDone: fc.integer({ min: 1, max: 3 }),
      passLimit: fc.integer({ min: 1, max: 3 }),
      left: fc.constantFrom('none', 'few', 'patch', 'many'),
      skin: fc.constantFrom('calm', 'pink', 'red', 'shiny', 'blister'),
      bleeding: fc.constantFrom('none', 'points', 'keeps-on'),
      tweezingAllowed: fc.boolean(),
    });
    fc.assert(
      fc.property(any, (a) => {
        const { code } = nextAction(a);
        if (code === 'second-pass') {
          expect(
            a.family !== 'soft' &&
              a.passesDone < a.passLimit &&
              ['calm', 'pink'].includes(a.skin) &&
              a.bleeding !== 'keeps-on',
          ).toBe(true);
        }
        if (a.skin === 'blister' || a.bleeding === 'keeps-on') expect(code).toBe('stop');
        if (!a.tweezingAllowed) expect(code).not.toBe('tweeze');
      }),
      { seed: 4, numRuns: 400 },
    );
  });
});
