import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import { evenPot, stirred, temps } from './pot';
import { microwaved, nextPulse, pulsesFromCold } from './microwave';
import { isReady, type PotWindow } from './ready';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('microwave pulses', () => {
  const paste = product('sugar-firm');
  const hand: PotWindow = { minC: 34, targetC: 38, maxC: 42 };
  it('are at most 10 s for paste (common practice, no source), and never take a part over the window', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 45, noNaN: true }),
        fc.double({ min: 100, max: 900, noNaN: true }),
        (c, g) => {
          const state = evenPot(paste, g, c);
          const pulse = nextPulse(paste, state, hand);
          expect(pulse.seconds).toBeLessThanOrEqual(10);
          if (pulse.seconds > 0) {
            expect(temps(paste, microwaved(paste, state, pulse.seconds)).rimC).toBeLessThanOrEqual(hand.maxC);
          }
          expect(pulse.say).toMatch(/stir/);
        },
      ),
      { seed: 7, numRuns: 80 },
    );
  });
  it('bring cold paste to its window in a bounded number, stirred between; more paste takes more', () => {
    const pulses = pulsesFromCold(paste, 500, 20, hand) ?? [];
    expect(pulses.length).toBeGreaterThan(2);
    expect(pulses.length).toBeLessThan(20);
    const state = pulses.reduce((s, seconds) => stirred(paste, microwaved(paste, s, seconds)), evenPot(paste, 500, 20));
    expect(isReady(paste, state, hand)).toBe(true);
    const seconds = (g: number): number => (pulsesFromCold(paste, g, 20, hand) ?? []).reduce((a, b) => a + b, 0);
    expect(seconds(800)).toBeGreaterThan(seconds(300));
    expect(pulsesFromCold(paste, 500, 60, hand)).toBeNull();
  });
  it('stop where the edge is too warm already', () => {
    expect(nextPulse(paste, evenPot(paste, 300, 50), hand)).toMatchObject({ seconds: 0 });
    expect(nextPulse(paste, evenPot(paste, 300, 38), hand).say).toContain('wrist');
  });
});
