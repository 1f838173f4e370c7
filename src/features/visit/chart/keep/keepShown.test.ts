import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES, type ZoneId } from '@/core/anatomy';
import { isInside, regionArea } from '@/core/shared';
import { keepShown, type KeepInput } from './keepShown';

const input = (zone: ZoneId, outcome: string, more: Partial<KeepInput> = {}): KeepInput => {
  const side = ZONES[zone].paired ? 'left' : 'middle';
  const made = sheetFor(ZONES[zone], side, {});
  if (!made.ok) throw new Error(made.error.code);
  return { zone, side, sheet: made.value, outcome, drawn: undefined, marks: [], other: undefined, ...more };
};
const mole = { kind: 'mole' as const, at: [9, 9] as const, radiusMm: 3 };

describe('what stays on the sheet', () => {
  it('is nothing where all comes off, also round a mark: that is kept clear, not agreed', () => {
    expect(keepShown(input('upper-back', 'all', { marks: [mole] }), null).isAll).toBe(true);
    expect(keepShown(input('upper-back', 'fade'), null).isAll).toBe(false);
    expect(keepShown(input('shoulder', 'all'), null).isAll).toBe(true);
    expect(keepShown(input('shoulder', 'line'), null).isAll).toBe(false);
  });
  it('follows the hand while a point is dragged, and goes with less the more stays', () => {
    const at = input('lower-leg-front', 'to-knee');
    const still = keepShown(at, null);
    const lower = still.lines.map((l) => ({ ...l, points: l.points.map(([x, y]) => [x, y + 5] as const) }));
    const dragged = keepShown(at, lower);
    expect(still).toMatchObject({ by: 'agreed', byHand: false });
    expect(dragged).toMatchObject({ by: 'own', byHand: true });
    expect(regionArea(dragged.going)).toBeLessThan(regionArea(still.going) - 30);
    expect(isInside(still.going, [8, 4])).toBe(true);
    expect(isInside(dragged.going, [8, 4])).toBe(false);
  });
});
