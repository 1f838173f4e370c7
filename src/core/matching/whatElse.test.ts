import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import type { Hair } from '../hair';
import { SHIPPED_PRODUCTS } from '../products';
import type { ZoneJudgement } from '../screening';
import { daysBetween, recaller } from '../shared';
import type { MatchInput } from './matchInput';
import { evaluateAll } from './evaluate';
import { matchZone } from './matchZone';
import { whatElse } from './whatElse';

const hair: Hair = { lengthMm: 8, coarseness: 5, density: 3, curl: 1, history: 'regular', past: [] };
const free: ZoneJudgement = {
  ...{ outcome: 'go', familiesOut: [], allergensOut: [], lowerHeatK: 0 },
  ...{ onePass: false, pressS: 0, smallStrips: false, nothingNew: false },
};
const usual: MatchInput = {
  ...{ on: '2027-05-14', zone: ZONES.underarm, hair, sensitivity: 3, skin: 'normal', ingrownProne: false, roomC: 22 },
  schools: {
    ...{ hardLay: 'with', shortHair: 'crossed', maxHardPasses: 2, prep: 'powder' },
    families: ['hard', 'soft', 'sugar'],
  },
  ...{ judgement: free, products: SHIPPED_PRODUCTS, hairAreaCm2: 90, hairsPerCm2: ZONES.underarm.hairsPerCm2 },
  ...{ rateMmPerDay: 0.3, windows: recaller(900), heats: recaller(900), coats: recaller(900) },
  stripFacts: () => ({ strips: 6, scheduleS: 120, massG: 20, meanAngleErrorDeg: 3 }),
};
const else_ = (more: Partial<MatchInput> = {}) => {
  const input = { ...usual, ...more };
  return { match: matchZone(input), found: whatElse(input, evaluateAll(input), matchZone(input)) };
};

describe('what would suit better', () => {
  it('is nothing where today’s choice is the best there is', () => {
    expect(else_().found).toEqual([]);
  });
  it('is hard wax for coarse hair once it is long enough, on a day on which that is the choice of all', () => {
    const short = { ...hair, lengthMm: 2.2 };
    const { match, found } = else_({ hair: short });
    expect(match.best?.family).toBe('sugar');
    expect(found).toMatchObject([{ kind: 'later', afterPatchTest: false, option: { family: 'hard' } }]);
    const [one] = found;
    expect(one?.against?.product.id).toBe(match.best?.product.id);
    // told by the match itself on the hair of that day: hard wax, not the sugar of today
    const days = daysBetween(usual.on, one?.fromOn ?? usual.on);
    const then = matchZone({ ...usual, hair: { ...hair, lengthMm: 2.2 + 0.3 * days } });
    expect(then.best?.family).toBe('hard');
    const same = (o: { product: { id: string }; way: string }) =>
      o.product.id === one?.option.product.id && o.way === one.option.way;
    expect(then.options.find(same)?.eligible).toBe(true);
    const ready = match.options.find(same)?.readyOn ?? '';
    expect([0, 3, 7, 14]).toContain(daysBetween(ready, one?.fromOn ?? ''));
  });
  it('takes the mixed lengths with it as they grow', () => {
    const mixed = { ...hair, lengthMm: 3, shortestMm: 2.2, longestMm: 4 };
    const { found } = else_({ hair: mixed });
    expect(found).toMatchObject([{ kind: 'later', option: { family: 'hard' } }]);
    expect(found[0]?.option.workableShare).toBeGreaterThan(0.7);
  });
  it('is a product new to this skin, two days after at the earliest, said as such', () => {
    const judgement = { ...free, nothingNew: true };
    const { match, found } = else_({ knownProducts: ['soft', 'sugar-firm'], judgement });
    expect(match.best?.family).not.toBe('hard');
    expect(found).toMatchObject([
      { kind: 'later', afterPatchTest: true, fromOn: '2027-05-16', option: { family: 'hard' } },
    ]);
  });
  it('is a family that the studio does not work with, and no day is named; beside what is later where both are', () => {
    const schools = { ...usual.schools, families: ['soft', 'sugar'] as const };
    expect(else_({ schools }).found).toMatchObject([
      { kind: 'other-family', fromOn: null, afterPatchTest: false, option: { family: 'hard', eligible: true } },
    ]);
    // what waits for two things of different kinds is neither
    const both = else_({ schools, hair: { ...hair, lengthMm: 2.2 } });
    expect(both.found.map((f) => f.option.family)).not.toContain('hard');
  });
  it('never is what safety excludes', () => {
    const { found } = else_({
      reactedTo: ['film-hard', 'cream-hard'],
      schools: { ...usual.schools, families: ['soft', 'sugar'] },
    });
    expect(found.map((f) => f.option.family)).not.toContain('hard');
    const rosin = else_({ judgement: { ...free, familiesOut: ['hard'] } });
    expect(rosin.found.map((f) => f.option.family)).not.toContain('hard');
  });
});
