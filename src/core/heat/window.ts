// Working window at touch = flows right ∩ feels right ∩ the label's range.
// Feels right: felt peak within 45 °C (heat-pain threshold, Hardy, Wolff & Goodell 1952, value from memory)
// − 0.4 K per step of sensitivity above 1 − the zone's tenderness, and burn integral ≤ 0.01, both on a slab half a
// millimetre thicker than planned, at least 1.5 mm: a puddle of a thin film. The label is never opened by the model.
// Every figure is an estimate until the wrist test.

import { viscosityLaw, type Manner, type MannerName, type Product, type Range } from '../products';
import type { SkinOfZone } from '../anatomy';
import { BURN_LIMIT } from './burn';
import { skinInState, solveSkinHeat, type SkinHeat, type SkinState } from './skinHeat';

const PAIN_C = 45;
const PER_SENSITIVITY_STEP_K = 0.4;
const MARGIN_MM = 0.5;
const PUDDLE_MM = 1.5;
/** Slab of a later pass, mm. */
export const LATER_PASS_MM = 1.5;
/** A window narrower than this counts as empty, K. */
export const NARROWEST_K = 0.5;
const WATCH_S = 90;

export type Bound = 'flow' | 'feel' | 'label';

export interface HeatNeed {
  readonly product: Product;
  readonly manner: Manner;
  readonly mannerName: MannerName;
  readonly skin: SkinOfZone;
  /** 1 calm … 5 very reactive. */
  readonly sensitivity: number;
  readonly roomC: number;
  /** Lowers the limit, K (numbing cream, a client who asked for cooler). */
  readonly lowerLimitK?: number;
  readonly state?: SkinState;
  readonly thicknessMm?: number | undefined;
  /** Asked for by the practitioner, °C at touch: taken as the target as far as the window allows. */
  readonly touchC?: number | undefined;
}

export interface WorkingWindow {
  readonly flowC: Range;
  readonly feelMaxC: number;
  readonly labelC: Range;
  readonly minC: number;
  readonly maxC: number;
  readonly targetC: number;
  /** What bounds it below and above. */
  readonly lowBound: Bound;
  readonly highBound: Bound;
  readonly empty: boolean;
  /** Felt limit used, °C. */
  readonly limitC: number;
  readonly thicknessMm: number;
}

/** Highest comfortable temperature at nerve depth, °C. */
export const feltLimitC = (skin: SkinOfZone, sensitivity: number, lowerLimitK = 0): number =>
  PAIN_C - PER_SENSITIVITY_STEP_K * (sensitivity - 1) - skin.tendernessK - lowerLimitK;

/** Slab as it should be laid here: the tender thickness on tender skin where the label names one. */
export const plannedThickness = (manner: Manner, skin: SkinOfZone, sensitivity: number): number =>
  manner.thicknessMm.tender !== undefined && (skin.tendernessK > 0 || sensitivity >= 4)
    ? manner.thicknessMm.tender
    : manner.thicknessMm.usual;

/**
 * Hottest touch that stays within both limits, °C; between 30 and 110. Secant on the felt peak, then bisection where
 * the burn integral is tighter.
 */
export function hottestTouch(need: HeatNeed, thicknessMm: number): number {
  const skin = skinInState(need.skin, need.state ?? 'fresh');
  const limitC = feltLimitC(need.skin, need.sensitivity, need.lowerLimitK);
  const solve = (touchC: number): SkinHeat =>
    solveSkinHeat({
      product: need.product,
      touchC,
      thicknessMm,
      skin,
      roomC: need.roomC,
      endS: WATCH_S,
      decideBurn: BURN_LIMIT,
    });
  const at = (c: number): { readonly c: number; readonly felt: number; readonly burns: boolean } => {
    const { feltPeakC, burnOmega } = solve(c);
    return { c, felt: feltPeakC, burns: burnOmega > BURN_LIMIT };
  };
  let [low, high] = [at(50), at(62)];
  for (let i = 0; i < 8 && Math.abs(high.felt - limitC) > 0.005 && high.felt !== low.felt; i++) {
    const c = Math.min(110, Math.max(30, high.c + ((limitC - high.felt) * (high.c - low.c)) / (high.felt - low.felt)));
    [low, high] = [high, at(c)];
  }
  let best = high.c;
  if (high.burns) {
    let [a, b] = [30, best];
    for (let i = 0; i < 12; i++) {
      const mid = (a + b) / 2;
      if (solve(mid).burnOmega > BURN_LIMIT) b = mid;
      else a = mid;
    }
    best = a;
  }
  return best;
}

/** Paste worked by hand goes by the room and the skin: 36 + 0.3·(room − 22), +1 K up to sensitivity 3 (from memory). */
const handTarget = (need: HeatNeed): number => 36 + 0.3 * (need.roomC - 22) + (need.sensitivity <= 3 ? 1 : 0);

/** Slab on which a planned thickness is judged: the margin over it, and never less than a puddle, mm. */
export const judgedThickness = (thicknessMm: number): number => Math.max(PUDDLE_MM, thicknessMm + MARGIN_MM);

/** The window for one product, manner, skin and client. `empty` where less than 0.5 K is left. */
export function workingWindow(need: HeatNeed): WorkingWindow {
  const thicknessMm = need.thicknessMm ?? plannedThickness(need.manner, need.skin, need.sensitivity);
  return windowWithin(need, thicknessMm, hottestTouch(need, judgedThickness(thicknessMm)));
}

/** The window where the hottest bearable touch is known already, e.g. from a table. */
export function windowWithin(need: HeatNeed, thicknessMm: number, feelMaxC: number): WorkingWindow {
  const flowC = viscosityLaw(need.product.viscosity).windowC(need.manner.flowPaS);
  const { labelC } = need.manner;
  const minC = Math.max(flowC.min, labelC.min);
  const maxC = Math.min(flowC.max, labelC.max, feelMaxC);
  const highOfProduct = maxC === labelC.max ? 'label' : 'flow';
  const tender = need.skin.tendernessK > 0 || need.sensitivity >= 4;
  const wanted =
    need.touchC ?? (need.mannerName === 'hand' ? handTarget(need) : minC + (tender ? 0.4 : 0.6) * (maxC - minC));
  return {
    flowC,
    feelMaxC,
    labelC,
    minC,
    maxC,
    targetC: Math.min(maxC, Math.max(minC, wanted)),
    lowBound: flowC.min >= labelC.min ? 'flow' : 'label',
    highBound: maxC === feelMaxC ? 'feel' : highOfProduct,
    empty: maxC - minC < NARROWEST_K,
    limitC: feltLimitC(need.skin, need.sensitivity, need.lowerLimitK),
    thicknessMm,
  };
}
