import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../products';
import { potDay } from './potDay';
import { planRefill, type PotUse } from './refill';

const film = SHIPPED_PRODUCTS.find((p) => p.id === 'film-hard');
if (!film) throw new Error('no film wax');
const HOUR = 3600;
const window = { minC: 53, targetC: 56, maxC: 59 };
const use = (who: string, fromS: number, grams: number): PotUse => ({ who, fromS, toS: fromS + 1800, window, grams });
const plan = (waxG: number, visits: readonly PotUse[]) =>
  planRefill({ product: film, pot: { heaterW: 100, waxG, lid: true }, roomC: 22, visits });

describe('filling a pot up', () => {
  it('is not planned where it lasts; else for the first visit that it does not last for', () => {
    expect(plan(400, [use('Corwin', HOUR, 100), use('Marit', 3 * HOUR, 100)])).toBeNull();
    const refill = plan(220, [use('Corwin', HOUR, 100), use('Marit', 3 * HOUR, 100)]);
    expect(refill).toMatchObject({ who: 'Marit', isInTime: true });
    // after Corwin, and molten again before Marit
    expect(refill?.atS).toBe(HOUR + 1800);
    expect(refill?.readyAtS).toBeLessThanOrEqual(3 * HOUR - 300);
    expect(refill?.readyAtS).toBeGreaterThan(refill?.atS ?? 0);
  });
  it('goes into an earlier gap where the last one is too short, and says where none is long enough', () => {
    const early = plan(220, [use('Corwin', 2 * HOUR, 100), use('Marit', 2 * HOUR + 1860, 100)]);
    expect(early).toMatchObject({ atS: 0, isInTime: true });
    const none = plan(120, [use('Corwin', 120, 100)]);
    expect(none).toMatchObject({ who: 'Corwin', isInTime: false });
  });
  it('says what a full can still lacks for a visit that takes more than it holds', () => {
    const refill = plan(300, [use('Corwin', 2 * HOUR, 560)]);
    expect(refill).toMatchObject({ addG: 200, stillShortG: 560 + 60 - 500 });
    expect(plan(220, [use('Corwin', 2 * HOUR, 300)])?.stillShortG).toBe(0);
  });
  it('adds what the day takes, a dip left over, and never more than the can holds', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 480 }),
        fc.array(fc.integer({ min: 20, max: 140 }), { maxLength: 4 }),
        (waxG, grams) => {
          const visits = grams.map((g, i) => use(`${i}`, (i + 1) * 2 * HOUR, g));
          const refill = plan(waxG, visits);
          const taken = grams.reduce((a, b) => a + b, 0);
          const lasts = taken + 60 <= waxG;
          expect(refill === null).toBe(lasts);
          if (refill === null) return;
          expect(refill.addG).toBeGreaterThan(0);
          const before = visits.filter((v) => v.toS <= refill.atS).reduce((s, v) => s + v.grams, 0);
          const inIt = Math.max(60, waxG - before);
          expect(inIt + refill.addG).toBeLessThanOrEqual(500);
          // all of the day is in it, as far as the can goes
          const wanted = taken - before + 60;
          expect(inIt + refill.addG).toBeGreaterThanOrEqual(Math.min(wanted, 490));
        },
      ),
      { seed: 11, numRuns: 25 },
    );
  });
  it('shows in the heat of the day: it falls when it is added and is right again when it says so', () => {
    const day = potDay({
      product: film,
      pot: { heaterW: 100, waxG: 220, lid: true },
      roomC: 22,
      tempC: 56,
      setC: 59,
      visits: [use('Corwin', 600, 100), use('Marit', 2.5 * HOUR, 100)],
      untilS: 3 * HOUR,
    });
    const { refill, curve, readyAtS } = day;
    if (!refill) throw new Error('no refill');
    expect(readyAtS).toBe(0);
    const at = (s: number): number => curve.find(([t]) => t >= s)?.[1] ?? NaN;
    expect(at(refill.atS + 300)).toBeLessThan(at(refill.atS) - 2);
    expect(at(2.5 * HOUR)).toBeGreaterThan(52);
  });
});
