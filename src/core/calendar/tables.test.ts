import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fullSpans, tablesOf, type OnTable } from './tables';

const span = (fromMin: number, toMin: number, personId = 'p'): OnTable => ({ fromMin, toMin, personId });

const days = fc.array(
  fc
    .record({ from: fc.integer({ min: 480, max: 1100 }), min: fc.integer({ min: 5, max: 120 }), who: fc.nat(3) })
    .map(({ from, min, who }) => span(from, from + min, `p${who}`)),
  { maxLength: 14 },
);
/** How many meet at a minute, counted by itself. */
const meeting = (spans: readonly OnTable[], at: number): number =>
  spans.filter((s) => s.fromMin <= at && at < s.toMin).length;

describe('when all tables are taken', () => {
  it('is from the last that begins to the first that ends', () => {
    expect(fullSpans([span(540, 600), span(570, 660)], 2)).toEqual([{ fromMin: 570, toMin: 600 }]);
    expect(fullSpans([span(540, 600), span(600, 660)], 1)).toEqual([{ fromMin: 540, toMin: 660 }]);
    expect(fullSpans([span(540, 600)], 2)).toEqual([]);
  });
  it('holds minute by minute', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 1, max: 3 }), (spans, tables) => {
        const full = fullSpans(spans, tables);
        for (let at = 480; at < 1230; at++) {
          const isFull = full.some((f) => f.fromMin <= at && at < f.toMin);
          expect(isFull).toBe(meeting(spans, at) >= tables);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('which table', () => {
  it('finds one for every visit where never more meet than there are tables, and none twice at one time', () => {
    fc.assert(
      fc.property(days, (spans) => {
        const most = Math.max(1, ...spans.map((s) => meeting(spans, s.fromMin)));
        const tables = tablesOf(spans, most);
        expect(tables).not.toContain(null);
        const clash = spans.some((a, i) =>
          spans.some((b, k) => i < k && tables[i] === tables[k] && a.fromMin < b.toMin && b.fromMin < a.toMin),
        );
        expect(clash).toBe(false);
      }),
      { numRuns: 300 },
    );
  });
  it('leaves a practitioner at the table that she began at', () => {
    const visits = [span(540, 600, 'a'), span(540, 600, 'b'), span(600, 660, 'b'), span(610, 660, 'a')];
    expect(tablesOf(visits, 2)).toEqual([0, 1, 1, 0]);
  });
  it('says where one finds none', () => {
    expect(tablesOf([span(540, 600), span(540, 600), span(550, 610)], 2)).toEqual([0, 1, null]);
  });
});
