import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../products';
import { coolsInS, USUAL_POT } from '../pots';
import { liveGroups } from './liveGroups';
import { planVisit } from './planVisit';
import { potStages, potWords, type OfPot } from './potHeat';

const film = SHIPPED_PRODUCTS[0];
/** Only what the stages look at. */
const zone = (minC: number, maxC: number, targetC = (minC + maxC) / 2): OfPot =>
  ({
    choice: { product: film, family: 'hard', way: 'with', window: { minC, maxC, targetC } },
    match: { roomC: 22 },
  }) as unknown as OfPot;

describe('potStages', () => {
  it('gives zones whose windows meet one heat, the coolest target that all allow', () => {
    const stages = potStages([zone(52, 62, 58), null, zone(52, 57, 54), zone(55, 60, 57)]);
    expect(stages).toMatchObject([{ zones: [0, 2, 3], touchC: 55, coolS: 0 }]);
    expect(potWords(stages, 2, ['lower-leg-front', 'chin', 'underarm', 'bikini-edge'])).toContain('suits every zone');
    expect(potWords(stages, 2, ['underarm', 'chin', 'underarm', 'underarm'])).toBeNull();
    expect(potWords(stages, 1, ['a', 'b', 'c', 'd'])).toBeNull();
  });
  it('works unlike windows from the warmest down, with the time that the pot takes', () => {
    const stages = potStages([zone(50, 53), zone(58, 62), zone(51, 54)]);
    expect(stages.map((s) => s.zones)).toEqual([[1], [0, 2]]);
    const [warm, cool] = stages;
    if (!film || !warm || !cool) throw new Error('two stages');
    expect(cool.touchC).toBeLessThanOrEqual(53);
    const down = coolsInS(film, USUAL_POT, { fromC: warm.potC, toC: cool.potC, roomC: 22 });
    expect(down).toBeGreaterThan(60);
    expect(Math.abs((cool.coolS ?? 0) - (down ?? 0))).toBeLessThanOrEqual(60);
    expect(potWords(stages, 1, ['a', 'b', 'c'])).toContain('this one first');
    expect(potWords(stages, 0, ['a', 'b', 'c'])).toMatch(/after the warmer ones.*about \d+ min/);
  });
  it('never lays wax of a heat outside a zone’s window, and never warms up again', () => {
    const windows = fc.array(
      fc.tuple(fc.double({ min: 45, max: 60, noNaN: true }), fc.double({ min: 0.6, max: 8, noNaN: true })),
      { minLength: 1, maxLength: 7 },
    );
    fc.assert(
      fc.property(windows, (list) => {
        const stages = potStages(list.map(([min, wide]) => zone(min, min + wide)));
        expect(stages.flatMap((s) => s.zones).sort((a, b) => a - b)).toEqual(list.map((_, i) => i));
        const outside = stages.flatMap((s) =>
          s.zones.filter((i) => {
            const [min, wide] = list[i] ?? [0, 0];
            return s.touchC < min - 0.06 || s.touchC > min + wide + 0.06;
          }),
        );
        expect(outside).toEqual([]);
        const heats = stages.map((s) => s.touchC);
        expect([...heats].sort((a, b) => b - a)).toEqual(heats);
      }),
      { seed: 8, numRuns: 150 },
    );
  });
});

describe('a leg warmed by hand and an underarm from one pot', () => {
  it('goes leg first, waits for the pot, and asks for the wrist again at the table', () => {
    const hair = { lengthMm: 8, coarseness: 3, density: 3 };
    const made = planVisit({
      version: 1,
      on: '2027-05-14',
      client: { consent: true },
      zones: [
        { zone: 'underarm', side: 'left', hair, product: 'film-hard' },
        {
          zone: 'lower-leg-front',
          side: 'left',
          hair,
          product: 'film-hard',
          heat: { product: 'film-hard', touchC: 61 },
        },
      ],
    });
    if (!made.ok) throw new Error(made.error.message);
    const { schedule, zones } = made.value;
    expect(schedule.rounds.map((g) => g.touchC)).toEqual([61, zones[0]?.heat?.workingC.target]);
    expect([...(schedule.rounds[0]?.strips ?? [])].sort()).toEqual(zones[1]?.strips.map((s) => s.id).sort());
    expect(schedule.rounds[1]?.coolS).toBeGreaterThan(60);
    expect(schedule.events.filter((e) => e.do === 'wait' && e.forS === schedule.rounds[1]?.coolS)).toHaveLength(1);
    expect(liveGroups(made.value).map((g) => g.heatStage)).toEqual([0, 1]);
  });
});
