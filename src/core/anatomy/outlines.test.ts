import { describe, expect, it } from 'vitest';
import { union } from 'polyclip-ts';
import { discRing, isInside, regionArea, signedArea, subtractRegions, type Vec } from '../shared';
import { OUTLINES } from './outlines';
import { defaultGrowthAt, sheetFor } from './scale';
import { ZONE_IDS, type ZoneId } from './types';
import { sidesOf, ZONES } from './zones';

const sheet = (id: ZoneId, side = sidesOf(ZONES[id])[0] ?? 'middle') => {
  const made = sheetFor(ZONES[id], side, {});
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};
const crosses = (a: Vec, b: Vec, c: Vec, d: Vec): boolean => {
  const turn = (p: Vec, q: Vec, r: Vec): number =>
    Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
  return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
};

describe.each(ZONE_IDS.map((id) => [id] as const))('the outline of %s', (id) => {
  const ring = OUTLINES[id];
  it('is one simple ring that touches all four sides of its sheet; the brow has skin round it', () => {
    const spans = ring.map((p, i) => [p, ring[(i + 1) % ring.length] ?? p] as const);
    for (let i = 0; i < spans.length; i++) {
      for (let j = i + 2; j < spans.length; j++) {
        const [a, b] = spans[i] ?? [
          [0, 0],
          [0, 0],
        ];
        const [c, d] = spans[j] ?? [
          [0, 0],
          [0, 0],
        ];
        expect(crosses(a, b, c, d)).toBe(false);
      }
    }
    const [xs, ys] = [ring.map((p) => p[0]), ring.map((p) => p[1])];
    const sides = [Math.min(...xs), Math.min(...ys), 1 - Math.max(...xs), 1 - Math.max(...ys)];
    const free = id === 'brow' ? 0.15 : 1e-9;
    expect(sides.map((gap) => gap >= -1e-9 && gap <= free)).toEqual([true, true, true, true]);
  });
  it('has no sharp corner: it turns by less than 60° from one point to the next', () => {
    const { outline } = sheet(id);
    for (let i = 0; i < outline.length; i++) {
      const [a, b, c] = [
        outline[i] ?? [0, 0],
        outline[(i + 1) % outline.length] ?? [0, 0],
        outline[(i + 2) % outline.length] ?? [0, 0],
      ];
      const turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
      expect(Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)))).toBeLessThan(Math.PI / 3);
    }
  });
  it('has the area that a second polygon library finds, and the right side is its mirror image', () => {
    const { outline, widthCm, heightCm } = sheet(id);
    const [pieces] = union([outline.map(([x, y]): [number, number] => [x, y])]);
    const second = (pieces ?? []).reduce((sum, r) => sum + Math.abs(signedArea(r)), 0);
    expect(regionArea([outline])).toBeCloseTo(second, 4);
    expect(regionArea([outline]) / (widthCm * heightCm)).toBeGreaterThan(0.35);
    if (!ZONES[id].paired) return;
    const right = sheet(id, 'right').outline;
    expect(right.map(([x, y]) => [widthCm - x, y])).toEqual(outline.map(([x, y]) => [expect.closeTo(x, 9), y]));
  });
  it('grows somewhere at every place, mirrored on the other side', () => {
    const { outline, widthCm, heightCm } = sheet(id);
    const mirror = ZONES[id].paired ? sheet(id, 'right') : null;
    for (let k = 0; k < 200; k++) {
      const at: Vec = [(((k * 37) % 100) / 100) * widthCm, (((k * 61) % 100) / 100) * heightCm];
      if (!isInside([outline], at)) continue;
      const [dx, dy] = defaultGrowthAt(ZONES[id], mirror ? 'left' : 'middle', sheet(id), at);
      expect(Math.hypot(dx, dy)).toBeGreaterThan(0);
      if (!mirror) continue;
      const [ex, ey] = defaultGrowthAt(ZONES[id], 'right', mirror, [widthCm - at[0], at[1]]);
      expect([ex, ey]).toEqual([expect.closeTo(-dx, 9), expect.closeTo(dy, 9)]);
    }
  });
  it('loses exactly the ground of a mark that lies well within', () => {
    const { outline, widthCm, heightCm } = sheet(id);
    const radiusCm = 0.08 * Math.min(widthCm, heightCm);
    const centre = Array.from({ length: 400 }, (_, k): Vec => [
      (((k % 20) + 0.5) / 20) * widthCm,
      ((Math.floor(k / 20) + 0.5) / 20) * heightCm,
    ]).find((p) => discRing(p, radiusCm, 24).every((q) => isInside([outline], q)));
    if (!centre) throw new Error('no room for a mark');
    const disc = discRing(centre, radiusCm, 64);
    expect(regionArea([outline]) - regionArea(subtractRegions([outline], [disc]))).toBeCloseTo(
      Math.abs(signedArea(disc)),
      2,
    );
  });
});

describe('the default growth (common practice, no source, unless from memory)', () => {
  const at = (id: ZoneId, u: number, v: number): Vec => {
    const { widthCm, heightCm } = sheet(id);
    return defaultGrowthAt(ZONES[id], sidesOf(ZONES[id])[0] ?? 'middle', sheet(id), [u * widthCm, v * heightCm]);
  };
  it('underarm: upper half up, lower half down', () => {
    expect(at('underarm', 0.5, 0.2)[1]).toBeLessThan(0);
    expect(at('underarm', 0.5, 0.8)[1]).toBeGreaterThan(0);
  });
  it('legs down, the knee down and to both sides', () => {
    for (const id of ['thigh-front', 'thigh-back', 'lower-leg-front', 'lower-leg-back'] as const) {
      expect(at(id, 0.5, 0.5)[1]).toBeGreaterThan(0.8);
    }
    expect(at('knee', 0.1, 0.5)[0]).toBeLessThan(0);
    expect(at('knee', 0.9, 0.5)[0]).toBeGreaterThan(0);
  });
  it('back: down along the spine, the flanks outward; chin and throat slanting in from both sides', () => {
    expect(Math.abs(at('upper-back', 0.5, 0.5)[0])).toBeLessThan(0.01);
    expect(at('upper-back', 0.9, 0.5)[0]).toBeGreaterThan(0);
    for (const id of ['chin', 'jaw-throat'] as const) {
      expect(at(id, 0.1, 0.3)[0]).toBeGreaterThan(0);
      expect(at(id, 0.9, 0.3)[0]).toBeLessThan(0);
    }
  });
  it('chest up and to the middle, abdomen to the middle line, forearm outward and down (all from memory)', () => {
    expect(at('chest', 0.2, 0.5)).toEqual([expect.any(Number), expect.any(Number)]);
    expect(at('chest', 0.2, 0.5)[0]).toBeGreaterThan(0);
    expect(at('chest', 0.2, 0.5)[1]).toBeLessThan(0);
    expect(at('abdomen', 0.2, 0.5)[0]).toBeGreaterThan(0);
    expect(at('forearm', 0.5, 0.5)[0]).toBeGreaterThan(0);
  });
});
