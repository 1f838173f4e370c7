import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { yearlyTakingsMinor } from '../materials';
import {
  creditsIn,
  currencyDigits,
  dividedMinor,
  honestYear,
  hoursEarned,
  lostBeforeNothing,
  packagePart,
  shareMinor,
  splitMinor,
  sumsOf,
  tableBreaksEven,
  undoing,
  vatInside,
  whatIfAt,
  whatIfNow,
  whatIfRange,
  type Entry,
  type WhatIfInput,
  type YearFacts,
} from '.';

const line = (part: Partial<Entry>): Entry => ({
  id: 'a',
  onDate: '2027-05-08',
  kind: 'service',
  act: 'taken',
  amountMinor: 3400,
  vatBp: 0,
  paid: 'cash',
  creditId: null,
  uses: 0,
  about: null,
  visitId: null,
  clientId: null,
  personId: null,
  item: null,
  words: '',
  ...part,
});

describe('rounding', () => {
  it('takes the tax out of a price as the published examples do', () => {
    // 19 % in 119.00 and 7 % in 107.00: arithmetic of every tax guide
    expect([vatInside(11900, 1900), vatInside(10700, 700)]).toEqual([1900, 700]);
    // 20 % in 12.99 is 2.165: a half goes up
    expect(vatInside(1299, 2000)).toBe(217);
    expect(vatInside(-1299, 2000)).toBe(-217);
  });
  it('rounds halves away from nothing', () => {
    expect([dividedMinor(5, 2), dividedMinor(-5, 2), dividedMinor(4, 3), dividedMinor(0, 7)]).toEqual([3, -3, 1, 0]);
    expect(shareMinor(1, 1, 2)).toBe(1);
  });
  it('splits without losing or making a coin, in the order of the weights', () => {
    const money = fc.integer({ min: -10_000_000, max: 10_000_000 });
    const weights = fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(money, weights, (amount, of) => {
        const parts = splitMinor(amount, of);
        expect(parts.reduce((a, b) => a + b, 0)).toBe(amount);
        const total = of.reduce((a, b) => a + b, 0);
        const isClose = parts.map((p, i) =>
          Math.abs(p - (total === 0 ? amount / of.length : (amount * (of[i] ?? 0)) / total)),
        );
        expect(Math.max(...isClose)).toBeLessThan(1);
      }),
    );
    expect(splitMinor(100, [1, 1, 1])).toEqual([34, 33, 33]);
    expect(splitMinor(100, [])).toEqual([]);
  });
  it('refuses what is no whole coin', () => {
    expect(() => shareMinor(1.5, 1, 1)).toThrow(RangeError);
    expect(() => splitMinor(10, [-1, 2])).toThrow(RangeError);
    expect(() => dividedMinor(1, 0)).toThrow(RangeError);
  });
  it('knows the digits of a currency (ISO 4217)', () => {
    expect(['EUR', 'JPY', 'BHD'].map(currencyDigits)).toEqual([2, 0, 3]);
  });
});

describe('lines and their sums', () => {
  it('earns a gift when it is used, not when it is bought; the tax likewise', () => {
    const bought = line({ id: 'g', kind: 'gift', creditId: 'g', amountMinor: 5000, paid: 'card', vatBp: 1900 });
    const used = line({ id: 's', paid: 'credit', creditId: 'g', amountMinor: 3400, vatBp: 1900 });
    expect(sumsOf([bought])).toMatchObject({ earnedMinor: 0, vatMinor: 0, cardMinor: 5000, owedMinor: 5000 });
    expect(sumsOf([bought, used])).toMatchObject({
      ...{ earnedMinor: 3400, vatMinor: 543, cardMinor: 5000, creditMinor: 3400, owedMinor: 1600 },
    });
    expect(creditsIn([bought, used])).toMatchObject([{ id: 'g', leftMinor: 1600 }]);
  });
  it('hands a package out in parts that add up to its price', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500_000 }), fc.integer({ min: 1, max: 24 }), (price, visits) => {
        const lines = [line({ id: 'p', kind: 'package', creditId: 'p', amountMinor: price, uses: visits })];
        for (let k = 0; k < visits; k++) {
          const [credit] = creditsIn(lines);
          if (!credit) break;
          const amountMinor = packagePart(credit);
          lines.push(line({ id: `u${k}`, paid: 'credit', creditId: 'p', uses: -1, amountMinor }));
        }
        expect(lines).toHaveLength(visits + 1);
        expect(sumsOf(lines)).toMatchObject({ earnedMinor: price, owedMinor: 0 });
        expect(creditsIn(lines)).toEqual([]);
      }),
    );
  });
  it('always has in hand what was earned and what is owed; a line that is undone leaves nothing', () => {
    const some = fc.record({
      kind: fc.constantFrom('service' as const, 'goods' as const, 'gift' as const, 'deposit' as const),
      paid: fc.constantFrom('cash' as const, 'card' as const, 'transfer' as const, 'credit' as const, null),
      amountMinor: fc.integer({ min: -90_000, max: 900_000 }),
      vatBp: fc.constantFrom(0, 700, 1900, 2000),
    });
    fc.assert(
      fc.property(fc.array(some, { maxLength: 40 }), (made) => {
        const lines = made.map((m, i) => line({ ...m, id: String(i) }));
        const s = sumsOf(lines);
        expect(s.cashMinor + s.cardMinor + s.transferMinor + s.unsaidMinor).toBe(s.earnedMinor + s.owedMinor);
        const undone = sumsOf([...lines, ...lines.map((l) => undoing(l, `u${l.id}`, '2027-05-09'))]);
        expect(undone).toEqual({ ...sumsOf([]), lines: 2 * lines.length });
      }),
    );
  });
});

describe('an hour', () => {
  const part = (service: string, minutes: number, netMinor: number, family: 'hard' | 'sugar' | null = 'hard') => ({
    ...{ service, minutes, netMinor, family, materialsMinor: 200 },
  });
  it('counts material, room and turnover', () => {
    // 50 min for 46.00 less 2.00 material and 50/60 × 9.50 room = 36.08 in 50 min = 43.29 an hour, by hand
    expect(hoursEarned([part('back', 50, 4600)], 950)).toMatchObject([
      { service: 'back', visits: 1, perHourMinor: 4329 },
    ]);
  });
  it('sets the families side by side, what was worked with several in none, what earns most first', () => {
    const hours = hoursEarned([part('lip', 20, 900), part('lip', 30, 900, 'sugar'), part('back', 50, 4600, null)], 0);
    expect(hours.map((h) => h.service)).toEqual(['back', 'lip']);
    expect(hours[0]?.families).toEqual([]);
    expect(hours[1]?.families.map((f) => [f.family, f.perHourMinor])).toEqual([
      ['hard', 2100],
      ['sugar', 1400],
    ]);
  });
  it('says a loss as a loss, and nothing of what took no time', () => {
    expect(hoursEarned([part('lip', 60, 100)], 950)[0]?.perHourMinor).toBe(-1050);
    expect(hoursEarned([part('lip', 0, 100)], 950)).toEqual([]);
  });
});

const FACTS: YearFacts = {
  ...{ placesAWeek: 36, priceMinor: 3400, weeksOff: 6, minutes: 62, turnoverMin: 10, noShowPermille: 50 },
  ...{ materialsMinor: 314, roomYearMinor: 960_000, taxPermille: 250 },
};
const minorOf = (f: YearFacts, name: string): number => honestYear(f).losses.find((l) => l.name === name)?.minor ?? NaN;

describe('the honest year', () => {
  it('is exact: 64.00 × 7 × 46 = 20 608.00', () => {
    const bare = { ...FACTS, placesAWeek: 7, priceMinor: 6400, turnoverMin: 0, noShowPermille: 0, materialsMinor: 0 };
    const year = honestYear({ ...bare, roomYearMinor: 0, taxPermille: 0 });
    expect(year.leftMinor).toBe(2_060_800);
    expect(BigInt(year.leftMinor)).toBe(yearlyTakingsMinor(6400, 7, 46));
  });
  it('hangs one loss from the other, by hand: 36 places of 34.00', () => {
    // 36 × 34 × 52; six weeks; 10 of 72 minutes; 1 in 20; then room and a quarter of the rest
    expect(honestYear(FACTS).wishMinor).toBe(6_364_800);
    expect(minorOf(FACTS, 'weeks-off')).toBe(734_400);
    expect(minorOf(FACTS, 'turnover')).toBe(782_000);
    expect(minorOf(FACTS, 'no-shows')).toBe(242_420);
    // 36 × 46 × 62/72 × .95 = 1354.7 places at 3.14
    expect(minorOf(FACTS, 'material')).toBe(425_376);
    expect(minorOf(FACTS, 'room')).toBe(960_000);
    expect(minorOf(FACTS, 'tax')).toBe(Math.round((6_364_800 - 734_400 - 782_000 - 242_420 - 425_376 - 960_000) / 4));
  });
  it('adds up to the wish, whatever the facts; no tax on a loss', () => {
    const facts = fc.record({
      placesAWeek: fc.integer({ min: 0, max: 200 }),
      priceMinor: fc.integer({ min: 0, max: 100_000 }),
      weeksOff: fc.integer({ min: 0, max: 52 }),
      minutes: fc.integer({ min: 5, max: 300 }),
      turnoverMin: fc.integer({ min: 0, max: 60 }),
      noShowPermille: fc.integer({ min: 0, max: 1000 }),
      materialsMinor: fc.integer({ min: 0, max: 20_000 }),
      roomYearMinor: fc.integer({ min: 0, max: 10_000_000 }),
      taxPermille: fc.integer({ min: 0, max: 600 }),
    });
    fc.assert(
      fc.property(facts, (f) => {
        const year = honestYear(f);
        const lost = year.losses.reduce((s, l) => s + l.minor, 0);
        expect(year.wishMinor - lost).toBe(year.leftMinor);
        expect(year.losses.every((l) => l.minor >= 0)).toBe(true);
        if (year.leftMinor < 0) expect(minorOf(f, 'tax')).toBe(0);
      }),
    );
  });
});

const INPUT: WhatIfInput = {
  now: FACTS,
  product: { shareNow: 0.4, minutesMore: -8, materialsMoreMinor: 60 },
  table: { labourMinorPerHour: 2000 },
};

describe('what if', () => {
  it('goes through what is now, with no doubt there', () => {
    for (const question of ['price', 'minutes', 'product'] as const) {
      const at = whatIfAt(question, whatIfNow(question, INPUT), INPUT);
      expect(Math.abs(at.likelyMinor - honestYear(FACTS).leftMinor)).toBeLessThan(100);
      expect(at.bestMinor - at.worstMinor).toBeLessThan(100);
    }
  });
  it('a higher price brings nothing once so many stay away that its gain is gone', () => {
    const lost = lostBeforeNothing(FACTS, 3600);
    // 2.00 of 36.00 less 3.14: 1 in 16
    expect(lost).toBeCloseTo(6.0864, 3);
    const left = honestYear({ ...FACTS, priceMinor: 3600 });
    const before = left.leftMinor + minorOf({ ...FACTS, priceMinor: 3600 }, 'tax');
    const place = 3600 - 314;
    const gone = (left.places * (lost ?? 0) * place) / 100;
    const now = honestYear(FACTS).leftMinor + minorOf(FACTS, 'tax');
    expect(Math.abs(before - gone - now)).toBeLessThan(100);
    expect(lostBeforeNothing(FACTS, 3400)).toBeNull();
  });
  it('longer places are fewer for sure; of the places that shorter ones make, nobody knows how many are taken', () => {
    const longer = whatIfAt('minutes', 72, INPUT);
    expect(longer.bestMinor).toBe(longer.worstMinor);
    expect(longer.likelyMinor).toBeLessThan(honestYear(FACTS).leftMinor);
    const shorter = whatIfAt('minutes', 52, INPUT);
    expect(shorter.worstMinor).toBeLessThan(shorter.likelyMinor);
    expect(shorter.likelyMinor).toBeLessThan(shorter.bestMinor);
  });
  it('a table that nobody comes to costs its hands, and breaks even where it says', () => {
    expect(honestYear(FACTS).leftMinor - whatIfAt('table', 0, INPUT).likelyMinor).toBeGreaterThan(1_500_000);
    const even = tableBreaksEven(INPUT);
    expect(even).not.toBeNull();
    const there = whatIfAt('table', even ?? 0, INPUT).likelyMinor;
    expect(Math.abs(there - honestYear(FACTS).leftMinor)).toBeLessThan(100);
    expect(tableBreaksEven({ ...INPUT, table: { labourMinorPerHour: 9000 } })).toBeNull();
  });
  it('the likely lies within the doubt everywhere', () => {
    for (const question of ['price', 'minutes', 'product', 'table'] as const) {
      const { from, to } = whatIfRange(question, INPUT);
      expect(from).toBeLessThan(to);
      for (let k = 0; k <= 10; k++) {
        const p = whatIfAt(question, from + ((to - from) * k) / 10, INPUT);
        expect(p.worstMinor).toBeLessThanOrEqual(p.likelyMinor);
        expect(p.likelyMinor).toBeLessThanOrEqual(p.bestMinor);
      }
    }
  });
});
