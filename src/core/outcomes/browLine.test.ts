import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES } from '../anatomy';
import { distanceToSegment, isInside, regionArea, subtractRegions, type Ring, type Vec } from '../shared';
import { browEdge, BROW_STEPS, stepOf } from './browLine';
import { ringOfLine, type KeepLine } from './keepLine';
import { keepLinesOf } from './keepLines';
import { isSimpleRing, resolveKeep, type DrawnKeep } from './drawn';
import { apartMm, besideLine, moveWords } from './lineMeasures';

const made = sheetFor(ZONES.brow, 'left', {});
if (!made.ok) throw new Error(made.error.code);
const sheet = made.value;
const lineAt = (step: number, side: 'left' | 'right' = 'left'): Ring => {
  const [line] = keepLinesOf('brow', side, BROW_STEPS[step]?.outcome, sheet, step);
  if (!line) throw new Error('the brow has a line');
  return ringOfLine(line, sheet);
};
const edge = browEdge('left', sheet);
const toRing = (at: Vec, ring: Ring): number =>
  10 * Math.min(...ring.map((a, i) => distanceToSegment(at, a, ring[(i + 1) % ring.length] ?? a)));
/** mm from places of the brow's edge to the line, negative where the line has come in. */
const gaps = (step: number, from: (at: Vec) => boolean): readonly number[] => {
  const ring = lineAt(step);
  return edge.filter(from).map((at) => (isInside([ring], at) ? 1 : -1) * toRing(at, ring));
};
const upper = ([x, y]: Vec): boolean => x > 1.5 && x < 5.5 && y < 1.75;
const lower = ([x, y]: Vec): boolean => x > 2 && x < 5 && y > 2.1;

describe('the line round a brow (common practice, no source)', () => {
  it('natural: the brow grown by a millimetre stays; tidy: its lower edge exact; then half a millimetre a step', () => {
    expect(BROW_STEPS.map((s) => s.outcome)).toEqual([
      'natural',
      'natural',
      'tidy',
      'reshape',
      'reshape',
      'reshape',
      'reshape',
    ]);
    for (const { step } of BROW_STEPS) {
      const below = gaps(step, lower);
      expect(below.length).toBeGreaterThan(5);
      const mean = below.reduce((s, g) => s + g, 0) / below.length;
      expect(Math.abs(mean - (1 - 0.5 * step))).toBeLessThan(0.2);
      // the upper edge stays where it is
      const above = gaps(step, upper);
      expect(above.length).toBeGreaterThan(5);
      expect(Math.min(...above)).toBeGreaterThan(0.75);
      expect(Math.max(...above)).toBeLessThan(1.25);
      expect(isSimpleRing(lineAt(step))).toBe(true);
    }
  });
  it('keeps the whole brow while it is natural, and says in millimetres what comes off it after that', () => {
    expect(regionArea(subtractRegions([edge], [lineAt(0)]))).toBeLessThan(0.005);
    const off = BROW_STEPS.slice(2).map((s) => regionArea(subtractRegions([edge], [lineAt(s.step)])));
    for (let k = 1; k < off.length; k++) expect(off[k]).toBeGreaterThan((off[k - 1] ?? 0) + 0.1);
    expect(BROW_STEPS.map((s) => /[\d.]+ mm/.exec(s.says)?.[0] ?? '')).toEqual([
      '',
      '',
      '',
      '0.5 mm',
      '1 mm',
      '1.5 mm',
      '2 mm',
    ]);
    expect(stepOf('something else').step).toBe(0);
  });
  it('is the mirror image on the right', () => {
    const flipped = lineAt(4, 'right').map(([x, y]): Vec => [sheet.widthCm - x, y]);
    expect(apartMm(lineAt(4), flipped)).toBe(0);
  });
});

describe('what was drawn for one client', () => {
  const at = { zone: 'brow', side: 'left', outcome: 'tidy' } as const;
  const own = (drawn: DrawnKeep | undefined) => ({ drawn, sheet });
  const [line] = keepLinesOf('brow', 'left', 'tidy', sheet);
  const lines: readonly KeepLine[] = [
    { stays: 'inside', points: (line?.points ?? []).map(([x, y]): Vec => [x, y - 0.1]) },
  ];
  it('counts on its own side, else in the mirror of the other, and only for what was agreed', () => {
    expect(resolveKeep(at, own({ outcome: 'tidy', lines })).lines).toEqual(lines);
    const follows = resolveKeep({ ...at, side: 'right' }, own(undefined), own({ outcome: 'tidy', lines }));
    expect(follows.by).toBe('other');
    expect(follows.lines[0]?.points[0]?.[0]).toBeCloseTo(8 - (lines[0]?.points[0]?.[0] ?? 0), 6);
    expect(resolveKeep({ ...at, outcome: 'natural' }, own({ outcome: 'tidy', lines })).by).toBe('agreed');
    const both = resolveKeep(at, own({ outcome: 'tidy', step: 2 }), own({ outcome: 'tidy', lines }));
    expect(both).toMatchObject({ by: 'own', step: 2, byHand: false });
  });
  it('tells by how much two sides differ: a tenth of a centimetre up is one millimetre', () => {
    const ring = (l: KeepLine): Ring => ringOfLine(l, sheet);
    expect(
      apartMm(ring({ stays: 'inside', points: line?.points ?? [] }), ring(lines[0] ?? { stays: 'inside', points: [] })),
    ).toBeCloseTo(1, 1);
    expect(moveWords([1, 1], [1, 0.95], 'left')).toBe('0.5 mm up');
    expect(moveWords([1, 1], [1.2, 1.1], 'left')).toBe('1 mm down, 2 mm out');
    expect(moveWords([1, 1], [1.2, 1], 'right')).toBe('2 mm in');
    expect(moveWords([1, 1], [1.2, 1], 'middle')).toBe('2 mm right');
    expect(moveWords([1, 1], [1, 1], 'left')).toBeNull();
  });
  it('finds as much line beside hair as a ruler does: a straight border over a sheet of ten centimetres', () => {
    const keep: Ring = [
      [-1, -1],
      [11, -1],
      [11, 2],
      [-1, 2],
    ];
    const going: Ring = [
      [0, 2],
      [10, 2],
      [10, 9],
      [0, 9],
    ];
    expect(besideLine([keep], [going]).reduce((s, p) => s + p.lengthCm, 0)).toBeCloseTo(10, 1);
  });
  it('knows a line that crosses itself', () => {
    expect(
      isSimpleRing([
        [0, 0],
        [2, 2],
        [2, 0],
        [0, 2],
      ]),
    ).toBe(false);
  });
});
