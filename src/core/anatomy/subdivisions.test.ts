import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SUBDIVISIONS, subdivisionAt } from './subdivisions';
import { ZONE_IDS } from './types';
import { sidesOf, ZONES } from './zones';

const sheet = { widthCm: 10, heightCm: 20 };

describe('places within a zone', () => {
  it.each(ZONE_IDS)('%s: its bands fill the sheet without gap or overlap', (zone) => {
    const area = SUBDIVISIONS[zone].reduce((s, { box: [u0, v0, u1, v1] }) => s + (u1 - u0) * (v1 - v0), 0);
    if (SUBDIVISIONS[zone].length > 0) expect(area).toBeCloseTo(1, 9);
    expect(new Set(SUBDIVISIONS[zone].map((s) => s.name)).size).toBe(SUBDIVISIONS[zone].length);
  });
  it('names every point of the sheet, and the mirrored point of the other side alike', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ZONE_IDS),
        fc.double({ min: -1, max: 11, noNaN: true }),
        fc.double({ min: -1, max: 21, noNaN: true }),
        (zone, x, y) => {
          const [side = 'middle', other] = sidesOf(ZONES[zone]);
          const name = subdivisionAt(zone, side, sheet, [x, y]);
          expect(name === null).toBe(SUBDIVISIONS[zone].length === 0);
          // on a border itself the two sheets may name its two neighbours
          const onBorder = SUBDIVISIONS[zone].some(
            ({ box }) => Math.abs(x / 10 - box[0]) < 1e-9 || Math.abs(x / 10 - box[2]) < 1e-9,
          );
          if (other && !onBorder) expect(subdivisionAt(zone, other, sheet, [10 - x, y])).toBe(name);
        },
      ),
      { seed: 4, numRuns: 300 },
    );
  });
  it('knows the halves of the underarm, the spine, the three ways of the knee (common practice, no source)', () => {
    expect(subdivisionAt('underarm', 'left', sheet, [5, 4])).toBe('upper half');
    expect(subdivisionAt('upper-back', 'middle', sheet, [5, 4])).toBe('spine');
    expect(SUBDIVISIONS.knee).toHaveLength(3);
    expect(subdivisionAt('knee', 'left', sheet, [9, 4])).toBe('outer side');
    expect(subdivisionAt('knee', 'right', sheet, [9, 4])).toBe('inner side');
  });
  it('gives the client’s own left: on the viewer’s right from the front, on the viewer’s left from behind', () => {
    expect(subdivisionAt('chest', 'middle', sheet, [9, 4])).toBe('left');
    expect(subdivisionAt('upper-back', 'middle', sheet, [1, 4])).toBe('left flank');
  });
});
