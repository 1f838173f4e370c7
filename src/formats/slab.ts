// A strip as the slab of wax that it is: its outline drawn in from the neighbours, the foot rounded, the tab a bar
// across the end where the pull starts, fine grain along the lay, its number near the tab. Sheet centimetres; one shape
// for the screen, the table, the reading and paper.

import type { PlanStrip } from '../core/plan';
import { dot, isInside, lerp, perpendicular, signedArea, type Ring, type Vec } from '../core/shared';

export interface Slab {
  /** Path of the wax, with rounded corners. */
  readonly path: string;
  /** The tab as a polygon; wider than the wax where it takes the whole end. */
  readonly tab: Ring;
  /** Lines along the lay. */
  readonly grain: string;
  /** Where the number stands. */
  readonly disc: Vec;
  /** Most that the disc may measure, radius. */
  readonly roomCm: number;
  /** From the foot to the tab: thin to thick. */
  readonly foot: Vec;
  readonly end: Vec;
}

type Shape = Pick<PlanStrip, 'outline' | 'pull' | 'tab' | 'tabKind' | 'lengthMm' | 'widthMm'>;

const n = (x: number): string => String(Math.round(x * 1000) / 1000);
const at = ([x, y]: Vec): string => `${n(x)} ${n(y)}`;
const plus = ([x, y]: Vec, [u, v]: Vec, k: number): Vec => [x + k * u, y + k * v];
function towards(from: Vec, to: Vec): Vec {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return length === 0 ? [0, 0] : [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
}

/** The ring drawn in by `byCm`; corners move along the line that halves them, never further than three times that. */
function drawnIn(ring: Ring, byCm: number): Ring {
  const inward = signedArea(ring) > 0 ? 1 : -1;
  const count = ring.length;
  return ring.map((p, i): Vec => {
    const before = ring[(i + count - 1) % count] ?? p;
    const after = ring[(i + 1) % count] ?? p;
    const [a, b] = [towards(before, p), towards(p, after)];
    const [na, nb] = [perpendicular(a), perpendicular(b)];
    const half: Vec = [na[0] + nb[0], na[1] + nb[1]];
    const length = Math.hypot(...half);
    if (length === 0) return p;
    const unit: Vec = [half[0] / length, half[1] / length];
    const reach = byCm / Math.max(1 / 3, dot(unit, nb));
    return plus(p, unit, inward * reach);
  });
}

/** Corners rounded: widely at the foot, a little elsewhere. */
function rounded(ring: Ring, radiusOf: (p: Vec) => number): string {
  const count = ring.length;
  const parts = ring.map((p, i) => {
    const before = ring[(i + count - 1) % count] ?? p;
    const after = ring[(i + 1) % count] ?? p;
    const toBefore = Math.hypot(before[0] - p[0], before[1] - p[1]);
    const toAfter = Math.hypot(after[0] - p[0], after[1] - p[1]);
    const r = Math.min(radiusOf(p), toBefore / 2, toAfter / 2);
    return [plus(p, towards(p, before), r), p, plus(p, towards(p, after), r)] as const;
  });
  return `M${parts.map(([from, p, to]) => `${at(from)}Q${at(p)} ${at(to)}`).join('L')}Z`;
}

/** Where the ring is crossed at a depth along the pull, as its least and greatest place across; null outside it. */
function crossed(ring: Ring, pull: Vec, across: Vec, depth: number): readonly [number, number] | null {
  const cuts = ring.flatMap((p, i) => {
    const q = ring[(i + 1) % ring.length] ?? p;
    const [a, b] = [dot(p, pull) - depth, dot(q, pull) - depth];
    if (a === b || a * b > 0) return [];
    const k = a / (a - b);
    return [dot(p, across) + k * (dot(q, across) - dot(p, across))];
  });
  return cuts.length < 2 ? null : [Math.min(...cuts), Math.max(...cuts)];
}

/** So much wider than the wax is the tab that takes its whole end. */
const TAB_WIDER = 1.07;
/** A tab's point lies this far past the end of the strip. */
const TAB_PAST_CM = 0.6;
const GRAINS = 4;

/** `insetCm` is half the gap to a neighbour, `tabCm` how deep the tab is. */
export function slabOf(strip: Shape, insetCm: number, tabCm: number): Slab {
  const { pull } = strip;
  const across = perpendicular(pull);
  const place = (depth: number, aside: number): Vec => [
    depth * pull[0] + aside * across[0],
    depth * pull[1] + aside * across[1],
  ];
  const ring = drawnIn(strip.outline, Math.min(insetCm, strip.widthMm / 60));
  const depths = ring.map((p) => dot(p, pull));
  const [low, high] = [Math.min(...depths), Math.max(...depths)];
  const length = Math.max(high - low, 1e-6);
  const middle = (low + high) / 2;
  const width = strip.widthMm / 10;
  const depthOfTab = Math.min(tabCm, length / 5);
  const path = rounded(ring, (p) => (dot(p, pull) > middle ? 0.45 * width : 0.12 * width));
  const end = crossed(ring, pull, across, low + Math.min(0.2 * length, 1.5 * depthOfTab)) ?? [
    dot(strip.tab, across) - width / 2,
    dot(strip.tab, across) + width / 2,
  ];
  const whole = strip.tabKind === 'end';
  const centre = whole ? (end[0] + end[1]) / 2 : dot(strip.tab, across);
  const half = whole ? ((end[1] - end[0]) / 2) * TAB_WIDER : Math.min(0.35, width / 4);
  // a narrow tab or a hook reaches from where it is gripped onto the wax
  const from = whole ? low - depthOfTab * 0.3 : dot(strip.tab, pull);
  const to = whole ? from + depthOfTab : from + TAB_PAST_CM + depthOfTab;
  const tab: Ring = [
    place(from, centre - half),
    place(from, centre + half),
    place(to, centre + half),
    place(to, centre - half),
  ];
  const roomCm = Math.min(0.42 * width, 0.4 * length);
  const depth = Math.min(middle, low + depthOfTab + 1.15 * roomCm);
  const [left, right] = crossed(ring, pull, across, depth) ?? end;
  const disc = place(depth, (left + right) / 2);
  const grain = Array.from({ length: GRAINS }, (_, k) => {
    const share = (k + 0.7) / (GRAINS + 0.4);
    const [a, b] = [low + (0.18 + 0.05 * (k % 3)) * length, high - (0.14 + 0.06 * ((k + 1) % 3)) * length];
    const [start, stop] = [crossed(ring, pull, across, a), crossed(ring, pull, across, b)];
    if (!start || !stop) return '';
    const [begin, until] = [
      place(a, start[0] + share * (start[1] - start[0])),
      place(b, stop[0] + share * (stop[1] - stop[0])),
    ];
    // across the gap of a bent strip no grain runs
    const isWax = [0.02, 0.25, 0.5, 0.75, 0.98].every((t) => isInside([ring], lerp(begin, until, t)));
    return isWax ? `M${at(begin)}L${at(until)}` : '';
  }).join('');
  const mid = crossed(ring, pull, across, middle) ?? end;
  const axis = (mid[0] + mid[1]) / 2;
  return { path, tab, grain, disc, roomCm, foot: place(high, axis), end: place(low, axis) };
}
