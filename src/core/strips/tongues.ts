// No hand lays a tongue of a few millimetres: what is narrower goes to the strip beside it, so that outlines are simple
// rings without spikes.

import {
  boxOf,
  connectedPieces,
  distanceToSegment,
  offsetRing,
  regionArea,
  signedArea,
  subtractRegions,
  uniteRings,
  type Region,
  type Ring,
} from '../shared';
import type { GrowthField } from '../field';
import { simpleRings } from './simpleRings';
import { CRUMB_CM2, makePiece, sharedBorder } from './lanes';
import type { LayoutInput, Piece } from './types';

/** Narrower than this it is no ground for a strip, and longer than that it is a tongue, cm. */
const NARROW_CM = 0.12;
const REACH_CM = 0.4;

function furthest(from: Ring, region: Region): number {
  return Math.max(
    ...from.map((p) =>
      Math.min(
        ...region.flatMap((ring) => ring.map((a, i) => distanceToSegment(p, a, ring[(i + 1) % ring.length] ?? a))),
      ),
    ),
  );
}

/** Crumbs of rounded corners are too small to reach anywhere, and there are many of them. */
function isLong(ring: Ring): boolean {
  const { x0, x1, y0, y1 } = boxOf([ring]);
  return Math.hypot(x1 - x0, y1 - y0) > REACH_CM;
}

interface Trimmed {
  readonly body: readonly Ring[];
  readonly tongues: readonly Ring[];
}

/** A tongue ends in a sharp corner or on a short edge: where there is neither, none is looked for. */
const SHARP_COS = Math.cos((35 * Math.PI) / 180);

function mayBeNarrow(ring: Ring): boolean {
  return ring.some((at, i) => {
    const [before, after] = [ring.at(i - 1) ?? at, ring[(i + 1) % ring.length] ?? at];
    const [ax, ay, bx, by] = [before[0] - at[0], before[1] - at[1], after[0] - at[0], after[1] - at[1]];
    const [a, b] = [Math.hypot(ax, ay), Math.hypot(bx, by)];
    return b < 1.2 * NARROW_CM || ax * bx + ay * by > SHARP_COS * a * b;
  });
}

/** A ring without its tongues, and they. Null where it has none, or is nothing else. */
function trim(outline: Ring): Trimmed | null {
  if (!mayBeNarrow(outline)) return null;
  const inner = offsetRing(outline, -NARROW_CM / 2);
  if (inner.length === 0) return null;
  const opened = inner.flatMap((ring) => offsetRing(ring, NARROW_CM / 2 + 0.002));
  const tongues = subtractRegions([outline], opened).filter(
    (ring) => isLong(ring) && signedArea(ring) > 0 && furthest(ring, opened) > REACH_CM,
  );
  if (tongues.length === 0) return null;
  const body = connectedPieces(subtractRegions([outline], tongues)).flatMap(([outer]) =>
    outer ? simpleRings(outer) : [],
  );
  return { body, tongues };
}

/** Together, if that is one ring without a tongue of its own. */
function together(a: Ring, b: Ring): Ring | null {
  const [ring, more] = uniteRings([a, b]).flatMap(simpleRings);
  return ring && !more && !trim(ring) ? ring : null;
}

const anew = (piece: Piece, ring: Ring, field: GrowthField, input: LayoutInput): Piece => ({
  ...makePiece(ring, field, input, piece.growth),
  ...(piece.byEye ? { byEye: true } : {}),
  ...(piece.alongRim ? { alongRim: true } : {}),
});

/** A tongue is given to the strip beside it that takes it without getting one itself. */
function given(
  tongue: Ring,
  pieces: readonly Piece[],
  field: GrowthField,
  input: LayoutInput,
): readonly Piece[] | null {
  const beside = pieces
    .map((p, index) => ({ index, p, border: sharedBorder(tongue, p.outline) }))
    .filter(({ border }) => border > 0.05)
    .sort((a, b) => b.border - a.border);
  for (const { index, p } of beside) {
    const ring = together(p.outline, tongue);
    if (ring) return pieces.map((other, i) => (i === index ? anew(p, ring, field, input) : other));
  }
  return null;
}

/** Tongues go from strip to strip in so many rounds at most. */
const MOST_ROUNDS = 3;

/**
 * The pieces without tongues. What none beside can take without a tongue of its own is left to the tweezers where it
 * is a crumb, else it stays.
 */
export function withoutTongues(pieces: readonly Piece[], field: GrowthField, input: LayoutInput): readonly Piece[] {
  let list = pieces;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const before = list;
    for (const piece of before) {
      const trimmed = list.includes(piece) ? trim(piece.outline) : null;
      if (trimmed) list = withoutItsTongues(piece, trimmed, list, field, input);
    }
    if (list === before) break;
  }
  return list;
}

function withoutItsTongues(
  piece: Piece,
  { body, tongues }: Trimmed,
  list: readonly Piece[],
  field: GrowthField,
  input: LayoutInput,
): readonly Piece[] {
  const kept = body.filter((ring) => regionArea([ring]) >= CRUMB_CM2);
  if (kept.length === 0) return list;
  let others: readonly Piece[] = list.filter((p) => p !== piece);
  for (const tongue of tongues) {
    const after = given(tongue, others, field, input);
    if (!after && regionArea([tongue]) >= CRUMB_CM2) return list;
    others = after ?? others;
  }
  return [...others, ...kept.map((ring) => anew(piece, ring, field, input))];
}
