import { afterEach, describe, expect, it } from 'vitest';
import fc from 'fast-check';
import {
  perSquare,
  readSize,
  sized,
  sizedPair,
  sizeTyped,
  squareCm,
  tellSizeUnits,
  withSizes,
  type Size,
} from './size';

const INCHES = { length: 'in', weight: 'oz' } as const;
afterEach(() => tellSizeUnits({ length: 'mm', weight: 'g' }));

describe('lengths and weights as the studio reads them', () => {
  it('are as they are kept unless it is said otherwise', () => {
    expect(sized(6.5, 'mm')).toBe('6.5 mm');
    expect(sized(41.27, 'g', 1)).toBe('41.3 g');
    expect(sizedPair(5, '–', 9, 'mm')).toBe('5–9 mm');
    expect(squareCm(120.4)).toBe('120 cm²');
    expect(withSizes('Trim to about 6 mm, 40 g, 150 cm².')).toBe('Trim to about 6 mm, 40 g, 150 cm².');
  });

  it('are those of the published conversion: an inch is 25.4 mm, a pound 453.592 37 g, sixteen ounces to the pound', () => {
    tellSizeUnits(INCHES);
    // NIST Handbook 44, appendix C: 1 inch = 2.54 cm, 1 ounce avoirdupois = 28.349 523 125 g, 1 pound = 0.453 592 37 kg
    expect(readSize(25.4, 'mm')).toBeCloseTo(1, 12);
    expect(readSize(2.54, 'cm')).toBeCloseTo(1, 12);
    expect(readSize(28.349523125, 'g')).toBeCloseTo(1, 12);
    expect(readSize(0.45359237, 'kg')).toBeCloseTo(1, 12);
    expect(sized(453.59237, 'g')).toBe('16 oz');
  });

  it('are fractions as on a rule, finer the thinner', () => {
    tellSizeUnits(INCHES);
    // common practice, no source: a quarter of an inch is the length that hard and soft wax are asked for
    expect(sized(6.35, 'mm')).toBe('1/4 in');
    expect(sized(6.5, 'mm')).toBe('1/4 in');
    expect(sized(3.2, 'mm')).toBe('1/8 in');
    expect(sized(1.6, 'mm')).toBe('1/16 in');
    expect(sized(2, 'mm')).toBe('5/64 in');
    expect(sized(0.4, 'mm')).toBe('1/64 in');
    expect(sized(0.1, 'mm')).toBe('under 1/64 in');
    expect(sized(0, 'mm')).toBe('0 in');
    expect(sized(25.4, 'mm')).toBe('1 in');
    expect(sized(11.1, 'cm')).toBe('4 3/8 in');
    expect(sized(168, 'cm')).toBe('66 in');
    expect(sizedPair(200, ' × ', 50, 'mm')).toBe('7 7/8 × 1 15/16 in');
  });

  it('tell neighbours of half a millimetre apart up to a finger’s breadth', () => {
    tellSizeUnits(INCHES);
    const shown = Array.from({ length: 24 }, (_, k) => sized(1 + k / 2, 'mm'));
    // 0.5 mm is less than 1/32 in: now and then two fall together, never three
    expect(shown.filter((s, k) => s === shown[k + 1] && s === shown[k + 2])).toEqual([]);
    expect(new Set(shown).size).toBeGreaterThan(14);
  });

  it('are never off by more than half a part of the rule', () => {
    tellSizeUnits(INCHES);
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 300, noNaN: true }), (mm) => {
        const [, whole = '0', n = '0', d = '1'] =
          /^(?:(\d+)(?: |$))?(?:(\d+)\/(\d+))?$/.exec(sized(mm, 'mm').replace(' in', '')) ?? [];
        const read = Number(whole) + Number(n) / Number(d);
        expect(Math.abs(read - mm / 25.4)).toBeLessThanOrEqual(1 / 16 + 1e-9);
        expect(Math.abs(read - mm / 25.4)).toBeLessThanOrEqual(mm < 12 ? 1 / 64 + 1e-9 : 1 / 16);
      }),
    );
  });

  it('count on a square inch what stands on 6.4516 square centimetres', () => {
    expect(perSquare(12)).toBe('12');
    tellSizeUnits(INCHES);
    expect(perSquare(10)).toBe('65');
    expect(squareCm(6.4516, 1)).toBe('1 in²');
  });

  it('come back as they were typed', () => {
    tellSizeUnits(INCHES);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.constantFrom<Size>('mm', 'cm', 'g', 'kg'),
        (value, of) => {
          expect(sizeTyped(readSize(value, of), of)).toBeCloseTo(value, 6);
        },
      ),
    );
  });

  it('are found in sentences, alone and in pairs, and nothing else is touched', () => {
    tellSizeUnits(INCHES);
    expect(withSizes('Hair of 6.5 mm: trim to about 5 to 9 mm, strips of 60 × 20 mm.')).toBe(
      'Hair of 1/4 in: trim to about 3/16 to 11/32 in, strips of 2 3/8 × 13/16 in.',
    );
    expect(withSizes('1,250 g of paste, 12 kg, 150 cm² of skin, 3 min, lot 40 gx, 5 mmol')).toBe(
      '44.1 oz of paste, 26.5 lb, 23.3 in² of skin, 3 min, lot 40 gx, 5 mmol',
    );
    tellSizeUnits({ length: 'mm', weight: 'oz' });
    expect(withSizes('6 mm, 150 cm², 283.5 g')).toBe('6 mm, 150 cm², 10 oz');
  });
});
