import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES } from '../anatomy';
import { growthField, type GrowthField } from '../field';
import { intersectRegions, regionArea, uniteRings, type Ring, type Vec } from '../shared';
import { labelRegions } from './cellBorders';
import { growthCells, nodesInside } from './cells';
import { cutCell, isSliver, makePiece, sharedBorder, USUAL_CUTTING } from './lanes';
import { orderPieces } from './order';
import { largestStrip } from './sizes';
import { joinSlivers } from './slivers';
import { tabCandidates, tabGround } from './tabs';
import { doTouch, ringsNear } from './touches';
import type { LayoutInput, Piece } from './types';

const box = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
/** A field that grows one way everywhere. */
function even(towards: Vec, widthCm = 12, heightCm = 12): GrowthField {
  const [columns, rows] = [widthCm * 2, heightCm * 2];
  const direction = new Float64Array(2 * columns * rows);
  for (let n = 0; n < columns * rows; n++) direction.set(towards, 2 * n);
  return { spacingCm: 0.5, columns, rows, direction, confidence: new Float64Array(columns * rows), crossing: null };
}
const down = even([0, 1]);
const hard: LayoutInput = { way: 'with', largestCm: [3, 6] };
const piece = (ring: Ring, input = hard): Piece => makePiece(ring, down, input, [0, 1]);

describe('cutCell', () => {
  it('cuts a plain rectangle into even lanes and pieces along the growth', () => {
    const pieces = cutCell([box(0, 0, 6, 12)], down, hard, USUAL_CUTTING);
    expect(pieces).toHaveLength(4);
    for (const p of pieces) {
      expect(p.lengthCm).toBeCloseTo(6, 3);
      expect(p.widthCm).toBeCloseTo(3, 3);
      expect(p.growth).toEqual([0, 1]);
      expect(p.pull[1]).toBeCloseTo(-1, 9);
    }
  });
  it('lets a lane be a little wider before it cuts another', () => {
    expect(cutCell([box(0, 0, 3.2, 6)], down, hard, USUAL_CUTTING)).toHaveLength(1);
    expect(cutCell([box(0, 0, 3.4, 6)], down, hard, USUAL_CUTTING)).toHaveLength(2);
  });
  it('cuts round a mark across the growth so that every strip is a simple ring', () => {
    const hole: Ring = [
      [1.2, 2.6],
      [1.2, 3.4],
      [1.8, 3.4],
      [1.8, 2.6],
    ];
    const pieces = cutCell([box(0, 0, 3, 6), hole], down, hard, USUAL_CUTTING);
    expect(pieces.length).toBeGreaterThanOrEqual(2);
    expect(pieces.reduce((s, p) => s + p.areaCm2, 0)).toBeCloseTo(18 - 0.48, 2);
    expect(regionArea(uniteRings(pieces.map((p) => p.outline)))).toBeCloseTo(18 - 0.48, 2);
  });
  it('lays the crosswise way across the growth', () => {
    const [first] = cutCell([box(0, 0, 6, 3)], down, { way: 'across', largestCm: [3, 6] }, USUAL_CUTTING);
    expect(Math.abs(first?.lay[0] ?? 0)).toBeCloseTo(1, 9);
    expect(first?.lengthCm).toBeCloseTo(6, 3);
  });
});

describe('joinSlivers', () => {
  it('joins a narrow leftover to its neighbour where the strip stays one that a hand can lay', () => {
    const joined = joinSlivers([piece(box(0, 0, 3, 6)), piece(box(3, 0, 3.3, 6))], down, hard);
    expect(joined).toHaveLength(1);
    expect(joined[0]?.areaCm2).toBeCloseTo(19.8, 2);
  });
  it('keeps a sliver whose joined strip would be too large', () => {
    const kept = joinSlivers([piece(box(0, 0, 3, 6)), piece(box(3, 0, 4, 6))], down, {
      way: 'with',
      largestCm: [3, 6],
    });
    expect(kept).toHaveLength(2);
    expect(kept.filter((p) => isSliver(p, [3, 6]))).toHaveLength(1);
  });
});

describe('sharedBorder and touching', () => {
  it('measures the common side, and nothing at a corner', () => {
    expect(sharedBorder(box(0, 0, 3, 6), box(3, 0, 6, 6))).toBeCloseTo(6, 1);
    expect(sharedBorder(box(0, 0, 3, 6), box(3, 6, 6, 12))).toBeLessThan(0.2);
  });
  it('counts neighbours within 2 mm along 5 mm, and tabs that come near', () => {
    const far: Ring = box(50, 50, 51, 51);
    const at = (outline: Ring, tabRing: Ring = far) => ({ outline, tabRing });
    expect(doTouch(at(box(0, 0, 3, 6)), at(box(3.1, 0, 6, 6)))).toBe(true);
    expect(doTouch(at(box(0, 0, 3, 6)), at(box(3.4, 0, 6, 6)))).toBe(false);
    expect(doTouch(at(box(0, 0, 3, 6)), at(box(3, 6, 6, 12)))).toBe(false);
    expect(doTouch(at(box(0, 0, 3, 6), box(0, 6.1, 3, 7)), at(box(0, 7.1, 3, 9)))).toBe(true);
    expect(ringsNear(box(0, 0, 1, 1), box(0.2, 0.2, 0.5, 0.5))).toBe(true);
  });
});

describe('tabs and order', () => {
  const column = [piece(box(0, 0, 3, 5)), piece(box(0, 5, 3, 10))];
  it('offers the whole end first, past the end where the pull starts', () => {
    const [first, ...rest] = tabCandidates(column[1] ?? piece(box(0, 0, 1, 1)));
    expect(first).toMatchObject({ kind: 'end' });
    expect(first?.centre[0]).toBeCloseTo(1.5, 6);
    expect(first?.centre[1]).toBeCloseTo(10.6, 6);
    expect(rest.map((t) => t.kind)).toEqual(['narrow', 'narrow', 'narrow', 'hook', 'hook']);
  });
  it('sees what lies under a tab', () => {
    const [tab] = tabCandidates(column[0] ?? piece(box(0, 0, 1, 1)));
    if (!tab) throw new Error('a strip has tab candidates');
    const ground = tabGround(tab, column, 0, [], []);
    expect(ground.over).toHaveLength(1);
    expect(ground.over[0]?.share).toBeCloseTo(1, 3);
    expect(tabGround(tab, column, 0, [], [box(0, 5, 3, 10)]).excluded).toBeCloseTo(1, 3);
  });
  it('takes the lower strip first on downward growth and needs it off for the upper', () => {
    const order = orderPieces(column, [], []);
    expect(order.map((o) => o.piece)).toEqual([1, 0]);
    expect(order[0]).toMatchObject({ tabOn: 'bare', needsBefore: [] });
    expect(order[1]).toMatchObject({ tabOn: 'cleared', needsBefore: [1] });
  });
  it('turns round for moulded sugar: the upper first', () => {
    const moulded = column.map((p) => piece(p.outline, { way: 'moulded', largestCm: [3, 6] }));
    expect(orderPieces(moulded, [], []).map((o) => o.piece)).toEqual([0, 1]);
  });
  it('turns the tab sideways where a mark lies at the end, and says so where only hair is left', () => {
    const [single] = orderPieces([piece(box(4, 0, 7, 5))], [], [box(3.5, 4.8, 7.5, 7)]);
    expect(single?.tab.kind).toBe('hook');
    const [sore] = orderPieces([piece(box(4, 0, 7, 5))], [box(0, -5, 12, 12)], []);
    expect(sore?.tabOn).toBe('hair');
  });
});

describe('cells', () => {
  const zone = ZONES.underarm;
  const made = sheetFor(zone, 'left', {});
  if (!made.ok) throw new Error(made.error.code);
  const sheet = made.value;
  it('divide the underarm at its parting, and their regions cover the sheet without overlap', () => {
    const field = growthField(zone, 'left', sheet, []);
    const cells = growthCells(field, nodesInside(field, [sheet.outline]), 21, 25);
    const regions = [...labelRegions(field, cells.labels).values()];
    expect(regions).toHaveLength(2);
    const whole = regions.reduce((s, r) => s + regionArea(r), 0);
    expect(whole).toBeCloseTo(field.columns * field.rows * field.spacingCm ** 2, 2);
    expect(regionArea(intersectRegions(regions[0] ?? [], regions[1] ?? []))).toBeLessThan(1e-3);
  });
  it('are one where all grows one way', () => {
    const field = growthField(zone, 'left', sheet, [
      { at: [4.5, 3], towards: [0, 1] },
      { at: [4.5, 10], towards: [0, 1] },
    ]);
    expect(new Set(growthCells(field, nodesInside(field, [sheet.outline]), 21, 25).labels).size).toBe(1);
  });
});

describe('largestStrip', () => {
  it('gives a trainee half the length and an expert more, at most 26 cm', () => {
    expect(largestStrip(ZONES['lower-leg-front'], 'hard', 'practised')).toEqual([4, 12]);
    expect(largestStrip(ZONES['lower-leg-front'], 'hard', 'trainee')).toEqual([4, 6]);
    expect(largestStrip(ZONES['lower-leg-front'], 'soft', 'expert')[1]).toBeLessThanOrEqual(26.4);
    expect(largestStrip(ZONES['lower-leg-front'], 'soft', 'expert')[1]).toBeGreaterThan(22);
  });
});
