import { describe, expect, it } from 'vitest';
import { stepsOf } from '../hands';
import { liveGroups } from './liveGroups';
import type { Plan } from './planTypes';
import { planVisit } from './planVisit';
import { zonesOfStep } from './tableSteps';
import type { HairCase, ZoneCase } from './visitCase';

// What is done round the wax, and in which order: common practice, no source.
const hair: HairCase = { lengthMm: 7, coarseness: 3, density: 3 };
const underarm: ZoneCase = { zone: 'underarm', side: 'left', hair };
function planned(...zones: readonly ZoneCase[]): Plan {
  const made = planVisit({ version: 1, on: '2027-05-14', client: { consent: true }, studio: {}, zones });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
}
const stepsFor = (...zones: readonly ZoneCase[]): readonly string[] => stepsOf(liveGroups(planned(...zones)));

describe('the steps of a plan', () => {
  it('hands before skin, clean before dry; at the end light, residue, calm skin, the mirror, the care', () => {
    expect(stepsFor(underarm)).toEqual([
      'alerts',
      'hands',
      'cleanse@0',
      'skin@0',
      'light',
      'residue',
      'calm',
      'mirror',
      'care',
    ]);
  });
  it('long hair is cut before the skin is cleansed, and only where it is long', () => {
    const long: ZoneCase = { zone: 'underarm', side: 'right', hair: { ...hair, lengthMm: 17, longestMm: 22 } };
    const plan = planned(underarm, long);
    expect(stepsOf(liveGroups(plan)).slice(0, 4)).toEqual(['alerts', 'hands', 'trim@0', 'cleanse@0']);
    expect(zonesOfStep(plan, 'trim@0').map((z) => z.side)).toEqual(['right']);
    expect(zonesOfStep(plan, 'cleanse@0').map((z) => z.side)).toEqual(['left', 'right']);
  });
  it('skin that comes up after a turn is prepared after it', () => {
    const steps = stepsFor(underarm, { zone: 'lower-back', side: 'middle', hair });
    const cleansed = steps.filter((s) => s.startsWith('cleanse'));
    expect(cleansed).toHaveLength(2);
    expect(steps.filter((s) => s === 'hands')).toHaveLength(1);
  });
  it('a brow is looked at together in the mirror when its strips are off, a leg is not', () => {
    const brow: ZoneCase = { zone: 'brow', side: 'left', hair: { ...hair, lengthMm: 6 }, outcome: 'reshape' };
    const plan = planned(brow);
    expect(plan.zones[0]?.strips.length).toBeGreaterThan(0);
    const looks = stepsOf(liveGroups(plan)).filter((s) => s.startsWith('look'));
    expect(looks).toEqual(['look@brow/left']);
    expect(stepsFor(underarm).filter((s) => s.startsWith('look'))).toEqual([]);
  });
});
