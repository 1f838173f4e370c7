// What stays and what goes on one zone's sheet, for drawing: the lines as they stand or are being dragged, the other
// side in the mirror, and by how much the two differ. Pure; sheet centimetres.

import { sheetFor, ZONES, type Sheet, type Side, type ZoneId } from '@/core/anatomy';
import { exclusionOf } from '@/core/field';
import {
  apartMm,
  browPoints,
  keepLinesOf,
  mirrorLine,
  resolveKeep,
  ringOfLine,
  type DrawnKeep,
  type KeepLine,
  type Resolved,
} from '@/core/outcomes';
import type { Region, Ring, Vec } from '@/core/shared';
import { canFade, fadeOf, goingFrom, hairRegion, thinnedOut } from '@/core/strips';
import type { ChartMark } from '@/server/db/schema';
import type { BenchZone } from '@/server/services/bench';

export interface KeepInput {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly sheet: Sheet;
  /** What was agreed for it. */
  readonly outcome: string;
  readonly drawn: DrawnKeep | undefined;
  readonly marks: readonly ChartMark[];
  /** The other side, where it is worked too. */
  readonly other: BenchZone | undefined;
}

export interface KeepShown {
  readonly lines: readonly KeepLine[];
  readonly step: number | undefined;
  readonly by: Resolved['by'];
  readonly byHand: boolean;
  /** The other side has a line of its own for the same agreement. */
  readonly otherDrawn: boolean;
  readonly rings: readonly Ring[];
  /** Where each point stands without being moved: on the brow's own edge, else where the outcome draws it. */
  readonly reference: readonly (readonly Vec[])[];
  /** Hair that goes. */
  readonly going: Region;
  /** True where no hair stays but what marks keep clear. */
  readonly isAll: boolean;
  /** The other side's lines in the mirror, and the most that the two sides lie apart, mm. */
  readonly mirror: readonly Ring[];
  readonly apartMm: number | null;
}

interface OtherSide {
  readonly drawn: DrawnKeep | undefined;
  readonly sheet: Sheet;
}

function otherSide(other: BenchZone | undefined): OtherSide | null {
  if (!other) return null;
  const made = sheetFor(ZONES[other.zone], other.side, {}, other.data.sheetCm ?? other.data.drawnOnCm);
  return made.ok ? { drawn: other.data.keep, sheet: made.value } : null;
}

/** `dragged`: lines under the hand, in place of those that stand. */
export function keepShown(input: KeepInput, dragged: readonly KeepLine[] | null): KeepShown {
  const { zone, side, sheet, outcome, drawn, marks, other } = input;
  const at = { zone, side, outcome };
  const own = { drawn, sheet };
  const there = otherSide(other);
  const found = resolveKeep(at, own, there ?? undefined);
  const lines = dragged ?? found.lines;
  const rings = lines.map((l) => ringOfLine(l, sheet));
  const standing = hairRegion(sheet.outline, marks.map(exclusionOf)).hair;
  const fades = canFade(zone) && outcome === 'fade';
  const mirror =
    there && other
      ? resolveKeep({ ...at, side: other.side }, there, { ...own, drawn: dragged ? { outcome, lines } : drawn })
          .lines.map((l) => mirrorLine(l, there.sheet.widthCm))
          .map((l) => ringOfLine(l, sheet))
      : [];
  const [ring, across] = [rings[0], mirror[0]];
  const isClosed = lines[0]?.stays === 'inside';
  return {
    lines,
    step: found.step,
    by: dragged ? 'own' : found.by,
    otherDrawn: there?.drawn?.outcome === outcome && (there.drawn.lines ?? there.drawn.step) !== undefined,
    byHand: dragged !== null || found.byHand,
    rings,
    reference:
      zone === 'brow' ? [browPoints(side, sheet)] : keepLinesOf(zone, side, outcome, sheet).map((l) => l.points),
    going: thinnedOut(goingFrom(standing, rings), fades ? fadeOf(zone, side, sheet) : undefined),
    isAll: rings.length === 0 && !fades,
    mirror,
    apartMm: isClosed && ring && across ? apartMm(ring, across) : null,
  };
}
