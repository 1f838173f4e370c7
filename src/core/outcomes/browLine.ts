// The line round the brow, from natural to a new shape in steps of half a millimetre: the brow grown by a millimetre
// stays, then its lower edge comes nearer, then it moves up. The tail and the upper edge stay as they are; more is done
// by moving points. Steps: common practice, no source; where along the edge they act from memory.

import { BROW_EDGE, BROW_POINTS, UPPER_BROW_POINTS } from '../anatomy';
import { roundTo, unit, type Vec } from '../shared';
import type { Ground, KeepLine } from './keepLine';

export interface BrowStep {
  readonly step: number;
  /** What is agreed with it. */
  readonly outcome: 'natural' | 'tidy' | 'reshape';
  /** Where the lower edge comes to lie below (+) or above (−) the brow's own, mm. */
  readonly lowerMm: number;
  readonly says: string;
}

const STEP_MM = 0.5;
/** What stays round a brow that keeps its outline, mm. */
const ROUND_MM = 1;
/** Share of a step beyond the brow's own edge at each point below, tail to inner end, which moves less. */
const ALONG: readonly number[] = [1, 1, 0.6];

const SAYS = [
  'Strays only. The line stays a millimetre outside the brow.',
  'Strays, up to half a millimetre below the brow.',
  'Strays, and a clean lower edge. The brow itself stays whole.',
] as const;

/** The seven steps, natural first. */
export const BROW_STEPS: readonly BrowStep[] = Array.from({ length: 7 }, (_, step): BrowStep => {
  const lowerMm = ROUND_MM - STEP_MM * step;
  const tidyOrMore = lowerMm === 0 ? ('tidy' as const) : ('reshape' as const);
  return {
    step,
    outcome: lowerMm > 0 ? 'natural' : tidyOrMore,
    lowerMm,
    says: SAYS[step] ?? `Strays, then ${-lowerMm} mm off the lower edge. Tail and upper edge as they are.`,
  };
});

/** The first step of what was agreed; natural where nothing fits. */
export const stepOf = (outcome: string | undefined): BrowStep =>
  BROW_STEPS.find((s) => s.outcome === outcome) ?? (BROW_STEPS[0] as BrowStep); // the list is made above

const MM = 0.1;

/** Names of the points, in their order. */
export const BROW_POINT_NAMES = [
  'inner end',
  'upper edge, inner',
  'upper edge',
  'arch',
  'tail',
  'lower edge, outer',
  'lower edge',
  'lower edge, inner',
] as const;

/** The line of a step on a sheet: eight points from the inner end over the arch to the tail and back below. */
export function browLine(step: BrowStep, side: 'left' | 'right' | 'middle', { widthCm, heightCm }: Ground): KeepLine {
  const brow = BROW_POINTS.map(([u, v]): Vec => [u * widthCm, v * heightCm]);
  const points = brow.map((at, k): Vec => {
    const [before, after] = [brow.at(k - 1) ?? at, brow[(k + 1) % brow.length] ?? at];
    // points run round the brow with the sun: outward lies to the left of the way
    const [ox, oy] = unit([after[1] - before[1], before[0] - after[0]]) ?? [0, 0];
    const below = k >= UPPER_BROW_POINTS ? (ALONG[k - UPPER_BROW_POINTS] ?? 0) : null;
    const inward = step.lowerMm < 0 ? step.lowerMm * (below ?? 0) : step.lowerMm;
    const mm = below === null ? ROUND_MM : inward;
    const [x, y] = [at[0] + ox * mm * MM, at[1] + oy * mm * MM];
    return [roundTo(side === 'right' ? widthCm - x : x, 4), roundTo(y, 4)];
  });
  return { stays: 'inside', points };
}

/** The same points on the brow's own edge. */
export const browPoints = (side: 'left' | 'right' | 'middle', { widthCm, heightCm }: Ground): readonly Vec[] =>
  BROW_POINTS.map(([u, v]): Vec => [(side === 'right' ? 1 - u : u) * widthCm, v * heightCm]);

/** The brow's own edge on a sheet. */
export const browEdge = (side: 'left' | 'right' | 'middle', { widthCm, heightCm }: Ground): readonly Vec[] =>
  BROW_EDGE.map(([u, v]): Vec => [(side === 'right' ? 1 - u : u) * widthCm, v * heightCm]);
