import { describe, expect, it } from 'vitest';
import { sheetFor, sidesOf, ZONE_IDS, ZONES, type ZoneId } from '../anatomy';
import { mirrorStrokes, type Stroke } from '../field';
import { roundTo } from '../shared';
import type { PlanStrip } from './planTypes';
import { planVisit } from './planVisit';
import type { ZoneCase } from './visitCase';

const PAIRED = ZONE_IDS.filter((id) => sidesOf(ZONES[id]).length === 2);
const sheetOf = (id: ZoneId) => {
  const sheet = sheetFor(ZONES[id], 'left', {});
  if (!sheet.ok) throw new Error(id);
  return sheet.value;
};

/** Two strokes combed on the left sheet. */
const strokesOn = ({ widthCm, heightCm }: ReturnType<typeof sheetOf>): readonly Stroke[] => [
  { at: [roundTo(0.3 * widthCm, 2), roundTo(0.4 * heightCm, 2)], towards: [0.6, 0.8] },
  { at: [roundTo(0.6 * widthCm, 2), roundTo(0.6 * heightCm, 2)], towards: [-0.28, 0.96] },
];

/** Both sides with the same hair; `left` and `right` is what differs. */
function planned(id: ZoneId, coarseness: number, left: Partial<ZoneCase> = {}, right: Partial<ZoneCase> = {}) {
  const hair = { lengthMm: 8, coarseness, density: 3 };
  const plan = planVisit({
    version: 1,
    on: '2027-05-14',
    client: { consent: true },
    zones: [
      { zone: id, side: 'left', hair, ...left },
      { zone: id, side: 'right', hair, ...right },
    ],
  });
  if (!plan.ok) throw new Error(id);
  const [one, other] = plan.value.zones;
  if (!one || !other) throw new Error(id);
  return [one, other] as const;
}

const byNumber = (strips: readonly PlanStrip[]): readonly PlanStrip[] =>
  [...strips].sort((a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)));
const bare = (ids: readonly string[]): readonly string[] => ids.map((id) => id.slice(1));
/** What does not change in the mirror. */
const figures = (strips: readonly PlanStrip[]) =>
  byNumber(strips).map((s) => ({
    needs: bare(s.needsBefore),
    touches: bare(s.touches),
    figures: [s.lengthMm, s.widthMm, s.massG, s.pulls, s.tabOn, s.tabKind],
    points: s.outline.length,
  }));

/** How far outline and tab of a strip lie from the reflection of another's, cm; a ring turned over runs backwards. */
const apart = (a: PlanStrip, b: PlanStrip, widthCm: number): number => {
  const pairs = [...a.outline.map((p, i) => [p, b.outline.at(-1 - i) ?? p] as const), [a.tab, b.tab] as const];
  return Math.max(...pairs.map(([[x, y], [u, v]]) => Math.hypot(widthCm - x - u, y - v)));
};

describe('both sides of equal hair', () => {
  it.each(PAIRED)('%s: the same choice with the same figures, strips and tabs in the mirror', (id) => {
    const sheet = sheetOf(id);
    const { widthCm } = sheet;
    const strokes = strokesOn(sheet);
    const [left, right] = planned(id, 4, { strokes }, { strokes: mirrorStrokes(strokes, widthCm) });
    expect(right.options).toEqual(left.options);
    expect(right.choice).toMatchObject({ product: left.choice?.product, way: left.choice?.way });
    expect(figures(right.strips)).toEqual(figures(left.strips));
    const other = byNumber(right.strips);
    // written with four decimals
    const off = byNumber(left.strips).map((s, i) => apart(s, other[i] ?? s, widthCm));
    expect(Math.max(...off)).toBeLessThan(3e-4);
  });
  it('a mark on one side leaves the other as it is', () => {
    const mark = { kind: 'mole', at: [6, 10], radiusMm: 3 } as const;
    const [plainLeft] = planned('lower-leg-front', 4);
    const [left, right] = planned('lower-leg-front', 4, {}, { marks: [mark] });
    expect(figures(left.strips)).toEqual(figures(plainLeft.strips));
    expect(figures(right.strips)).not.toEqual(figures(left.strips));
  });
});
