import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { visitLength, type TimedVisit } from './visitLength';

const PLAN = { plannedMin: 40, turnoverMin: 8, own: [], practitioner: [] };
const took = (...ratios: readonly number[]): readonly TimedVisit[] =>
  ratios.map((r) => ({ plannedMin: 40, tableMin: 40 * r }));

describe('how long to book', () => {
  it('is the plan, its spread and the turnover while nothing is known', () => {
    // 40 · (1 + 0.8416 · √(π/2) · 0.15) + 8 = 54.3, up to the next five (worked by hand)
    expect(visitLength(PLAN)).toEqual({
      minutes: 55,
      plannedMin: 40,
      likelyMin: 40,
      ownVisits: 0,
      practitionerVisits: 0,
      ownRange: null,
    });
  });
  it('follows the client’s own visits, the latest most, and grows closer with steady ones', () => {
    const faster = visitLength({ ...PLAN, own: took(0.8, 0.7, 0.7, 0.7, 0.7) });
    expect(faster.likelyMin).toBeGreaterThan(28);
    expect(faster.likelyMin).toBeLessThan(30.5);
    // worked by hand: 40 · (0.729 + 0.8416 · 1.2533 · 0.098) + 8 = 41.3, up to the next five
    expect(faster.minutes).toBe(45);
    expect(faster.ownRange?.map(Math.round)).toEqual([28, 32]);
    const [slowerOfLate, fasterOfLate] = [took(0.7, 0.7, 1.2), took(1.2, 0.7, 0.7)].map(
      (own) => visitLength({ ...PLAN, own }).likelyMin,
    );
    expect(slowerOfLate).toBeGreaterThan((fasterOfLate ?? 0) + 4);
    expect(visitLength({ ...PLAN, own: took(0.6, 1.4, 0.6, 1.4) }).minutes).toBeGreaterThan(
      visitLength({ ...PLAN, own: took(1, 1, 1, 1) }).minutes,
    );
  });
  it('begins at the practitioner’s pace: six of their visits weigh as much as none', () => {
    const pace = (n: number) => visitLength({ ...PLAN, practitioner: took(...Array(n).fill(1.44)) }).likelyMin;
    expect(pace(6)).toBeCloseTo(48, 6); // √1.44 = 1.2
    expect(pace(60)).toBeGreaterThan(54);
  });
  it('believes no clock that ran overnight and no act noted by itself', () => {
    const odd = [...took(30), { plannedMin: 40, tableMin: 0 }, { plannedMin: 0, tableMin: 20 }];
    expect(visitLength({ ...PLAN, own: odd, practitioner: odd })).toEqual(visitLength(PLAN));
  });
  it('is enough about four times in five, for made-up clients with visits round a pace of their own', () => {
    const random = seededRandom(10);
    let enough = 0;
    const CLIENTS = 600;
    for (let k = 0; k < CLIENTS; k++) {
      const pace = random.between(0.75, 1.35);
      const spread = random.between(0.05, 0.2);
      const visit = (): number => pace * Math.exp(spread * random.normal());
      const { minutes } = visitLength({ ...PLAN, own: took(...Array.from({ length: 8 }, visit)) });
      // the rounding up to five is not what is checked: the booking without it
      if (40 * visit() <= minutes - 8) enough++;
    }
    expect(enough / CLIENTS).toBeGreaterThan(0.76);
    expect(enough / CLIENTS).toBeLessThan(0.97);
  });
});
