import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../products';
import { dipsFor, massOnSkinG, materialsFor, productCostMinor, totalMinor, type StripUse } from './use';
import { bookingMinutes, tableMinutes, visitParts } from './time';
import { marginOf } from './margin';
import { yearlyTakingsMinor } from './money';

const product = SHIPPED_PRODUCTS.find((p) => p.id === 'film-hard');
if (!product) throw new Error('film-hard is shipped');
const strip: StripUse = { product, manner: 'tab', areaCm2: 20, thicknessMm: 2, coats: 1 };

describe('money', () => {
  it('multiplies exactly: 64.00 × 7 a week × 46 weeks = 20 608.00 (arithmetic)', () => {
    expect(yearlyTakingsMinor(6400, 7, 46)).toBe(2_060_800n);
  });
  it('is exact over the whole range and refuses fractions', () => {
    fc.assert(
      fc.property(fc.maxSafeInteger().map(Math.abs), fc.nat(1000), fc.nat(53), (price, visits, weeks) => {
        expect(yearlyTakingsMinor(price, visits, weeks) / BigInt(Math.max(1, visits * weeks))).toBe(
          visits * weeks === 0 ? 0n : BigInt(price),
        );
      }),
      { seed: 1 },
    );
    expect(() => yearlyTakingsMinor(64.5, 7, 46)).toThrow(RangeError);
  });
});

describe('marginOf', () => {
  it('takes off materials, hands and room: 30.00 − 2.50 − 12.00 − 4.50 = 11.00, 22.00 an hour (arithmetic)', () => {
    expect(
      marginOf(
        { priceMinor: 3000, materialsMinor: 250, minutes: 30 },
        { labourMinorPerHour: 2400, roomMinorPerHour: 900 },
      ),
    ).toEqual({
      priceMinor: 3000,
      materialsMinor: 250,
      labourMinor: 1200,
      roomMinor: 450,
      marginMinor: 1100,
      marginPerHourMinor: 2200,
    });
  });
  it('never looks better than it is, and stays in whole units', () => {
    fc.assert(
      fc.property(
        fc.nat(100_000),
        fc.nat(20_000),
        fc.double({ min: 0.1, max: 400, noNaN: true }),
        fc.nat(9000),
        fc.nat(9000),
        (priceMinor, materialsMinor, minutes, labourMinorPerHour, roomMinorPerHour) => {
          const m = marginOf({ priceMinor, materialsMinor, minutes }, { labourMinorPerHour, roomMinorPerHour });
          expect(Object.values(m).every(Number.isInteger)).toBe(true);
          expect(m.marginMinor).toBeLessThanOrEqual(
            priceMinor - materialsMinor - ((labourMinorPerHour + roomMinorPerHour) * minutes) / 60,
          );
        },
      ),
      { seed: 3 },
    );
  });
});

describe('use', () => {
  it('weighs a slab by area × thickness × density, the rim thicker', () => {
    expect(massOnSkinG(strip)).toBeCloseTo(20 * 0.2 * 0.98 * 1.12, 9);
    expect(productCostMinor(1000, 2400)).toBe(2400);
    expect(productCostMinor(0.01, 2400)).toBeGreaterThan(0);
  });
  it('counts one stick a dip, and a dip for every coat', () => {
    expect(dipsFor(strip)).toBe(1);
    expect(dipsFor({ ...strip, coats: 2 })).toBe(2);
    const lines = materialsFor({ strips: [strip, { ...strip, coats: 2 }], areaCm2: 40, prep: 'powder', clothReuse: 1 });
    expect(lines.find((l) => l.item === 'stick')?.amount).toBe(3);
    expect(lines.every((l) => Number.isInteger(l.costMinor) && l.amount > 0)).toBe(true);
    expect(totalMinor(lines)).toBe(lines.reduce((s, l) => s + l.costMinor, 0));
    expect(materialsFor({ strips: [], areaCm2: 0, prep: 'powder', clothReuse: 1 })).toEqual([]);
  });
});

describe('time', () => {
  it('books every part up to the next five minutes, a newcomer longer', () => {
    const work = { scheduleS: 420, laterS: 140, hairs: 10, zones: 2, newcomer: false };
    const usual = visitParts(work);
    expect(bookingMinutes(usual) % 5).toBe(0);
    expect(bookingMinutes(usual)).toBeGreaterThanOrEqual(Object.values(usual).reduce((a, b) => a + b, 0));
    expect(bookingMinutes(visitParts({ ...work, newcomer: true }))).toBeGreaterThan(bookingMinutes(usual));
    expect(tableMinutes(420, 10)).toBeCloseTo(7.5, 9);
  });
});
