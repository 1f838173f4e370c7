import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES } from '@/core/anatomy';
import { readChartFile } from '@/formats/chartFile';
import { chartSvg } from './chartSvg';

const hair = {
  lengthMm: 7,
  shortestMm: 4,
  longestMm: 10,
  flags: ['layers'],
  coarseness: 4,
  density: 3,
  curl: 2,
  history: 'regular',
} as const;

const sheet = (() => {
  const made = sheetFor(ZONES.underarm, 'left', {});
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
})();
const ends = (svg: string): readonly (readonly number[])[] =>
  [...svg.matchAll(/<path d="M([\d.-]+) ([\d.-]+)l([\d.-]+) ([\d.-]+)"/g)].map((m) => m.slice(1).map(Number));

describe('what stays', () => {
  it('is drawn, and its line comes back as it was, on the other side in the mirror', () => {
    const points = [
      [1, 3],
      [4, 3.4],
      [7, 3],
    ] as const;
    const drawn = { outcome: 'to-knee', lines: [{ stays: 'above' as const, points }] };
    const zone = ZONES['lower-leg-front'];
    const made = sheetFor(zone, 'left', {});
    if (!made.ok) throw new Error(made.error.code);
    const { widthCm, heightCm } = made.value;
    const keep = [
      [
        [0, 0],
        [widthCm, 0],
        [widthCm, 3],
        [0, 3],
      ] as const,
    ];
    const svg = chartSvg({
      zone,
      side: 'left',
      sheet: made.value,
      strokes: [],
      marks: [],
      densities: [],
      hair,
      keep,
      drawn,
    });
    expect(svg).toContain('<title>what stays</title>');
    const read = (side: 'left' | 'right') =>
      readChartFile(svg, { zone: 'lower-leg-front', side, sheetCm: [widthCm, heightCm] });
    const [own, other] = [read('left'), read('right')];
    expect(own.ok && own.value.keep).toEqual(drawn);
    expect(other.ok && other.value.keep?.lines?.[0]?.points[0]).toEqual([widthCm - 1, 3]);
  });
});

describe('chartSvg', () => {
  it('draws the growth as it is charted: unit hairs, up in the upper half and down in the lower (common practice, no source)', () => {
    const hairs = ends(
      chartSvg({ zone: ZONES.underarm, side: 'left', sheet, strokes: [], marks: [], densities: [], hair }),
    );
    expect(hairs.length).toBeGreaterThan(200);
    for (const [, y = 0, dx = 0, dy = 0] of hairs) {
      expect(Math.hypot(dx, dy)).toBeCloseTo(0.38, 2);
      if (y < 5) expect(dy).toBeLessThan(0);
      if (y > 8) expect(dy).toBeGreaterThan(0);
    }
  });
  it('follows what was combed and leaves a mark’s clearance free', () => {
    const strokes = [{ at: [4.5, 10], towards: [1, 0] }] as const;
    const svg = chartSvg({
      zone: ZONES.underarm,
      side: 'left',
      sheet,
      strokes,
      marks: [{ kind: 'mole', at: [4.5, 4], radiusMm: 3 }],
      densities: [],
      hair,
    });
    const near = ends(svg).filter(([x = 0, y = 0]) => Math.hypot(x - 4.5, y - 10) < 0.6);
    expect(near.length).toBeGreaterThan(0);
    for (const [, , dx = 0] of near) expect(dx).toBeGreaterThan(0.3);
    expect(ends(svg).some(([x = 0, y = 0]) => Math.hypot(x - 4.5, y - 4) < 0.8)).toBe(false);
    expect(svg).toContain('<title>mole</title>');
    expect(svg.match(/<svg /g)).toHaveLength(1);
  });
  it('is read back whole, whatever stands in a note', () => {
    const chart = {
      strokes: [
        { at: [4, 3], towards: [0, -1] },
        { at: [5, 9], towards: [1, 0], share: 0.3 },
      ],
      marks: [{ kind: 'mole', at: [5.2, 6.1], radiusMm: 4, note: 'dark & flat <2 mm> "old"', since: '2026-03-01' }],
      densities: [{ at: [3, 4], radiusCm: 1.2, density: 2 }],
    } as const;
    const svg = chartSvg({ zone: ZONES.underarm, side: 'left', sheet, hair, ...chart });
    expect(readChartFile(svg, { zone: 'underarm', side: 'left', sheetCm: [sheet.widthCm, sheet.heightCm] })).toEqual({
      ok: true,
      value: { ...chart, hair, mirrored: false },
    });
    expect(svg).not.toContain('<2 mm>');
  });
});
