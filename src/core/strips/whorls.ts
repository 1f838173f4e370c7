// Where hair turns in a circle no strip follows it: round the middle of a whorl the ground is laid as a fan of small
// pieces, each as the hair lies in it, combed and laid by eye. A whorl's middle is where the direction turns once round
// on a small loop; so is the place beside it where hair parts four ways.

import {
  connectedPieces,
  discRing,
  intersectRegions,
  isInside,
  regionArea,
  subtractRegions,
  type Region,
  type Ring,
  type Vec,
} from '../shared';
import { growthAt, nodeCentre, type GrowthField } from '../field';
import { CRUMB_CM2, makePiece, withoutHoles } from './lanes';
import type { LayoutInput, Piece } from './types';

/** A fan reaches so many widths of a strip from its middle; beyond it lanes follow the turn. */
const REACH = 0.9;
/** A piece of a fan turns no further than this, degrees. */
const FAN_TURN_DEG = 52;
const LEAST_PIECES = 3;
/** Steps round the circle on which the turn is measured, and its radius as a share of the fan's. */
const STEPS = 72;
const MEASURED_AT = 0.6;
/** Neighbours that stand further apart than this are a parting, not a turn, degrees. */
const PARTED_DEG = 150;

const headingDeg = ([x, y]: Vec): number => (Math.atan2(y, x) * 180) / Math.PI;
/** Turn from one heading to the next, −180 … 180°. */
const turnDeg = (from: number, to: number): number => ((((to - from) % 360) + 540) % 360) - 180;

/** Middles of whorls and four-way partings within the hair. */
export function whorlMiddles(field: GrowthField, hair: Region): readonly Vec[] {
  const { columns, rows, direction, spacingCm } = field;
  const heading = new Float64Array(columns * rows);
  for (let n = 0; n < heading.length; n++) heading[n] = headingDeg([direction[2 * n] ?? 1, direction[2 * n + 1] ?? 0]);
  const between = (a: number, b: number): number => turnDeg(heading[a] ?? 0, heading[b] ?? 0);
  const found: Vec[] = [];
  for (let j = 0; j + 1 < rows; j++) {
    for (let i = 0; i + 1 < columns; i++) {
      const n = j * columns + i;
      const [top, right] = [between(n, n + 1), between(n + 1, n + columns + 1)];
      const [foot, left] = [between(n + columns + 1, n + columns), between(n + columns, n)];
      // a whole turn or none: what is left of a whole one is rounding
      if (Math.abs(top + right + foot + left) < 180) continue;
      if (Math.max(Math.abs(top), Math.abs(right), Math.abs(foot), Math.abs(left)) > PARTED_DEG) continue;
      const [x, y] = nodeCentre(field, n);
      const at: Vec = [x + spacingCm / 2, y + spacingCm / 2];
      if (isInside(hair, at)) found.push(at);
    }
  }
  return found;
}

/** The half of the sheet nearer to `own` than to `other`, as far as matters. */
function nearerHalf(own: Vec, other: Vec, reachCm: number): Ring {
  const [dx, dy] = [other[0] - own[0], other[1] - own[1]];
  const apart = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / apart, dy / apart];
  const middle: Vec = [own[0] + dx / 2, own[1] + dy / 2];
  const at = (along: number, across: number): Vec => [
    middle[0] + along * ux - across * uy,
    middle[1] + along * uy + across * ux,
  ];
  return [at(0, -reachCm), at(0, reachCm), at(-2 * reachCm, reachCm), at(-2 * reachCm, -reachCm)];
}

/** Angles, degrees, at which a fan is cut: evenly by how far the hair turns between them. */
function cutsRound(field: GrowthField, middle: Vec, radiusCm: number): readonly number[] {
  const r = MEASURED_AT * radiusCm;
  const at = (k: number): number => {
    const a = (2 * Math.PI * k) / STEPS;
    return headingDeg(growthAt(field, [middle[0] + r * Math.cos(a), middle[1] + r * Math.sin(a)]));
  };
  const sums = [0];
  for (let k = 1; k <= STEPS; k++) sums.push((sums[k - 1] ?? 0) + Math.abs(turnDeg(at(k - 1), at(k % STEPS))));
  const all = sums[STEPS] ?? 0;
  const count = Math.max(LEAST_PIECES, Math.ceil(all / FAN_TURN_DEG));
  return Array.from({ length: count }, (_, c) => {
    const k = sums.findIndex((sum) => sum >= (all * c) / count);
    return (360 * Math.max(0, k)) / STEPS;
  });
}

/** A wedge from one angle to the next, degrees, further than the fan reaches. */
function wedge(middle: Vec, fromDeg: number, toDeg: number, reachCm: number): Ring {
  const span = toDeg > fromDeg ? toDeg - fromDeg : toDeg + 360 - fromDeg;
  const steps = Math.max(2, Math.ceil(span / 30));
  const rim = Array.from({ length: steps + 1 }, (_, k): Vec => {
    const a = ((fromDeg + (span * k) / steps) * Math.PI) / 180;
    return [middle[0] + reachCm * Math.cos(a), middle[1] + reachCm * Math.sin(a)];
  });
  return [middle, ...rim];
}

/** Fans of the whorls in the hair, and what is left of it; null where nothing turns so. */
export function fansOf(
  field: GrowthField,
  hair: Region,
  input: LayoutInput,
): { readonly pieces: readonly Piece[]; readonly rest: Region } | null {
  const middles = whorlMiddles(field, hair);
  if (middles.length === 0) return null;
  const radiusCm = REACH * input.largestCm[0];
  let rest = hair;
  const pieces: Piece[] = [];
  middles.forEach((middle, own) => {
    const ground = middles.reduce<Region>(
      (g, other, k) =>
        k === own || Math.hypot(other[0] - middle[0], other[1] - middle[1]) > 2 * radiusCm
          ? g
          : intersectRegions(g, [nearerHalf(middle, other, 4 * radiusCm)]),
      intersectRegions(hair, [discRing(middle, radiusCm)]),
    );
    const cuts = cutsRound(field, middle, radiusCm);
    cuts.forEach((from, k) => {
      const to = cuts[(k + 1) % cuts.length] ?? from;
      const part = intersectRegions(ground, [wedge(middle, from, to, 3 * radiusCm)]);
      for (const one of connectedPieces(part)) {
        for (const ring of withoutHoles(one, [0, 1])) {
          if (regionArea([ring]) < CRUMB_CM2) continue;
          pieces.push({ ...makePiece(ring, field, input, [0, 1]), byEye: true });
          rest = subtractRegions(rest, [ring]);
        }
      }
    });
  });
  return { pieces, rest };
}
