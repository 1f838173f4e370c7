import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES } from '../anatomy';
import { angleBetweenDeg } from '../shared';
import { comb, eraseStrokes, mirrorStrokes } from './comb';
import { growthAt, growthField, type Stroke } from './growthField';

const zone = ZONES.underarm;
const made = sheetFor(zone, 'left', {});
if (!made.ok) throw new Error(made.error.code);
const sheet = made.value;

describe('comb', () => {
  it('turns the hair under the brush along the drag and leaves the far end as it was', () => {
    let strokes: readonly Stroke[] = [];
    for (let k = 0; k < 6; k++) {
      strokes = comb(strokes, growthField(zone, 'left', sheet, strokes), sheet, {
        from: [2.4 + 0.4 * k, 3],
        to: [2.8 + 0.4 * k, 3],
        radiusCm: 1,
      });
    }
    const field = growthField(zone, 'left', sheet, strokes);
    expect(angleBetweenDeg(growthAt(field, [4, 3]), [1, 0])).toBeLessThan(25);
    expect(angleBetweenDeg(growthAt(field, [4.5, 11]), [0, 1])).toBeLessThan(25);
    for (const s of strokes) {
      expect(s.at[0] >= 0 && s.at[0] <= sheet.widthCm && Math.hypot(...s.towards) > 0.99).toBe(true);
    }
  });
  it('does not pile strokes up when the same place is combed again and again', () => {
    let strokes: readonly Stroke[] = [];
    for (let k = 0; k < 200; k++) {
      strokes = comb(strokes, growthField(zone, 'left', sheet, strokes), sheet, {
        from: [4 + (k % 5) * 0.1, 6],
        to: [4.1 + (k % 5) * 0.1, 6],
        radiusCm: 1,
      });
    }
    expect(strokes.length).toBeLessThan(120);
  });
  it('erases under the brush, and mirrors there and back', () => {
    const strokes: Stroke[] = [
      { at: [2, 3], towards: [0.6, 0.8] },
      { at: [7, 9], towards: [-1, 0] },
    ];
    expect(eraseStrokes(strokes, [2.2, 3], 0.5)).toEqual([strokes[1]]);
    expect(mirrorStrokes(mirrorStrokes(strokes, 9), 9)).toEqual(strokes);
  });
});
