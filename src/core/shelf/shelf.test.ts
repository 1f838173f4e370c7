import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween, seededRandom } from '../shared';
import { forecast, orderBy, packsFor } from './forecast';
import { inOrder, isPast, sellable, take, usable, type Lot } from './lots';

const TODAY = '2027-05-08';
const lot = (id: string, amount: number, more: Partial<Lot> = {}): Lot => ({
  ...{ id, amount, receivedOn: '2027-01-01', expiresOn: null, openedOn: null },
  ...more,
});
const lots = fc.array(
  fc
    .record({
      amount: fc.integer({ min: 0, max: 900 }),
      expires: fc.option(fc.integer({ min: -30, max: 300 }), { nil: null }),
      opened: fc.boolean(),
    })
    .map(({ amount, expires, opened }) => ({ amount, expires, opened })),
  { maxLength: 6 },
);
const made = (drawn: readonly { amount: number; expires: number | null; opened: boolean }[]): readonly Lot[] =>
  drawn.map(({ amount, expires, opened }, i) =>
    lot(`l${i}`, amount, {
      expiresOn: expires === null ? null : addDays(TODAY, expires),
      openedOn: opened ? '2027-04-01' : null,
      receivedOn: addDays('2027-01-01', i),
    }),
  );

describe('lots', () => {
  it('are used first expired first, an open one before a closed one of the same day', () => {
    const order = inOrder([
      lot('late', 1, { expiresOn: '2028-01-01' }),
      lot('never', 1),
      lot('soon', 1, { expiresOn: '2027-06-01' }),
      lot('open', 1, { expiresOn: '2028-01-01', openedOn: '2027-05-01' }),
    ]);
    expect(order.map((l) => l.id)).toEqual(['soon', 'open', 'late', 'never']);
  });
  it('lose what is taken and no more; nothing is taken of what is past', () => {
    fc.assert(
      fc.property(lots, fc.integer({ min: 0, max: 3000 }), (drawn, amount) => {
        const all = made(drawn);
        const { taken, missing } = take(all, amount, TODAY);
        const sum = taken.reduce((s, t) => s + t.amount, 0);
        expect(sum + missing).toBe(amount);
        expect(missing).toBe(Math.max(0, amount - usable(all, TODAY)));
        const tooMuch = taken.filter((t) => t.amount > (all.find((l) => l.id === t.id)?.amount ?? 0));
        expect(tooMuch).toEqual([]);
        const past = taken.filter((t) => all.some((l) => l.id === t.id && isPast(l, TODAY)));
        expect(past).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
  it('are never sold below what the table keeps', () => {
    const gel = [lot('g', 7)];
    expect(sellable(gel, 4, TODAY)).toBe(3);
    expect(sellable(gel, 9, TODAY)).toBe(0);
    expect(sellable([lot('p', 7, { expiresOn: '2027-05-01' })], 0, TODAY)).toBe(0);
  });
});

describe('the forecast', () => {
  it('falls with the visits booked, says when it does not suffice, and which lot goes past', () => {
    const uses = [1, 3, 5, 9].map((d) => ({ on: addDays(TODAY, d), amount: 40 }));
    const { stair, emptyOn, past } = forecast({ lots: [lot('a', 100)], uses, today: TODAY, toOn: addDays(TODAY, 30) });
    expect(stair.map((s) => s.left)).toEqual([100, 60, 20, 0]);
    expect(emptyOn).toBe(addDays(TODAY, 5));
    expect(past).toBeNull();
    const soon = [lot('b', 500, { expiresOn: addDays(TODAY, 4) }), lot('c', 500)];
    const other = forecast({ lots: soon, uses, today: TODAY, toOn: addDays(TODAY, 30) });
    expect(other.past).toEqual({ id: 'b', on: addDays(TODAY, 5), amount: 420 });
    expect(other.emptyOn).toBeNull();
  });
  it('foretells a stock-out its delivery time ahead, closures and all, in two hundred seeded months', () => {
    let foretold = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const random = seededRandom(seed);
      const deliveryDays = 1 + Math.floor(random.next() * 7);
      const days = Array.from({ length: 60 }, (_, d) => addDays(TODAY, d + 1));
      const closed = new Set(days.filter((_, i) => i % 7 === 0 || (i > 25 && i < 33)));
      const uses = days
        .filter((d) => !closed.has(d) && random.next() < 0.8)
        .map((on) => ({ on, amount: 20 + Math.floor(random.next() * 60) }));
      const amount = 700 + Math.floor(random.next() * 900);
      const { emptyOn } = forecast({ lots: [lot('a', amount)], uses, today: TODAY, toOn: addDays(TODAY, 60) });
      if (emptyOn === null) continue;
      const on = orderBy({ emptyOn, deliveryDays, today: TODAY, isOpen: (d) => !closed.has(d) });
      // the day after it does not suffice is counted by itself
      const before = uses.filter((u) => u.on < emptyOn).reduce((s, u) => s + u.amount, 0);
      expect(before).toBeLessThanOrEqual(amount);
      expect(on >= TODAY).toBe(true);
      if (on === TODAY) continue;
      foretold++;
      expect(daysBetween(on, emptyOn)).toBeGreaterThan(deliveryDays);
      // and somebody takes the parcel in between
      const taken = days.filter((d) => d >= addDays(on, deliveryDays) && d < emptyOn && !closed.has(d));
      expect(taken.length).toBeGreaterThan(0);
    }
    expect(foretold).toBeGreaterThan(120);
  });
  it('orders whole packs for the weeks to come, one at least', () => {
    const uses = [1, 8, 15].map((d) => ({ on: addDays(TODAY, d), amount: 700 }));
    expect(packsFor(uses, 1000, { fromOn: TODAY, days: 56 })).toBe(3);
    expect(packsFor([], 1000, { fromOn: TODAY, days: 56 })).toBe(1);
  });
});
