// One limb is laid as the other in the mirror: the left, or the better of both where something is wrong with it, is
// taken for both, with its tabs and its order.

import type { Vec } from '../shared';
import type { Layout } from './layOut';
import { mirrorRing } from './mirrored';
import type { Strip } from './types';

const mirrorPoint =
  (widthCm: number) =>
  ([x, y]: Vec): Vec => [widthCm - x, y];
const turned = ([x, y]: Vec): Vec => [0 - x, y];

function mirrorStrip(strip: Strip, widthCm: number): Strip {
  return {
    ...strip,
    outline: mirrorRing(strip.outline, widthCm / 2),
    growth: turned(strip.growth),
    lay: turned(strip.lay),
    pull: turned(strip.pull),
    ...(strip.turnDeg === undefined ? {} : { turnDeg: 0 - strip.turnDeg }),
    tab: mirrorPoint(widthCm)(strip.tab),
    tabRing: mirrorRing(strip.tabRing, widthCm / 2),
  };
}

/** A layout of one side on the sheet of the other; ids and order stay. */
export const mirrorLayout = (layout: Layout, widthCm: number): Layout => ({
  ...layout,
  strips: layout.strips.map((s) => mirrorStrip(s, widthCm)),
});

/** Strips that wait for one another in a row at most. */
function longestChain(strips: readonly Strip[]): number {
  const depth = new Map<string, number>();
  // in order of laying, so that what is needed stands before
  for (const s of strips) depth.set(s.id, 1 + Math.max(0, ...s.needsBefore.map((id) => depth.get(id) ?? 0)));
  return Math.max(0, ...depth.values());
}

/** Fewer strips, fewer slivers, fewer starts on hair, fewer that wait, fewer neighbours, closer to the growth. */
const worth = ({ strips, slivers, cover }: Layout): readonly number[] => [
  strips.length,
  slivers,
  strips.filter((s) => s.tabOn === 'hair').length,
  longestChain(strips),
  strips.reduce((n, s) => n + s.touches.length, 0),
  Math.round(cover.meanAngleErrorDeg),
];

/** The better of two layouts of the same ground; the first where nothing is wrong with it, or they are alike. */
export function betterLayout(one: Layout, make: () => Layout): Layout {
  // laying costs time: the other side is laid out only where this one has more than one sliver or a start on hair
  if (one.slivers <= 1 && one.strips.every((s) => s.tabOn !== 'hair')) return one;
  const other = make();
  const [a, b] = [worth(one), worth(other)];
  const differs = a.findIndex((x, i) => x !== b[i]);
  return differs >= 0 && (b[differs] ?? 0) < (a[differs] ?? 0) ? other : one;
}

/** The same layout with its strips named anew: what stood before the number becomes `prefix`. */
export function named(layout: Layout, from: string, prefix: string): Layout {
  const id = (of: string): string => prefix + of.slice(from.length);
  return {
    ...layout,
    strips: layout.strips.map((s) => ({
      ...s,
      id: id(s.id),
      touches: s.touches.map(id),
      needsBefore: s.needsBefore.map(id),
    })),
  };
}
