import { describe, expect, it } from 'vitest';
import type { ChartData } from './schema';
import { upChart } from './upChart';

const chart = (more: Partial<ChartData>): ChartData => ({
  v: 1,
  hair: { lengthMm: 6, coarseness: 3, density: 3, curl: 1, history: 'regular' },
  strokes: [],
  marks: [],
  product: null,
  way: null,
  reason: '',
  confirmed: true,
  ...more,
});
const up = (side: 'left' | 'right', more: Partial<ChartData>): ChartData =>
  upChart({ zone: 'brow', side, data: chart(more) }).data;
const mark = (at: readonly [number, number]) => ({ kind: 'mole' as const, at, radiusMm: 2 });

describe('a brow charted on its own box', () => {
  it('keeps its marks where they are on the brow, on either side', () => {
    const inner = up('left', { marks: [mark([0, 1.3])], drawnOnCm: [6, 2.2] });
    // the brow begins half a centimetre from the edge of its surroundings
    expect(inner.marks[0]?.at[0]).toBeCloseTo(0.5, 1);
    expect(inner.drawnOnCm).toEqual([8, 5]);
    const right = up('right', { marks: [mark([6, 1.3])], drawnOnCm: [6, 2.2] });
    expect(right.marks[0]?.at).toEqual([8 - (inner.marks[0]?.at[0] ?? 0), inner.marks[0]?.at[1]]);
    expect(inner.marks[0]?.radiusMm).toBe(2);
  });
  it('a measured brow becomes its measured surroundings, older charts without a size count as the usual one', () => {
    expect(up('left', { sheetCm: [5.4, 2] }).sheetCm).toEqual([7.2, 4.55]);
    expect(up('left', { marks: [mark([3, 1])] }).drawnOnCm).toEqual([8, 5]);
  });
  it('leaves what is on the new sheet, what is empty and every other zone as it is', () => {
    const now = chart({ marks: [mark([3, 1])], drawnOnCm: [8, 5] });
    expect(upChart({ zone: 'brow', side: 'left', data: now }).data).toBe(now);
    expect(up('left', {})).toEqual(chart({}));
    const lip = chart({ marks: [mark([3, 1])], drawnOnCm: [6.5, 2] });
    expect(upChart({ zone: 'upper-lip', side: 'middle', data: lip }).data).toBe(lip);
  });
});
