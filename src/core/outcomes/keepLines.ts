// What stays as hair by what was agreed: lines on the sheet that no strip and no tab crosses. Places in shares of the
// left or middle sheet, from memory, to be moved on the client. An outcome without a line of its own takes everything.

import type { Side, ZoneId } from '../anatomy';
import type { Ring, Vec } from '../shared';
import { howMuchFor } from '../agreement';
import { browLine, BROW_STEPS, stepOf } from './browLine';
import { mirrorLine, ringOfLine, type Ground, type KeepLine, type Stays } from './keepLine';

type Lines = (sheet: Ground) => readonly KeepLine[];

const onSheet = (stays: Stays, shares: readonly Vec[]): Lines => {
  return ({ widthCm, heightCm }) => [{ stays, points: shares.map(([u, v]): Vec => [u * widthCm, v * heightCm]) }];
};
/** Upright lines are moved at these heights, level ones at these shares of the width. */
const ALONG = [0.2, 0.5, 0.8] as const;
const upright = (u: number): readonly Vec[] => ALONG.map((v): Vec => [u, v]);
const level = (v: number): readonly Vec[] => ALONG.map((u): Vec => [u, v]);
/** Between two upright lines, shares of the width. */
const column = (from: number, to: number): Lines =>
  onSheet('column', [...upright(from), ...[...upright(to)].reverse()]);
const both =
  (...all: readonly Lines[]): Lines =>
  (sheet) =>
    all.flatMap((lines) => lines(sheet));

/** The strip that stays at the front, cm. */
const FRONT_STRIP_CM = 2.5;
/** What is left standing below the knee, cm. */
const BELOW_KNEE_CM = 2;

const LINES: Readonly<Partial<Record<ZoneId, Readonly<Record<string, Lines>>>>> = {
  'upper-lip': { corners: column(0.3, 0.7) },
  'between-brows': { gap: both(onSheet('left', upright(0.22)), onSheet('right', upright(0.78))) },
  'front-complete': {
    'front-strip': (sheet) => {
      const half = FRONT_STRIP_CM / 2 / sheet.widthCm;
      return column(0.5 - half, 0.5 + half)(sheet);
    },
  },
  chest: { 'middle-only': both(onSheet('left', upright(0.36)), onSheet('right', upright(0.64))) },
  'lower-leg-front': { 'to-knee': (sheet) => onSheet('above', level(BELOW_KNEE_CM / sheet.heightCm))(sheet) },
  // along the cut line, where the sheet begins: to be moved to where it is cut
  nape: {
    line: onSheet('above', [
      [0.15, 0.08],
      [0.35, 0.11],
      [0.5, 0.13],
      [0.65, 0.11],
      [0.85, 0.08],
    ]),
  },
  // the sideburn down to the lobe
  'cheek-sideburn': {
    line: onSheet('above', [
      [0.6, 0.36],
      [0.78, 0.34],
      [0.95, 0.32],
    ]),
  },
  // above the curve of the shoulder
  shoulder: {
    line: onSheet('below', [
      [0.3, 0.6],
      [0.6, 0.66],
      [0.9, 0.7],
    ]),
  },
};

/** Outcomes of a zone that leave hair standing along a line. */
export const outcomesWithLine = (zone: ZoneId): readonly string[] =>
  zone === 'brow' ? [...new Set(BROW_STEPS.map((s) => s.outcome))] : Object.keys(LINES[zone] ?? {});

/** What is agreed where nobody has said anything. */
export const usualOutcome = (zone: ZoneId): string => howMuchFor(zone)[0]?.id ?? 'all';

/**
 * Lines between what stays and what goes, sheet centimetres; none where everything comes off.
 * @param step of the brow, 0 natural to 6; the first of the outcome where it is not given
 */
export function keepLinesOf(
  zone: ZoneId,
  side: Side,
  outcome: string | undefined,
  sheet: Ground,
  step?: number,
): readonly KeepLine[] {
  const agreed = outcome ?? usualOutcome(zone);
  if (zone === 'brow') {
    const asked = BROW_STEPS.find((s) => s.step === step && s.outcome === agreed);
    return [browLine(asked ?? stepOf(agreed), side, sheet)];
  }
  const lines = LINES[zone]?.[agreed]?.(sheet) ?? [];
  return side === 'right' ? lines.map((l) => mirrorLine(l, sheet.widthCm)) : lines;
}

/** Outlines of the hair that stays; empty where everything comes off. */
export const keepOf = (zone: ZoneId, side: Side, outcome: string | undefined, sheet: Ground): readonly Ring[] =>
  keepLinesOf(zone, side, outcome, sheet).map((line) => ringOfLine(line, sheet));
