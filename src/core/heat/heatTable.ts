// The heat of one product on one skin, solved beforehand over touch temperature × thickness, so that a slider reads it
// within a frame. Thickness nodes are the slider's own steps: the window there is the exact one. Between touch nodes (1
// K apart) felt peak, times and curves are linear; against the solver that is within 0.1 K and 1 s (heatTable.test.ts).

import { LATEST_PULL_CAP_S, skinInState, solveSkinHeat, type SkinHeat } from './skinHeat';
import { hottestTouch, judgedThickness, windowWithin, type HeatNeed, type WorkingWindow } from './window';
import { viscosityLaw, type Manner } from '../products';

export interface HeatTable {
  readonly need: HeatNeed;
  /** Nodes, rising. Values of a node stand at `touch index × thicknesses + thickness index`. */
  readonly touchC: readonly number[];
  readonly thicknessMm: readonly number[];
  readonly feltPeakC: readonly number[];
  readonly setAfterS: readonly number[];
  readonly latestPullS: readonly number[];
  readonly burnOmega: readonly number[];
  /** Hottest bearable touch for each thickness, °C. */
  readonly feelMaxC: readonly number[];
  /** Times of the curves, s; a node's curve begins at its place × times. */
  readonly timeS: readonly number[];
  readonly nerveC: readonly number[];
  readonly slabC: readonly number[];
}

export interface HeatReading {
  readonly window: WorkingWindow;
  readonly touchC: number;
  readonly feltPeakC: number;
  readonly setAfterS: number;
  readonly latestPullS: number;
  readonly burnOmega: number;
  readonly curve: readonly { readonly timeS: number; readonly nerveC: number; readonly slabC: number }[];
}

const TIMES_S: readonly number[] = [
  0.1, 0.3, 0.6, 1, 1.5, 2, 3, 4, 5, 6, 8, 10, 12, 15, 18, 22, 26, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 120,
];
const TOUCH_STEP_K = 1;
const MOST_TOUCH_NODES = 24;

/** Step of the thickness slider: a twentieth of a millimetre for films, a tenth for slabs. */
export const thicknessStep = (manner: Manner): number => (manner.thicknessMm.max <= 1 ? 0.05 : 0.1);

/** The thicknesses that the label allows, in slider steps, mm. */
export function thicknessNodes(manner: Manner): readonly number[] {
  const { min, max } = manner.thicknessMm;
  const step = thicknessStep(manner);
  const n = Math.round((max - min) / step);
  return Array.from({ length: n + 1 }, (_, i) => Math.round((i === n ? max : min + i * step) * 1000) / 1000);
}

/** Touch temperatures worth looking at: the label and what flows, two degrees more on either side. */
function touchNodes(need: HeatNeed): readonly number[] {
  const flow = viscosityLaw(need.product.viscosity).windowC(need.manner.flowPaS);
  const { labelC } = need.manner;
  const low = Math.floor(Math.max(Math.min(flow.min, labelC.min), labelC.min - 4)) - 2;
  const high = Math.ceil(Math.min(Math.max(flow.max, labelC.max), labelC.max + 4)) + 2;
  const n = Math.min(MOST_TOUCH_NODES, Math.ceil((high - low) / TOUCH_STEP_K));
  return Array.from({ length: n + 1 }, (_, i) => low + ((high - low) * i) / n);
}

/** A curve read at the table's times; linear between the solver's steps. */
function sampled(curve: SkinHeat['curve'], pick: (p: SkinHeat['curve'][number]) => number): readonly number[] {
  let k = 1;
  return TIMES_S.map((t) => {
    while (k < curve.length - 1 && (curve[k]?.timeS ?? 0) < t) k++;
    const [a, b] = [curve[k - 1], curve[k]];
    if (!a || !b) return NaN;
    return pick(a) + ((pick(b) - pick(a)) * (t - a.timeS)) / (b.timeS - a.timeS);
  });
}

/** Solves the table: some hundreds of solves, some tenths of a second; meant for a worker. */
export function heatTable(need: HeatNeed): HeatTable {
  const skin = skinInState(need.skin, need.state ?? 'fresh');
  const touchC = touchNodes(need);
  const thicknessMm = thicknessNodes(need.manner);
  const solved = touchC.flatMap((touch) =>
    thicknessMm.map((mm) =>
      solveSkinHeat({
        product: need.product,
        touchC: touch,
        thicknessMm: mm,
        skin,
        roomC: need.roomC,
        endS: LATEST_PULL_CAP_S,
        withCurve: true,
      }),
    ),
  );
  return {
    need,
    touchC,
    thicknessMm,
    timeS: TIMES_S,
    feltPeakC: solved.map((h) => h.feltPeakC),
    setAfterS: solved.map((h) => (need.product.setting ? (h.setAfterS ?? LATEST_PULL_CAP_S) : need.manner.waitS.min)),
    latestPullS: solved.map((h) => (need.product.setting ? h.latestPullS : need.manner.waitS.max)),
    burnOmega: solved.map((h) => h.burnOmega),
    feelMaxC: thicknessMm.map((mm) => hottestTouch(need, judgedThickness(mm))),
    nerveC: solved.flatMap((h) => sampled(h.curve, (p) => p.nerveC)),
    slabC: solved.flatMap((h) => sampled(h.curve, (p) => p.slabC)),
  };
}

/** Node below a value and the share of the way to the next; the ends stand for what lies beyond them. */
function placeOf(nodes: readonly number[], value: number): { readonly i: number; readonly share: number } {
  let i = 0;
  while (i < nodes.length - 2 && (nodes[i + 1] ?? Infinity) <= value) i++;
  const [a, b] = [nodes[i] ?? value, nodes[i + 1] ?? value];
  return { i, share: b > a ? Math.min(1, Math.max(0, (value - a) / (b - a))) : 0 };
}

/**
 * Reads the table; a touch or thickness beyond its ends is read at the end. Without a touch: at the window's target.
 */
export function readHeat(table: HeatTable, thicknessMm: number, touchC?: number): HeatReading {
  const across = table.thicknessMm.length;
  const t = placeOf(table.thicknessMm, thicknessMm);
  const next = Math.min(across - 1, t.i + 1);
  const feelMaxC = (table.feelMaxC[t.i] ?? NaN) * (1 - t.share) + (table.feelMaxC[next] ?? NaN) * t.share;
  const window = windowWithin({ ...table.need, touchC }, thicknessMm, feelMaxC);
  const touch = touchC ?? window.targetC;
  const c = placeOf(table.touchC, touch);
  const below = Math.min(table.touchC.length - 1, c.i + 1);
  const corners: readonly (readonly [number, number])[] = [
    [c.i * across + t.i, (1 - c.share) * (1 - t.share)],
    [c.i * across + next, (1 - c.share) * t.share],
    [below * across + t.i, c.share * (1 - t.share)],
    [below * across + next, c.share * t.share],
  ];
  const mix = (values: readonly number[], stride = 1, offset = 0): number =>
    corners.reduce((s, [node, weight]) => s + (weight === 0 ? 0 : weight * (values[node * stride + offset] ?? NaN)), 0);
  const n = table.timeS.length;
  return {
    window,
    touchC: touch,
    feltPeakC: mix(table.feltPeakC),
    setAfterS: mix(table.setAfterS),
    latestPullS: mix(table.latestPullS),
    burnOmega: mix(table.burnOmega),
    curve: table.timeS.map((timeS, k) => ({ timeS, nerveC: mix(table.nerveC, n, k), slabC: mix(table.slabC, n, k) })),
  };
}
