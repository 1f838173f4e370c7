import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { likelyCauses, type ReadingFacts } from './causes';
import { FAULTS, rankedFaults, type FaultAsked } from './faults';
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
  it('weighs as Bayes does: prior times the likelihood of each thing seen, over their sum', () => {
    // worked by hand from the table, for hair left short after a shave, on skin that is not dry, at the right heat:
    // prior · P(many left) · P(not many broken) · P(short)
    const weights = {
      'too-short': (0.3 * (1.2 - 0.9) + 0.3) * 0.8 * 0.8 * 0.85,
      'wrong-way': 0.12 * 0.7 * 0.5 * 0.03,
      'too-cool': 0.06 * 0.7 * 0.4 * 0.1,
      moisture: 0.12 * 0.8 * 0.85 * 0.06,
      'next-layer': 0.2 * 0.7 * 0.9 * 0.2,
      'dry-hair': 0.05 * 0.4 * 0.15 * 0.2,
      pull: 0.15 * 0.45 * 0.25 * 0.15,
    };
    const total = Object.values(weights).reduce((a, b) => a + b, 0);
    const found = likelyCauses({ ...facts, leftKind: 'short', shaved: true });
    expect(found).toHaveLength(7);
    for (const c of found) expect(c.probability).toBeCloseTo(weights[c.code] / total, 9);
    expect(found.map((c) => c.probability)).toEqual(found.map((c) => c.probability).sort((a, b) => b - a));
    expect(found.every((c) => c.text !== '' && c.remedy !== '')).toBe(true);
  });
  it('takes much broken and nothing left by their own likelihoods', () => {
    // nothing is said of where: prior · (1 − P(many left)) · P(many broken)
    const weights = {
      'too-short': 0.3 * 0.3 * 0.2 * 0.2,
      'wrong-way': 0.3 * 0.3 * 0.5,
      'too-cool': 0.35 * 0.3 * 0.6,
      moisture: 0.12 * 0.2 * 0.15,
      'next-layer': 0.2 * 0.3 * 0.1,
      'dry-hair': 0.2 * 0.6 * 0.85,
      pull: 0.15 * 0.55 * 0.75,
    };
    const total = Object.values(weights).reduce((a, b) => a + b, 0);
    const seen = {
      removedShare: 0.95,
      brokenShare: 0.1,
      leftKind: 'none',
      crossingGrowth: true,
      drySkin: true,
    } as const;
    const found = likelyCauses({ ...facts, ...seen, heatFelt: 'too-cool' });
    expect(found).toHaveLength(7);
    for (const c of found) expect(c.probability).toBeCloseTo(weights[c.code] / total, 9);
  });
  it('expects a further layer less where nothing crosses and nothing was shaved', () => {
    const found = likelyCauses({ ...facts, leftKind: 'flat' });
    const share = (code: string): number => found.find((c) => c.code === code)?.probability ?? Number.NaN;
    const byHand = (0.08 * 0.7 * 0.9 * 0.6) / (0.12 * 0.8 * 0.85 * 0.15);
    expect(share('next-layer') / share('moisture')).toBeCloseTo(byHand, 9);
  });
  it('asks nothing at nine in ten out and six in a hundred broken, and asks beyond', () => {
    expect(likelyCauses({ ...facts, removedShare: 0.9, brokenShare: 0.06 })).toEqual([]);
    expect(likelyCauses({ ...facts, removedShare: 0.899, brokenShare: 0.06 })).toHaveLength(7);
    expect(likelyCauses({ ...facts, removedShare: 0.9, brokenShare: 0.061 })).toHaveLength(7);
  });
  it('gives shares that add up, and nothing where all went well', () => {
    expect(likelyCauses(facts).reduce((s, c) => s + c.probability, 0)).toBeCloseTo(1, 9);
    expect(likelyCauses({ ...facts, removedShare: 0.98 })).toEqual([]);
  });
});

describe('faults at the table (common practice, no source)', () => {
  it('stop the work where skin is lifted or burnt and nowhere else, and say what to do at once', () => {
    expect(FAULTS.filter((f) => f.stop === true).map((f) => f.seen)).toEqual(['Skin lifted', 'Burn or blister']);
    expect(FAULTS.find((f) => f.seen.startsWith('Burn'))?.remedy).toContain('20 minutes');
    expect(FAULTS.length).toBeGreaterThan(10);
    expect(FAULTS.filter((f) => f.causes === '' || f.remedy === '' || f.families.length === 0)).toEqual([]);
  });
  it('name the products in which they are seen', () => {
    const of = (family: 'hard' | 'soft' | 'sugar') =>
      FAULTS.filter((f) => f.families.includes(family)).map((f) => f.seen.split(' ')[0]);
    expect(of('sugar')).toEqual(['Hair', 'Hair', 'Paste', 'Paste', 'Bruise', 'Skin', 'Burn']);
    expect(of('soft')).toEqual(['Wax', 'Hair', 'Hair', 'Rolls', 'Clings', 'Bruise', 'Skin', 'Burn']);
    expect(of('hard').slice(0, 5)).toEqual(['Strip', 'Wax', 'Hair', 'Hair', 'Strings']);
  });
});

describe('rankedFaults', () => {
  const asked = { family: 'hard', lastMark: null, justDone: null, isOneCoatFilm: false, zone: null } as const;
  const third = (more: Partial<FaultAsked>) => rankedFaults({ ...asked, ...more })[2]?.seen;
  it('puts danger first whatever was done', () => {
    const first = (more: Partial<FaultAsked>) => rankedFaults({ ...asked, ...more }).slice(0, 2);
    const all = [{}, { justDone: 'lay' }, { justDone: 'pull', lastMark: 'broke' }, { family: 'sugar' }] as const;
    expect(all.map((more) => first(more).every((f) => f.stop === true))).toEqual([true, true, true, true]);
  });
  it('then what shows itself at what was just done', () => {
    expect(third({ justDone: 'lay' })).toBe('Rolls or slides');
    expect(third({ justDone: 'pull' })).toBe('Strip cracks or breaks');
    expect(third({ justDone: 'lay', family: 'sugar' })).toBe('Paste sticks to hand or skin');
  });
  it('the mark of the strip weighs more than the moment, and product and place a little', () => {
    expect(third({ justDone: 'pull', lastMark: 'some-left' })).toBe('Hair left');
    expect(third({ justDone: 'pull', isOneCoatFilm: true })).toBe('Stretches');
    expect(third({ justDone: 'pull', zone: 'underarm' })).toBe('Wax sticks to the skin');
    expect(third({ justDone: 'pull', zone: 'forearm' })).toBe('Strip cracks or breaks');
  });
});

describe('nextAction', () => {
  const calm: AfterPass = {
    family: 'hard',
    passesDone: 1,
    passLimit: 3,
    left: 'patch',
    skin: 'calm',
    bleeding: 'none',
    tweezingAllowed: true,
  };
  it.each([
    [{}, 'second-pass', '2 of 3'],
    [{ left: 'none' }, 'finish', 'bright light'],
    [{ left: 'few' }, 'tweeze', 'firmly'],
    [{ left: 'few', tweezingAllowed: false }, 'next-visit', 'Leave the rest'],
    [{ left: 'many', passesDone: 2 }, 'second-pass', '3 of 3'],
    [{ left: 'many', passesDone: 3 }, 'next-visit', 'Leave the rest'],
    [{ passesDone: 3 }, 'tweeze', 'without haste'],
    [{ skin: 'red' }, 'tweeze', 'without haste'],
    [{ skin: 'red', tweezingAllowed: false }, 'next-visit', 'Leave the rest'],
    [{ family: 'soft' }, 'tweeze', 'without haste'],
    [{ family: 'soft', left: 'many' }, 'next-visit', 'one pass'],
    [{ family: 'soft', tweezingAllowed: false }, 'next-visit', 'one pass'],
    [{ bleeding: 'points' }, 'second-pass', '2 of 3'],
    [{ bleeding: 'keeps-on', left: 'none' }, 'stop', 'First aid'],
    [{ skin: 'shiny', left: 'none' }, 'stop', 'First aid'],
    [{ skin: 'blister' }, 'stop', 'refer'],
  ] as const)('%o → %s', (more, code, words) => {
    const next = nextAction({ ...calm, ...more });
    expect(next.code).toBe(code);
    expect(next.text).toContain(words);
  });
  it('never repeats soft wax, never works on sore skin, never passes the limit', () => {
    const any = fc.record<AfterPass>({
      family: fc.constantFrom('hard', 'soft', 'sugar'),
      passesDone: fc.integer({ min: 1, max: 3 }),
      passLimit: fc.integer({ min: 1, max: 3 }),
      left: fc.constantFrom('none', 'few', 'patch', 'many', null),
      skin: fc.constantFrom('calm', 'pink', 'red', 'shiny', 'blister', null),
      bleeding: fc.constantFrom('none', 'points', 'keeps-on', null),
      tweezingAllowed: fc.boolean(),
    });
    fc.assert(
      fc.property(any, (a) => {
        const { code } = nextAction(a);
        if (code === 'second-pass') {
          expect(
            a.family !== 'soft' &&
              a.passesDone < a.passLimit &&
              // a further pass only on skin that was looked at
              (a.skin === 'calm' || a.skin === 'pink') &&
              (a.bleeding === 'none' || a.bleeding === 'points'),
          ).toBe(true);
        }
        if (a.skin === 'blister' || a.bleeding === 'keeps-on') expect(code).toBe('stop');
        else if (a.left === null && a.skin !== 'shiny') expect(code).toBe('ask');
        if (!a.tweezingAllowed) expect(code).not.toBe('tweeze');
      }),
      { seed: 4, numRuns: 400 },
    );
  });
});
