import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { regionArea, isInside } from '../shared';
import { brokenPctOf, marksRead, removedPctOf } from './byPicture';
import { combFromLeft, joinCm, leftKindOf, leftPatches, leftWord, patchGround, type LeftHair } from './left';

const hair = (x: number, y: number, more: Partial<LeftHair> = {}): LeftHair => ({
  at: [x, y],
  way: null,
  kind: null,
  ...more,
});

describe('hairs that were tapped as left', () => {
  it('make a patch where each is near another, however long the chain, and count themselves', () => {
    const row = [0, 1, 2, 3].map((k) => hair(k, 0));
    const far = hair(9, 9);
    const patches = leftPatches([far, ...row], 1.2);
    expect(patches.map((p) => p.hairs)).toEqual([[1, 2, 3, 4], [0]]);
    expect(patches[0]).toMatchObject({ middle: [1.5, 0], radiusCm: 1.5, way: null, kind: null });
  });
  it('fall into the patches that a search from hair to hair finds', () => {
    const place = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }));
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 40 }), (places) => {
        const hairs = places.map(([x, y]) => hair(x / 10, y / 10));
        const found = leftPatches(hairs, 0.7).map((p) => p.hairs);
        // the reference: spread from one hair to all that it reaches
        const left = new Set(hairs.keys());
        const reference: number[][] = [];
        for (const start of hairs.keys()) {
          if (!left.delete(start)) continue;
          const reached = [start];
          for (const i of reached) {
            for (const j of [...left]) {
              const [a, b] = [hairs[i]?.at ?? [0, 0], hairs[j]?.at ?? [0, 0]];
              if (Math.hypot(a[0] - b[0], a[1] - b[1]) <= 0.7 && left.delete(j)) reached.push(j);
            }
          }
          reference.push(reached.sort((a, b) => a - b));
        }
        const sorted = (lists: readonly (readonly number[])[]): string[] => lists.map((l) => l.join()).sort();
        expect(sorted(found)).toEqual(sorted(reference));
      }),
      { numRuns: 200 },
    );
  });
  it('are a few while no patch is too big to tweeze, then a patch, then much (common practice, no source)', () => {
    const line = (n: number): LeftHair[] => Array.from({ length: n }, (_, i) => hair(i / 10, 0));
    const word = (n: number): string => leftWord(leftPatches(line(n), 1));
    expect([0, 1, 6, 7, 60, 61].map(word)).toEqual(['none', 'few', 'few', 'patch', 'patch', 'many']);
  });
  it('have the kind that most of them were said to have', () => {
    const own = [hair(0, 0, { kind: 'short' }), ...[5, 5.2, 5.4].map((x) => hair(x, 0, { kind: 'other-way' }))];
    expect(leftKindOf(leftPatches(own, 1))).toBe('other-way');
    expect(leftKindOf(leftPatches([hair(0, 0)], 1))).toBe('anywhere');
    expect(leftKindOf([])).toBe('none');
  });
  it('lie on the ground of their patch, which reaches half the distance round them, without bays', () => {
    const hairs = [hair(2, 2), hair(2.5, 2)];
    const [patch] = leftPatches(hairs, 1);
    const ground = patch ? [patchGround(patch, hairs, 1)] : [];
    expect(hairs.every((h) => isInside(ground, h.at))).toBe(true);
    // two discs of radius 0.5 cm whose middles are 0.5 cm apart, and what lies between them: a disc and a square
    expect(regionArea(ground)).toBeCloseTo(Math.PI * 0.25 + 0.5, 1);
    expect(regionArea(ground)).toBeGreaterThan(Math.PI * 0.25 + 0.5 - 0.05);
  });
  it('are joined from nearer on a small zone', () => {
    expect(joinCm([1.5, 5])).toBeCloseTo(0.33, 6);
    expect(joinCm([30, 40])).toBe(1.6);
  });
});

describe('what the chart learns', () => {
  const sideways = [0, 0.3, 0.6].map((x) => hair(x, 1, { kind: 'other-way', way: [1, 0] }));
  const learn = (hairs: readonly LeftHair[], charted: readonly [number, number]) =>
    combFromLeft(leftPatches(hairs, 1), hairs, () => charted);
  it('are strokes where hair was found to grow another way than charted, each at its hair', () => {
    expect(learn(sideways, [0, 1])).toEqual(sideways.map((h) => ({ at: h.at, towards: [1, 0] })));
  });
  it('is nothing where the chart has it so, where the way is not known or the kind is another', () => {
    expect(learn(sideways, [1, 0])).toEqual([]);
    expect(learn([hair(0, 0, { kind: 'other-way' })], [0, 1])).toEqual([]);
    expect(
      learn(
        sideways.map((h) => ({ ...h, kind: 'flat' as const })),
        [0, 1],
      ),
    ).toEqual([]);
  });
  it('is at most a dozen strokes of a patch', () => {
    const many = Array.from({ length: 100 }, (_, i) => hair(i / 100, 0, { kind: 'other-way', way: [1, 0] }));
    const learned = learn(many, [0, 1]);
    expect(learned.length).toBeGreaterThan(6);
    expect(learned.length).toBeLessThanOrEqual(12);
  });
});

describe('pictures of strips', () => {
  it('stand over the marks of the table', () => {
    const table = new Map([
      ['A1', 'clean'],
      ['A2', 'sore'],
    ] as const);
    const read = marksRead(table, [
      { strip: 'A1', like: 'sparse' },
      { strip: 'A3', like: 'flakes' },
    ]);
    expect([...read]).toEqual([
      ['A1', 'some-left'],
      ['A2', 'sore'],
      ['A3', 'sore'],
    ]);
  });
  it('give the share that broke and the share that came out', () => {
    expect(brokenPctOf([])).toBe(0);
    const likes = ['blunt', 'roots', 'roots', 'bare'] as const;
    expect(brokenPctOf(likes.map((like, i) => ({ strip: `A${i}`, like })))).toBe(8);
    expect([removedPctOf(0, 400), removedPctOf(20, 400), removedPctOf(900, 400), removedPctOf(3, 0)]).toEqual([
      100, 95, 0, 100,
    ]);
  });
});
