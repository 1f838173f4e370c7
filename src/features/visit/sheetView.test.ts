import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { liesAlong, toPicture, toSheet, wayToSheet, type View } from './sheetView';

const along: View = { width: 900, height: 600, pxPerCm: 20, origin: [100, 50], alongCm: 16 };
const standing: View = { ...along, alongCm: null };

describe('a sheet that lies along the table', () => {
  it('has its top to the left and its right up', () => {
    // knee at the left, the foot at the right: the client’s head is to the left
    expect(toPicture(along, [8, 0])).toEqual([100, 50 + 8 * 20]);
    expect(toPicture(along, [8, 35])).toEqual([100 + 35 * 20, 50 + 8 * 20]);
    expect(toPicture(along, [16, 0])).toEqual([100, 50]);
  });
  it('goes there and back, lying or standing', () => {
    const cm = fc.double({ min: -5, max: 40, noNaN: true });
    fc.assert(
      fc.property(cm, cm, fc.constantFrom(along, standing), (x, y, view) => {
        const [bx, by] = toSheet(view, toPicture(view, [x, y]));
        return Math.abs(bx - x) < 1e-9 && Math.abs(by - y) < 1e-9;
      }),
    );
  });
  it('an arrow to the right points to the foot', () => {
    expect(wayToSheet(along, [1, 0])).toEqual([0, 1]);
    expect(wayToSheet(along, [0, -1])).toEqual([1, 0]);
    expect(wayToSheet(standing, [1, 0])).toEqual([1, 0]);
  });
  it('is for long zones: a leg of 17 × 37 cm, not an underarm of 9 × 13', () => {
    expect([liesAlong(17, 37), liesAlong(9, 13)]).toEqual([true, false]);
  });
});
