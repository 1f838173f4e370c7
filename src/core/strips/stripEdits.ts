// Editing strips by hand: split, join, turn, take away, draw anew, widen, fill what is free. Every edit is a pure
// function from a list of strips to a new one; ground is never given twice. Nothing here judges the result: that is
// stripFaults.

import {
  connectedPieces,
  fail,
  intersectRegions,
  offsetRing,
  ok,
  regionArea,
  subtractRegions,
  unit,
  uniteRings,
  type Region,
  type Result,
  type Ring,
  type Vec,
} from '../shared';
import { CRUMB_CM2, sharedBorder, withoutHoles } from './lanes';
import type { HandStrip } from './types';

export type EditResult = Result<readonly HandStrip[]>;

/** Turned further than this a strip no longer follows any growth, degrees. */
export const MOST_TURN_DEG = 90;
const REACH_CM = 1e3;
/** Less than this is rounding, no ground, cm². */
const SPECK_CM2 = 2e-3;

const at = (strips: readonly HandStrip[], index: number): Result<HandStrip> => {
  const strip = strips[index];
  return strip ? ok(strip) : fail({ code: 'strip.unknown', message: 'No such strip.' });
};

const replace = (strips: readonly HandStrip[], index: number, by: readonly HandStrip[]): readonly HandStrip[] =>
  strips.flatMap((s, i) => (i === index ? by : [s]));

/** The half of the plane to the left or right of the line through two points. */
function halfPlane(from: Vec, along: Vec, side: 1 | -1): Ring {
  const normal: Vec = [-along[1] * side, along[0] * side];
  const corner = (s: number, t: number): Vec => [
    from[0] + along[0] * s + normal[0] * t,
    from[1] + along[1] * s + normal[1] * t,
  ];
  return [corner(-REACH_CM, 0), corner(REACH_CM, 0), corner(REACH_CM, REACH_CM), corner(-REACH_CM, REACH_CM)];
}

/** Strips for a sheet of another size: they keep their places on it. */
export const fitStrips = (
  strips: readonly HandStrip[],
  [w, h]: readonly [number, number],
  [toW, toH]: readonly [number, number],
): readonly HandStrip[] =>
  strips.map((s) => ({ ...s, outline: s.outline.map(([x, y]): Vec => [(x * toW) / w, (y * toH) / h]) }));

/** Cuts a strip along the line through two points. Errors: `strip.unknown`, `split.no-line`, `split.misses`. */
export function splitStrip(strips: readonly HandStrip[], index: number, from: Vec, to: Vec): EditResult {
  const strip = at(strips, index);
  if (!strip.ok) return strip;
  const along = unit([to[0] - from[0], to[1] - from[1]]);
  if (!along) return fail({ code: 'split.no-line', message: 'Draw the cut across the strip.' });
  const { outline, turnDeg } = strip.value;
  const parts = ([1, -1] as const)
    .flatMap((side) => connectedPieces(intersectRegions([outline], [halfPlane(from, along, side)])))
    .flatMap(([ring]) => (ring && regionArea([ring]) >= CRUMB_CM2 ? [ring] : []));
  if (parts.length < 2) {
    return fail({
      code: 'split.misses',
      message: 'The cut leaves nothing worth a strip on one side. The strip stays whole.',
    });
  }
  return ok(
    replace(
      strips,
      index,
      parts.map((ring) => ({ outline: ring, turnDeg })),
    ),
  );
}

/**
 * Joins two strips that share a border. The joined strip is turned as the larger one was. Errors: `strip.unknown`,
 * `join.apart`.
 */
export function joinStrips(strips: readonly HandStrip[], one: number, other: number): EditResult {
  const [a, b] = [at(strips, one), at(strips, other)];
  if (!a.ok) return a;
  if (!b.ok) return b;
  const rings = uniteRings([a.value.outline, b.value.outline]).filter((r) => regionArea([r]) >= SPECK_CM2);
  const [ring] = rings;
  if (one === other || !ring || rings.length !== 1) {
    return fail({
      code: 'join.apart',
      message: 'Only strips that lie side by side can be joined. Both stay as they were.',
    });
  }
  const larger = regionArea([a.value.outline]) >= regionArea([b.value.outline]) ? a.value : b.value;
  const joined = { outline: ring, turnDeg: larger.turnDeg };
  return ok(
    strips.map((s, i) => (i === Math.min(one, other) ? joined : s)).filter((_, i) => i !== Math.max(one, other)),
  );
}

/** Turns lay and pull of a strip by so many degrees more; its ground stays. */
export function turnStrip(strips: readonly HandStrip[], index: number, byDeg: number): EditResult {
  const strip = at(strips, index);
  if (!strip.ok) return strip;
  const turnDeg = Math.max(-MOST_TURN_DEG, Math.min(MOST_TURN_DEG, (strip.value.turnDeg ?? 0) + byDeg));
  return ok(replace(strips, index, [{ outline: strip.value.outline, ...(turnDeg === 0 ? {} : { turnDeg }) }]));
}

/** Takes a strip away; its hair stays uncovered. */
export function removeStrip(strips: readonly HandStrip[], index: number): EditResult {
  const strip = at(strips, index);
  if (!strip.ok) return strip;
  return strips.length === 1
    ? fail({ code: 'remove.last', message: 'The last strip stays; draw it anew, or go back to the planned strips.' })
    : ok(replace(strips, index, []));
}

/** What is left of a strip when ground is taken from it, in as many strips as there are pieces. */
const without = (strip: HandStrip, taken: Region): readonly HandStrip[] =>
  connectedPieces(subtractRegions([strip.outline], taken)).flatMap(([ring]) =>
    ring && regionArea([ring]) >= CRUMB_CM2 ? [{ ...strip, outline: ring }] : [],
  );

/**
 * Gives a strip a new outline on the hair; what it covers now is taken from the others. Index = length adds a strip.
 * Errors: `redraw.off-hair`.
 */
export function redrawStrip(strips: readonly HandStrip[], index: number, outline: Ring, hair: Region): EditResult {
  const old = strips[index];
  const [ground] = connectedPieces(intersectRegions(hair, uniteRings([outline])))
    .map((part) => ({ part, area: regionArea(part) }))
    .sort((a, b) => b.area - a.area);
  const ring = ground?.part[0];
  if (!ground || !ring || ground.area < CRUMB_CM2) {
    return fail({
      code: 'redraw.off-hair',
      message: 'There is no hair where this was drawn. The strip stays as it was.',
    });
  }
  const drawn: HandStrip = { outline: ring, turnDeg: old?.turnDeg };
  const others = strips.map((s, i): readonly HandStrip[] => (i === index ? [drawn] : without(s, [ring])));
  return ok([...others.flat(), ...(old ? [] : [drawn])]);
}

/** Widens a strip on every side, or narrows it where negative; neighbours give way. */
export function growStrip(strips: readonly HandStrip[], index: number, byCm: number, hair: Region): EditResult {
  const strip = at(strips, index);
  if (!strip.ok) return strip;
  const [ring] = offsetRing(strip.value.outline, byCm);
  return ring
    ? redrawStrip(strips, index, ring, hair)
    : fail({ code: 'grow.nothing', message: 'Nothing would be left of the strip. It stays as it was.' });
}

/**
 * Gives hair that no strip covers to the neighbour with the longest border to it; far off it becomes a strip of its
 * own.
 */
export function fillGaps(strips: readonly HandStrip[], hair: Region): EditResult {
  let list = [...strips];
  const open = connectedPieces(subtractRegions(hair, uniteRings(strips.map((s) => s.outline)))).flatMap((part) =>
    withoutHoles(
      part.filter((r, i) => i === 0 || regionArea([r]) >= SPECK_CM2),
      [0, 1],
    ),
  );
  for (const ring of open) {
    if (regionArea([ring]) < SPECK_CM2) continue;
    const best = list
      .map((s, i) => ({ i, border: sharedBorder(ring, s.outline) }))
      .sort((a, b) => b.border - a.border)[0];
    const into = best && best.border > 0.05 ? list[best.i] : undefined;
    // borders that were drawn on either side may leave specks between them
    const joined = into ? uniteRings([into.outline, ring]).filter((r) => regionArea([r]) >= SPECK_CM2) : [];
    const [whole] = joined;
    if (into && whole && joined.length === 1) list = list.map((s) => (s === into ? { ...into, outline: whole } : s));
    else if (regionArea([ring]) >= CRUMB_CM2) list = [...list, { outline: ring }];
  }
  return ok(list);
}
