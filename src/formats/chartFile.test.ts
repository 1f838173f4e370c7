import { describe, expect, it } from 'vitest';
import { readChartFile, type ChartTarget } from './chartFile';

const target: ChartTarget = { zone: 'underarm', side: 'left', sheetCm: [9, 13] };
const zone = {
  zone: 'underarm',
  side: 'left',
  sheetCm: [9, 13],
  hair: {
    lengthMm: 7,
    shortestMm: 4,
    longestMm: 10,
    flags: ['layers'],
    coarseness: 4,
    density: 3,
    curl: 2,
    history: 'regular',
  },
  strokes: [
    { at: [4, 3], towards: [0, -1] },
    { at: [5, 9], towards: [1, 0], share: 0.3 },
  ],
  marks: [{ kind: 'mole', at: [5.2, 6.1], radiusMm: 4, note: 'dark & flat <2 mm>', since: '2026-03-01' }],
  densities: [{ at: [3, 4], radiusCm: 1.5, density: 2 }],
} as const;
const file = { strickle: 'chart', version: 1, zone };
const read = (data: unknown, to = target) => readChartFile(typeof data === 'string' ? data : JSON.stringify(data), to);
const faults = (data: unknown, to = target): readonly string[] => {
  const r = read(data, to);
  return r.ok ? [] : r.faults.map((f) => f.path);
};

describe('a chart out of a file', () => {
  it('is read out of a visit case, on the sheet that its client has', () => {
    const visit = {
      version: 1,
      on: '2027-05-14',
      client: { consent: true, statureCm: 170, massKg: 70 },
      zones: [
        { zone: 'chin', side: 'middle', hair: zone.hair },
        { ...zone, sheetCm: undefined },
      ],
    };
    expect(read(visit)).toMatchObject({ ok: true, value: { mirrored: false, hair: { coarseness: 4 } } });
    expect(read(visit)).toMatchObject({ value: { strokes: [{ at: [4, 3] }, { share: 0.3 }] } });
  });
  it('is read out of the metadata of a drawing, its marks unescaped', () => {
    const escaped = JSON.stringify(file).replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
    expect(
      read(`<svg xmlns="http://www.w3.org/2000/svg"><title>x</title><metadata>${escaped}</metadata></svg>`),
    ).toMatchObject({ ok: true, value: { strokes: zone.strokes, marks: zone.marks, hair: zone.hair } });
  });
  it('mirrors the other side’s and fits another sheet', () => {
    const right = read(file, { ...target, side: 'right' });
    expect(right).toMatchObject({
      ok: true,
      value: {
        mirrored: true,
        strokes: [
          { at: [5, 3], towards: [0, -1] },
          { at: [4, 9], towards: [-1, 0] },
        ],
        marks: [{ at: [3.8, 6.1] }],
        densities: [{ at: [6, 4], radiusCm: 1.5, density: 2 }],
      },
    });
    expect(read(file, { ...target, sheetCm: [18, 13] })).toMatchObject({
      ok: true,
      value: { strokes: [{ at: [8, 3] }, { at: [10, 9] }], densities: [{ at: [6, 4], radiusCm: 2.12 }] },
    });
  });
  it('refuses what is no chart, with a reason, and names each wrong field', () => {
    expect(faults('not json')).toEqual(['text']);
    expect(faults('<svg xmlns="http://www.w3.org/2000/svg"></svg>')).toEqual(['text']);
    expect(faults(file, { ...target, zone: 'chin', side: 'middle' })).toEqual(['text']);
    expect(faults({ ...file, extra: 1 })).toEqual(['extra']);
    expect(faults({ ...file, zone: { ...zone, hair: { ...zone.hair, coarseness: 9 } } })).toEqual([
      'zone.hair.coarseness',
    ]);
    expect(faults({ ...file, zone: { ...zone, strokes: [{ at: [4, 3], towards: [0, -1], share: 0.9 }] } })).toEqual([
      'zone.strokes[0].share',
    ]);
    expect(faults({ ...file, zone: { ...zone, densities: [{ at: [3, 4], radiusCm: 1, density: 6 }] } })).toEqual([
      'zone.densities[0].density',
    ]);
    expect(faults({ ...file, zone: { ...zone, densities: [{ at: [3, 40], radiusCm: 1, density: 2 }] } })).toEqual([
      'text',
    ]);
    expect(faults({ ...file, zone: { ...zone, marks: [{ kind: 'mole', at: [20, 3], radiusMm: 3 }] } })).toEqual([
      'text',
    ]);
    expect(faults({ ...file, zone: { ...zone, strokes: [{ at: [4, 3], towards: [0, 0] }] } })).toEqual(['text']);
    expect(faults([])).toEqual(['']);
  });
});
