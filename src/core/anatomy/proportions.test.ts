import { describe, expect, it } from 'vitest';
import { isInside, type Vec } from '../shared';
import { BODY_REGIONS, FIGURES, placeIn, SILHOUETTES } from './bodyMap';
import { ARM, BREADTH, FACE, FACE_AT, HEAD, LANDMARK, LEG, TRUNK, widthAt, type WidthTable } from './proportions';
import type { ZoneId } from './types';

const STATURE = 206;
const heightOf = (y: number): number => 1 - (y - 3) / STATURE;
const spanOf = (zone: ZoneId): readonly [number, number] => {
  const ys = BODY_REGIONS.filter((r) => r.zone === zone && r.figure !== 'face').flatMap((r) =>
    r.outline.map((p) => heightOf(p[1])),
  );
  return [Math.max(...ys), Math.min(...ys)];
};

describe('the figure', () => {
  it('has the breadths of Drillis & Contini 1966 (values from memory): shoulders, hips, foot', () => {
    expect(2 * Math.max(...ARM.filter(([h]) => h > 0.78).map((r) => r[2]))).toBeCloseTo(BREADTH.shoulders, 2);
    expect(2 * widthAt(TRUNK, LANDMARK.hip - 0.02)[1]).toBeCloseTo(BREADTH.hips, 2);
    const foot = LEG.filter(([h]) => h < LANDMARK.ankle).map((r) => r[2] - r[1]);
    expect(Math.max(...foot)).toBeGreaterThan(BREADTH.foot * 0.75);
    expect(Math.max(...foot)).toBeLessThan(BREADTH.foot * 1.1);
  });
  it('is about eight heads tall, with crown, chin and fingertips where they belong', () => {
    const head = (HEAD[0]?.[0] ?? 0) - (HEAD.at(-1)?.[0] ?? 0);
    expect(1 / head).toBeGreaterThan(7.5);
    expect(1 / head).toBeLessThan(8.1);
    expect(HEAD.at(-1)?.[0]).toBe(LANDMARK.chin);
    expect(ARM.at(-1)?.[0]).toBe(LANDMARK.fingertip);
  });
  it('is narrowest where the body is: neck, waist, wrist, ankle', () => {
    const narrowest = (table: WidthTable, from: number, to: number): number =>
      [...table].filter(([h]) => h <= from && h >= to).sort((a, b) => a[2] - a[1] - (b[2] - b[1]))[0]?.[0] ?? 0;
    expect(narrowest(TRUNK, 0.75, 0.5)).toBeGreaterThan(0.6);
    expect(narrowest(TRUNK, 0.75, 0.5)).toBeLessThan(0.64);
    expect(Math.abs(narrowest(ARM, 0.6, 0.44) - LANDMARK.wrist)).toBeLessThan(0.01);
    expect(narrowest(LEG, 0.2, 0.03)).toBeLessThan(0.08);
  });
  it('cuts its regions at the joints', () => {
    expect(Math.abs(spanOf('upper-arm')[1] - LANDMARK.elbow)).toBeLessThan(0.02);
    expect(Math.abs(spanOf('forearm')[0] - LANDMARK.elbow)).toBeLessThan(0.01);
    expect(Math.abs(spanOf('forearm')[1] - LANDMARK.wrist)).toBeLessThan(0.01);
    expect(spanOf('knee')[0]).toBeGreaterThan(LANDMARK.knee);
    expect(spanOf('knee')[1]).toBeLessThan(LANDMARK.knee);
    expect(spanOf('lower-leg-front')[1]).toBeGreaterThan(LANDMARK.ankle);
    expect(spanOf('foot')[0]).toBeLessThan(0.06);
  });
  it('keeps every region on the body, and both sides alike', () => {
    for (const r of BODY_REGIONS.filter((b) => b.zone !== 'ear' && b.zone !== 'jaw-throat')) {
      expect(
        isInside([SILHOUETTES[r.figure].find((ring) => isInside([ring], placeIn(r))) ?? []], placeIn(r)),
        r.zone,
      ).toBe(true);
    }
    for (const figure of FIGURES) {
      const points = SILHOUETTES[figure].flat();
      const left = points.map(([x, y]): Vec => [Math.round(100 * (100 - x)), Math.round(100 * y)]);
      const all = new Set(points.map(([x, y]) => `${Math.round(100 * x)} ${Math.round(100 * y)}`));
      expect(left.filter((p) => all.has(p.join(' '))).length).toBeGreaterThan(0.9 * left.length);
    }
  });
  it('divides the face in three equal parts from hairline to chin, the eyes half way down the head (canon, common practice)', () => {
    const thirds = [FACE_AT.brow - FACE_AT.hairline, FACE_AT.noseBase - FACE_AT.brow, FACE_AT.chin - FACE_AT.noseBase];
    for (const t of thirds) expect(t).toBeCloseTo(0.286, 2);
    expect(FACE_AT.eye).toBe(0.5);
    expect(FACE.at(-1)?.[0]).toBe(FACE_AT.chin);
  });
  it('is read between the rows and at the ends of a table', () => {
    const table: WidthTable = [
      [1, 0, 2],
      [0.5, 1, 3],
      [0, 1, 5],
    ];
    expect(widthAt(table, 0.75)).toEqual([0.5, 2.5]);
    expect(widthAt(table, 0)).toEqual([1, 5]);
    expect(widthAt(table, 1)).toEqual([0, 2]);
    expect(widthAt([...table].reverse(), 0.25)).toEqual([1, 4]);
    expect(widthAt(table, -1)).toEqual([1, 5]);
    expect(widthAt(table, 2)).toEqual([0, 2]);
  });
});
