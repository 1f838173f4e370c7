import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../core/shared';
import type { ChartData } from '../db/schema';
import { civilDateAt, instantAt } from '../clock';
import { startingChart, type ZonePast } from './history';
import { zonesInWords } from './zonesInWords';

const chart: ChartData = {
  v: 1,
  hair: { lengthMm: 7, coarseness: 4, density: 3, curl: 2, history: 'regular' },
  strokes: [{ at: [4, 3], towards: [0, 1] }],
  marks: [{ kind: 'mole', at: [5, 9], radiusMm: 3 }],
  product: 'soft',
  way: 'with',
  reason: 'asked for it',
  confirmed: true,
};
const past = (more: Partial<ZonePast> = {}): ZonePast => ({
  last: chart,
  lastOn: '2027-04-01',
  lastReading: null,
  past: [
    { on: '2027-02-22', lengthMm: 6.5 },
    { on: '2027-04-01', lengthMm: 7 },
  ],
  ...more,
});

describe('startingChart', () => {
  it('begins anew where nothing is known', () => {
    expect(startingChart('underarm', undefined, '2027-05-14')).toMatchObject({
      hair: { history: 'first' },
      strokes: [],
      marks: [],
      confirmed: false,
    });
  });
  it('takes over growth, marks and choice, to be looked at again', () => {
    const next = startingChart('underarm', past(), '2027-05-08');
    expect(next.strokes).toEqual(chart.strokes);
    expect(next.marks).toEqual(chart.marks.map((m) => ({ ...m, unseen: true })));
    expect(next).toMatchObject({ product: 'soft', reason: 'asked for it', confirmed: false });
  });
  it('brings what was drawn to stay along', () => {
    const keep = { outcome: 'reshape', step: 4 };
    const next = startingChart('brow', past({ last: { ...chart, keep } }), '2027-05-08');
    expect(next).toMatchObject({ keep, confirmed: false });
  });
  it('assesses anew what changes: shortest, longest and hair under the skin; how hair stands is expected again', () => {
    const next = startingChart(
      'underarm',
      past({
        last: {
          ...chart,
          sheetCm: [10, 14],
          hair: { ...chart.hair, shortestMm: 4, longestMm: 9, flags: ['flat', 'under-skin'] },
        },
      }),
      '2027-05-08',
    );
    expect(next.hair).not.toHaveProperty('shortestMm');
    expect(next.hair.flags).toEqual(['flat']);
    expect(next.sheetCm).toEqual([10, 14]);
  });
  it('takes marks known from elsewhere, also where the zone was never done', () => {
    const known = [{ kind: 'scar', at: [3, 3], radiusMm: 5, note: 'old' }] as const;
    expect(startingChart('underarm', undefined, '2027-05-08', { marks: known }).marks).toEqual([
      { ...known[0], unseen: true },
    ]);
    expect(startingChart('underarm', past(), '2027-05-08', { marks: [] }).marks).toEqual([]);
  });
  it('brings marks and growth onto one sheet where the body was measured anew between them', () => {
    const known = { marks: [{ kind: 'mole', at: [6, 10], radiusMm: 3 }], onCm: [12, 20] } as const;
    const next = startingChart('underarm', past({ last: { ...chart, drawnOnCm: [9, 15] } }), '2027-05-08', known);
    expect(next.marks).toEqual([{ kind: 'mole', at: [4.5, 7.5], radiusMm: 3, unseen: true }]);
    expect(next).toMatchObject({ drawnOnCm: [9, 15], strokes: chart.strokes });
    expect(startingChart('underarm', undefined, '2027-05-08', known)).toMatchObject({
      drawnOnCm: [12, 20],
      marks: [{ at: [6, 10] }],
    });
    // a sheet measured on the client counts as it is
    expect(
      startingChart('underarm', past({ last: { ...chart, sheetCm: [12, 20] } }), '2027-05-08', known).marks[0]?.at,
    ).toEqual([6, 10]);
  });
  it('expects longer hair the longer it is, and after three months a lapsed client', () => {
    const lengths = [25, 35, 45, 60].map(
      (days) => startingChart('underarm', past(), addDays('2027-04-01', days)).hair.lengthMm,
    );
    expect([...lengths].sort((a, b) => a - b)).toEqual(lengths);
    expect(new Set(lengths).size).toBeGreaterThan(2);
    expect(startingChart('underarm', past(), '2027-08-01').hair.history).toBe('lapsed');
    expect(
      startingChart('underarm', past({ last: { ...chart, hair: { ...chart.hair, history: 'first' } } }), '2027-05-08')
        .hair.history,
    ).toBe('regular');
  });
  it('learns from the client: faster growth, longer hair expected', () => {
    const fast = past({
      past: [
        { on: '2027-01-15', lengthMm: 9 },
        { on: '2027-02-22', lengthMm: 11 },
        { on: '2027-04-01', lengthMm: 11 },
      ],
      last: { ...chart, hair: { ...chart.hair, lengthMm: 11 } },
    });
    expect(startingChart('underarm', fast, '2027-05-08').hair.lengthMm).toBeGreaterThan(
      startingChart('underarm', past(), '2027-05-08').hair.lengthMm + 1,
    );
  });
});

describe('the studio clock', () => {
  it('knows the civil date of its own zone, and wall times over a clock change', () => {
    expect(civilDateAt(Date.UTC(2027, 4, 14, 23, 30), 'Europe/London')).toBe('2027-05-15');
    expect(civilDateAt(Date.UTC(2027, 4, 14, 23, 30), 'UTC')).toBe('2027-05-14');
    expect(instantAt('2027-10-31', 12, 0, 'Europe/London') - instantAt('2027-10-30', 12, 0, 'Europe/London')).toBe(
      25 * 3_600_000,
    );
    expect(daysBetween('2027-10-30', '2027-10-31')).toBe(1);
  });
});

describe('zonesInWords', () => {
  it('says both where both sides are booked', () => {
    expect(
      zonesInWords([
        { zone: 'underarm', side: 'left' },
        { zone: 'underarm', side: 'right' },
        { zone: 'upper-lip', side: 'middle' },
      ]),
    ).toBe('both underarms; upper lip');
    expect(zonesInWords([{ zone: 'lower-leg-front', side: 'left' }])).toBe('lower leg, front');
  });
});
