// Strips where hair grows oddly: a whorl combed into a zone, marks anywhere. What a hand could lay all the same.

import { describe, expect, it } from 'vitest';
import { sheetFor, sidesOf, ZONE_IDS, ZONES, type Family, type ZoneId } from '../anatomy';
import { growthField, type Exclusion, type Stroke } from '../field';
import { regionArea, seededRandom, uniteRings, type Ring, type Vec } from '../shared';
import { isSliver } from './lanes';
import { layOutZone } from './layOut';
import { simpleRings, withoutSpikes } from './simpleRings';
import { largestStrip } from './sizes';
import type { HandLevel } from './types';
import { whorlMiddles } from './whorls';
import { zoneShapes } from './zoneShapes';

const WAYS = { hard: 'with', soft: 'with', sugar: 'moulded' } as const;

/** Strokes round a point, as a hand combs a whorl. */
const whorl = ([x, y]: Vec, radiusCm: number): readonly Stroke[] =>
  Array.from({ length: 12 }, (_, k) => {
    const a = (2 * Math.PI * k) / 12;
    const r = k % 2 === 0 ? radiusCm / 2 : radiusCm;
    return { at: [x + r * Math.cos(a), y + r * Math.sin(a)], towards: [-Math.sin(a), Math.cos(a)] };
  });

interface Odd {
  readonly level?: HandLevel;
  readonly whorlAt?: Vec;
  readonly exclusions?: readonly Exclusion[];
}

/** A zone laid out; `whorlAt` and marks in shares of its sheet. */
function laid(id: ZoneId, family: Family, { level = 'practised', whorlAt, exclusions = [] }: Odd) {
  const zone = ZONES[id];
  const [side = 'middle'] = sidesOf(zone);
  const made = sheetFor(zone, side, {});
  if (!made.ok) throw new Error(id);
  const sheet = made.value;
  const place = ([u, v]: Vec): Vec => [u * sheet.widthCm, v * sheet.heightCm];
  const radiusCm = 0.2 * Math.min(sheet.widthCm, sheet.heightCm) + 0.4;
  const field = growthField(zone, side, sheet, whorlAt ? whorl(place(whorlAt), radiusCm) : []);
  const largestCm = largestStrip(zone, family, level);
  const layout = layOutZone(
    sheet.outline,
    field,
    exclusions.map((e) => ({ ...e, at: place(e.at) })),
    { way: WAYS[family], largestCm, ...zoneShapes({ zone: id, side, family, sheet }) },
    'A',
  );
  return { field, sheet, layout, largestCm };
}

const side = (a: Vec, b: Vec, p: Vec): number =>
  Math.sign((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]));

/** Edges that cross, points met twice and corners that lead out and back over the same line. */
function faultsOf(ring: Ring): number {
  let faults = 0;
  const n = ring.length;
  const at = (i: number): Vec => ring[i % n] ?? [NaN, NaN];
  for (let i = 0; i < n; i++) {
    const [p, q, r] = [at(i + n - 1), at(i), at(i + 1)];
    const turn = Math.abs(Math.atan2(p[1] - q[1], p[0] - q[0]) - Math.atan2(r[1] - q[1], r[0] - q[0]));
    if (Math.min(turn, 2 * Math.PI - turn) < 0.02) faults++;
    for (let j = i + 2; j < n; j++) {
      if ((j + 1) % n === i) continue;
      const [a, b, c, d] = [at(i), at(i + 1), at(j), at(j + 1)];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) faults++;
      if (Math.hypot(a[0] - c[0], a[1] - c[1]) < 5e-4) faults++;
    }
  }
  return faults;
}

const seeded = seededRandom(20);
const random = (): number => seeded.next();
const someMarks = (): readonly Exclusion[] =>
  Array.from({ length: 1 + Math.floor(3 * random()) }, () => ({
    at: [0.15 + 0.7 * random(), 0.15 + 0.7 * random()],
    clearanceMm: 5 + 5 * random(),
  }));

const PLAIN = ZONE_IDS.flatMap((id) =>
  (['practised', 'trainee', 'expert'] as const).map((level) => laid(id, 'soft', { level })),
);
const MARKED = ZONE_IDS.map((id) => laid(id, 'hard', { exclusions: someMarks() }));
const WHORLS = (['chest', 'abdomen', 'upper-back', 'lower-leg-front', 'thigh-front', 'underarm'] as const).flatMap(
  (id) => (['hard', 'sugar'] as const).map((family) => laid(id, family, { whorlAt: [0.4, 0.45] })),
);
const ALL = [...PLAIN, ...MARKED, ...WHORLS];

describe('strips under odd growth', () => {
  it('are simple rings without spikes, always', () => {
    const rings = ALL.flatMap(({ layout }) => layout.strips.map((s) => s.outline));
    expect(rings.length).toBeGreaterThan(1000);
    expect(rings.filter((ring) => faultsOf(ring) > 0)).toEqual([]);
  });
  it('are never longer than a joined strip may be, and never longer than 26 cm', () => {
    const over = ALL.flatMap(({ layout, largestCm: [, longest] }) =>
      layout.strips.filter((s) => !s.byEye && s.lengthCm > Math.max(longest, Math.min(1.15 * longest, 26)) + 0.05),
    );
    // the knee is one planned piece over its whole height
    expect(over.filter((s) => s.lengthCm > 26)).toEqual([]);
    expect(over.length).toBeLessThan(10);
  });
  it('are hardly ever slivers: one zone in twelve has more than one where hair grows as usual', () => {
    const many = PLAIN.filter(({ layout }) => layout.slivers > 1);
    expect(many.length).toBeLessThanOrEqual(PLAIN.length / 12);
    const narrow = ALL.flatMap(({ layout, largestCm }) =>
      layout.strips.filter((s) => isSliver(s, largestCm) && s.widthCm < 0.35 * largestCm[0]),
    );
    const all = ALL.reduce((n, { layout }) => n + layout.strips.length, 0);
    expect(narrow.length / all).toBeLessThan(0.03);
  });
  it('follow a whorl within 15° and have at most 5 % across, its middle as small pieces by eye', () => {
    const off = WHORLS.map(({ layout }) => layout.cover);
    expect(Math.max(...off.map((c) => c.meanAngleErrorDeg))).toBeLessThanOrEqual(15);
    expect(Math.max(...off.map((c) => c.over40Share))).toBeLessThanOrEqual(0.05);
    expect(Math.min(...off.map((c) => c.coveredShare))).toBeGreaterThanOrEqual(0.98);
    const fans = WHORLS.filter(({ layout }) => layout.strips.some((s) => s.byEye));
    expect(fans.length).toBeGreaterThanOrEqual(WHORLS.length / 2);
    const pieces = fans.flatMap(({ layout, largestCm }) =>
      layout.strips.filter((s) => s.byEye).map((s) => s.areaCm2 / (largestCm[0] * largestCm[1])),
    );
    expect(Math.max(...pieces)).toBeLessThan(1);
    expect(PLAIN.flatMap(({ layout }) => layout.strips.filter((s) => s.byEye))).toEqual([]);
  });
});

describe('the middle line of intimate zones', () => {
  it('is crossed by no strip and no tab lies over it, whatever the growth and the marks; both halves are covered', () => {
    const laidOut = (['front-complete', 'buttock-crease'] as const).flatMap((id) =>
      (['hard', 'sugar'] as const).flatMap((family) => [
        laid(id, family, {}),
        laid(id, family, { level: 'trainee' }),
        laid(id, family, { whorlAt: [0.4, 0.4] }),
        ...[1, 2, 3].map(() => laid(id, family, { exclusions: someMarks() })),
      ]),
    );
    const over = laidOut.flatMap(({ layout, sheet: { widthCm } }) =>
      layout.strips.filter((s) => {
        const xs = s.outline.map(([x]) => x - widthCm / 2);
        return Math.min(...xs) < -1e-3 && Math.max(...xs) > 1e-3;
      }),
    );
    expect(laidOut.length).toBe(24);
    expect(over).toEqual([]);
    expect(Math.min(...laidOut.map(({ layout }) => layout.cover.coveredShare))).toBeGreaterThanOrEqual(0.98);
  });
  it('leaves halves that are alike laid alike', () => {
    const { layout, sheet } = laid('front-complete', 'hard', {});
    const sizes = (isLeft: boolean): readonly string[] =>
      layout.strips
        .filter((s) => s.outline.reduce((sum, [x]) => sum + x, 0) / s.outline.length < sheet.widthCm / 2 === isLeft)
        .map((s) => s.areaCm2.toFixed(2))
        .sort();
    expect(sizes(true)).toEqual(sizes(false));
  });
});

describe('whorlMiddles', () => {
  it('finds the middle of a combed whorl, and none where hair parts or flows', () => {
    const { field, sheet } = laid('chest', 'hard', { whorlAt: [0.4, 0.45] });
    const middles = whorlMiddles(field, [sheet.outline]);
    const near = middles.filter(
      ([x, y]) => Math.hypot(x - 0.4 * sheet.widthCm, y - 0.45 * sheet.heightCm) <= 2 * field.spacingCm,
    );
    expect(near).toHaveLength(1);
    const usual = laid('chest', 'hard', {});
    expect(whorlMiddles(usual.field, [usual.sheet.outline])).toEqual([]);
  });
});

describe('simpleRings', () => {
  const square: Ring = [
    [0, 0],
    [4, 0],
    [4, 4],
    [0, 4],
  ];
  it('takes out a spike and a slit without width, and leaves a plain ring as it is', () => {
    expect(withoutSpikes(square)).toEqual(square);
    const [a, b, c, d] = square as [Vec, Vec, Vec, Vec];
    expect(withoutSpikes([a, b, [4, 2], [7, 2], [4, 2], c, d])).toHaveLength(5);
    expect(regionArea([withoutSpikes([a, b, [4, 2], [2, 2], [4, 2], c, d])])).toBeCloseTo(16, 9);
  });
  it('parts a ring that touches itself in a point', () => {
    const eight: Ring = [
      [0, 0],
      [2, 0],
      [2, 2],
      [4, 2],
      [4, 4],
      [2, 4],
      [2, 2],
      [0, 2],
    ];
    const parts = simpleRings(eight);
    expect(parts).toHaveLength(2);
    expect(regionArea(uniteRings(parts))).toBeCloseTo(8, 6);
  });
});
