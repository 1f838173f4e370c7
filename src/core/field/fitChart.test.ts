import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitChart, mirrorMarks } from './fitChart';

const chart = {
  strokes: [
    { at: [2, 4], towards: [0, 1], share: 0.3 },
    { at: [6, 1], towards: [0.6, 0.8] },
  ],
  marks: [{ kind: 'mole', at: [5, 5], radiusMm: 3, note: 'flat' }],
} as const;

describe('a chart on another sheet', () => {
  it('moves with the sheet; a mark keeps its size and words, a share stays', () => {
    const wider = fitChart(chart, [10, 10], [20, 10]);
    expect(wider.strokes[0]).toEqual({ at: [4, 4], towards: [0, 1], share: 0.3 });
    expect(wider.strokes[1]?.at).toEqual([12, 1]);
    expect(wider.strokes[1]?.towards[0]).toBeCloseTo(1.2 / Math.hypot(1.2, 0.8), 2);
    expect(wider.marks).toEqual([{ kind: 'mole', at: [10, 5], radiusMm: 3, note: 'flat' }]);
  });
  it('comes back, but for rounding, and is the same on the same sheet', () => {
    expect(fitChart(chart, [9, 13], [9, 13])).toBe(chart);
    fc.assert(
      fc.property(fc.double({ min: 5, max: 40, noNaN: true }), fc.double({ min: 5, max: 40, noNaN: true }), (w, h) => {
        const back = fitChart(fitChart(chart, [10, 10], [w, h]), [w, h], [10, 10]);
        back.strokes.forEach((s, i) => {
          expect(
            Math.hypot(s.at[0] - (chart.strokes[i]?.at[0] ?? 0), s.at[1] - (chart.strokes[i]?.at[1] ?? 0)),
          ).toBeLessThan(0.03);
          expect(
            Math.hypot(
              s.towards[0] - (chart.strokes[i]?.towards[0] ?? 0),
              s.towards[1] - (chart.strokes[i]?.towards[1] ?? 0),
            ),
          ).toBeLessThan(0.02);
        });
      }),
      { seed: 6, numRuns: 60 },
    );
  });
  it('mirrors marks there and back', () => {
    expect(mirrorMarks(chart.marks, 9)[0]?.at).toEqual([4, 5]);
    expect(mirrorMarks(mirrorMarks(chart.marks, 9), 9)).toEqual(chart.marks);
  });
});
