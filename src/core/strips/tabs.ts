// Tabs: the free end by which a strip is gripped, past the end where the pull starts. Candidates in order: the whole
// end, the end at half width (middle, left third, right third), the left side, the right side (the hook). A tab is
// valid when at least 90 % of it lies on bare or cleared skin; a mark's clearance is never bare.

import {
  add,
  boxOf,
  distanceToSegment,
  dot,
  extentAlong,
  intersectRegions,
  perpendicular,
  regionArea,
  samplePoints,
  scale,
  type Region,
  type Ring,
  type Vec,
} from '../shared';
import type { Piece, TabKind } from './types';

/** Tab length past the strip, cm; its centre lies 6 mm past the end. */
const TAB_LENGTH_CM = 1.2;
const NARROWEST_TAB_CM = 1;
/** Beside the eye a tab is held short, and may be as narrow as a fingertip's edge, cm. */
const SHORT_TAB_CM = 0.6;
const SIDE_TAB_CM = 2;
/** A stick bedded in a dab, cm. */
const STICK_CM = 0.4;

export const VALID_SHARE = 0.9;
export const NEEDED_SHARE = 0.02;

export interface TabCandidate {
  readonly kind: TabKind;
  readonly centre: Vec;
  readonly ring: Ring;
}

/** Rectangle round a centre, `along` in the direction of `axis`. */
function rectangle(centre: Vec, axis: Vec, along: number, across: number): Ring {
  const normal = perpendicular(axis);
  const corner = (s: number, t: number): Vec => add(centre, add(scale(axis, s * along), scale(normal, t * across)));
  return [corner(-0.5, -0.5), corner(0.5, -0.5), corner(0.5, 0.5), corner(-0.5, 0.5)];
}

/** Part of the ring within `depth` of its end in the given direction, as [low, high] across it. */
function endSpan(ring: Ring, direction: Vec, depth: number): readonly [number, number, number] {
  const end = extentAlong([ring], direction)[1];
  const normal = perpendicular(direction);
  const reach = 1e3;
  const at = (s: number, t: number): Vec => [s * direction[0] + t * normal[0], s * direction[1] + t * normal[1]];
  const cap = intersectRegions(
    [ring],
    [[at(end - depth, -reach), at(end + 1, -reach), at(end + 1, reach), at(end - depth, reach)]],
  );
  const [low, high] = extentAlong(cap, normal);
  return [end, low, high];
}

/** A stick bedded in a strip, as near to its end as there is room for it within the strip. */
function bedded(outline: Ring, towards: Vec): TabCandidate {
  const room = (p: Vec): number =>
    Math.min(...outline.map((a, i) => distanceToSegment(p, a, outline[(i + 1) % outline.length] ?? a)));
  const places = samplePoints([outline], 0.1).map((p) => ({ p, room: Math.min(room(p), STICK_CM / 2) }));
  const best = places.reduce(
    (a, b) => (b.room + 0.05 * dot(b.p, towards) > a.room + 0.05 * dot(a.p, towards) ? b : a),
    places[0] ?? { p: outline[0] ?? ([0, 0] as const), room: 0.1 },
  );
  return { kind: 'stick', centre: best.p, ring: rectangle(best.p, towards, 1.4 * best.room, 1.4 * best.room) };
}

/**
 * Candidates in order of preference. The tab lies opposite to the pull.
 * @param short short ones too: beside the eye
 */
export function tabCandidates(piece: Piece, short = false): readonly TabCandidate[] {
  const towards = scale(piece.pull, -1);
  if (piece.dab) {
    const { x0, x1, y0, y1 } = boxOf([piece.outline]);
    const centre: Vec = [(x0 + x1) / 2, (y0 + y1) / 2];
    return [{ kind: 'end', centre, ring: rectangle(centre, towards, STICK_CM, STICK_CM) }];
  }
  const normal = perpendicular(towards);
  const [end, low, high] = endSpan(piece.outline, towards, Math.min(0.6, piece.lengthCm / 3));
  const width = high - low;
  const endTab = (kind: TabKind, t: number, across: number, long = TAB_LENGTH_CM): TabCandidate => {
    const centre = add(scale(towards, end + long / 2), scale(normal, t));
    return { kind, centre, ring: rectangle(centre, towards, long, across) };
  };
  const middle = (low + high) / 2;
  const half = Math.max(NARROWEST_TAB_CM, width / 2);
  // a tapered end is narrower than the strip
  const [, left, right] = endSpan(piece.outline, towards, Math.min(SIDE_TAB_CM, piece.lengthCm));
  const sideTab = (t: number): TabCandidate => {
    const centre = add(scale(towards, end - SIDE_TAB_CM / 2), scale(normal, t));
    return { kind: 'hook', centre, ring: rectangle(centre, towards, SIDE_TAB_CM, TAB_LENGTH_CM) };
  };
  return [
    endTab('end', middle, width),
    ...(width > half
      ? [
          endTab('narrow', middle, half),
          endTab('narrow', low + half / 2, half),
          endTab('narrow', high - half / 2, half),
        ]
      : []),
    ...(short
      ? [low + width / 2, low + SHORT_TAB_CM / 2, high - SHORT_TAB_CM / 2].map((t, i) =>
          endTab(i === 0 ? 'end' : 'narrow', t, i === 0 ? width : SHORT_TAB_CM, SHORT_TAB_CM),
        )
      : []),
    sideTab(left - TAB_LENGTH_CM / 2),
    sideTab(right + TAB_LENGTH_CM / 2),
    ...(short ? [bedded(piece.outline, towards)] : []),
  ];
}

/** Ground that a tab covers, as shares of its area. */
export interface TabGround {
  /** Share over each piece that lies under the tab. */
  readonly over: readonly { readonly piece: number; readonly share: number }[];
  /** Share inside the clearance of marks. */
  readonly excluded: number;
  /** Share on ground on which nothing may lie. */
  readonly never: number;
  /** Share on hair that no strip takes (dropped crumbs count as hair). */
  readonly hair: number;
}

export function tabGround(
  tab: TabCandidate,
  pieces: readonly Piece[],
  own: number,
  hair: Region,
  exclusions: Region,
  never: Region = [],
): TabGround {
  const area = regionArea([tab.ring]);
  const share = (region: Region): number => regionArea(intersectRegions([tab.ring], region)) / area;
  const over = pieces.flatMap((p, i) => {
    if (!mayMeet(tab.ring, p.outline)) return [];
    const s = share([p.outline]);
    return s > 1e-4 ? [{ piece: i, share: s }] : [];
  });
  return {
    over: over.filter((o) => o.piece !== own),
    excluded: exclusions.length > 0 ? share(exclusions) : 0,
    never: never.length > 0 ? share(never) : 0,
    hair: share(hair),
  };
}

function mayMeet(a: Ring, b: Ring): boolean {
  const [p, q] = [boxOf([a]), boxOf([b])];
  return p.x0 <= q.x1 && q.x0 <= p.x1 && p.y0 <= q.y1 && q.y0 <= p.y1;
}
