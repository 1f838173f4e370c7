// What was drawn for one client: a step, or points moved by hand, for the outcome that was agreed then. A side on which
// nothing was drawn follows the other in the mirror, until it is changed itself.

import type { Side, ZoneId } from '../anatomy';
import { cross, sub, type Ring, type Vec } from '../shared';
import { fitLine, mirrorLine, type Ground, type KeepLine } from './keepLine';
import { keepLinesOf } from './keepLines';

export interface DrawnKeep {
  /** What was agreed when it was drawn; it counts only while that stands. */
  readonly outcome: string;
  /** Of the brow, 0 natural to 6. */
  readonly step?: number | undefined;
  /** Lines with points moved by hand; absent = as the outcome and the step draw them. */
  readonly lines?: readonly KeepLine[] | undefined;
}

export interface DrawnOn {
  readonly drawn: DrawnKeep | undefined;
  readonly sheet: Ground;
}

export interface Resolved {
  readonly lines: readonly KeepLine[];
  readonly step: number | undefined;
  /** By whose drawing: this side's own, the other side's in the mirror, or what was agreed alone. */
  readonly by: 'own' | 'other' | 'agreed';
  /** True where points were moved. */
  readonly byHand: boolean;
}

const counts = (keep: DrawnKeep | undefined, outcome: string): keep is DrawnKeep =>
  keep?.outcome === outcome && (keep.lines !== undefined || keep.step !== undefined);

const sizeOf = ({ widthCm, heightCm }: Ground): readonly [number, number] => [widthCm, heightCm];

/** The lines of one side; `other` is the other side of a paired zone where that is worked too. */
export function resolveKeep(
  at: { readonly zone: ZoneId; readonly side: Side; readonly outcome: string },
  own: DrawnOn,
  other?: DrawnOn,
): Resolved {
  const { zone, side, outcome } = at;
  const byStep = (step: number | undefined): readonly KeepLine[] => keepLinesOf(zone, side, outcome, own.sheet, step);
  if (counts(own.drawn, outcome)) {
    const { lines, step } = own.drawn;
    return { lines: lines ?? byStep(step), step, by: 'own', byHand: lines !== undefined };
  }
  const there = other?.drawn;
  if (other && counts(there, outcome)) {
    const { lines, step } = there;
    return {
      lines:
        lines?.map((l) => fitLine(mirrorLine(l, other.sheet.widthCm), sizeOf(other.sheet), sizeOf(own.sheet))) ??
        byStep(step),
      step,
      by: 'other',
      byHand: lines !== undefined,
    };
  }
  return { lines: byStep(undefined), step: undefined, by: 'agreed', byHand: false };
}

/** True where a closed outline does not cross itself. */
export function isSimpleRing(ring: Ring): boolean {
  const n = ring.length;
  const at = (i: number): Vec => ring[i % n] ?? [0, 0];
  for (let i = 0; i < n; i++) {
    const [a, b] = [at(i), at(i + 1)];
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const [c, d] = [at(j), at(j + 1)];
      const apart = (p: Vec, q: Vec, r: Vec, s: Vec): boolean =>
        cross(sub(q, p), sub(r, p)) * cross(sub(q, p), sub(s, p)) < 0;
      if (apart(a, b, c, d) && apart(c, d, a, b)) return false;
    }
  }
  return true;
}
