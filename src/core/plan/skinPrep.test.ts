import { describe, expect, it } from 'vitest';
import type { Family, ZoneId } from '../anatomy';
import { prepFor } from './skinPrep';

// Powder after drying, a trace of oil on dry skin, knees and under soft wax on brows: common practice, no source.
const prep = (zone: ZoneId, family: Family, house: 'powder' | 'oil' | 'dry' = 'powder', isDrySkin = false) =>
  prepFor({ zone, choice: { product: 'p', family, way: 'with', coats: 1, passes: 1, because: [] } }, house, isDrySkin);

describe('what goes on the skin before the wax', () => {
  it('is the house’s way where nothing speaks for another', () => {
    expect([prep('underarm', 'hard'), prep('underarm', 'hard', 'oil'), prep('underarm', 'soft', 'dry')]).toEqual([
      'powder',
      'oil',
      'dry',
    ]);
  });
  it('is a trace of oil on a knee, on dry skin under wax, under soft wax on a brow', () => {
    expect(prep('knee', 'hard')).toBe('oil');
    expect(prep('lower-leg-front', 'soft', 'powder', true)).toBe('oil');
    expect(prep('brow', 'soft')).toBe('oil');
    expect(prep('brow', 'hard')).toBe('powder');
  });
  it('is never oil under sugar, and nothing where the house puts nothing on', () => {
    expect(prep('knee', 'sugar', 'oil', true)).toBe('powder');
    expect(prep('knee', 'hard', 'dry', true)).toBe('dry');
  });
});
