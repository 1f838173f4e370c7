// What the skin feels under a slab of wax: wax | epidermis | dermis | fat, air above, the core at 37 °C below.
// Skin values from memory: epidermis k 0.235, ρc 4.28e6; dermis k 0.445, ρc 3.96e6; fat k 0.185, ρc 2.5e6;
// perfusion of dermis and fat, depths of the layers and the air coefficient are ours, fitted to the reference behaviour
// of the trade (2 mm film wax at 56–60 °C sets in about half a minute and peaks at 43–44 °C on a trunk).

import { normalCdfFast } from '../shared';
import type { SkinOfZone } from '../anatomy';
import type { Product } from '../products';
import { burnRate } from './burn';
import { buildGrid, conduct, gradedSteps, tempAtDepth, type Layer } from './conduction';

export const CORE_C = 37;
const AIR_WM2K = 10;
const DERMIS_M = 1.75e-3;
const FAT_M = 10e-3;
const PERFUSION_DERMIS = 4000;
const PERFUSION_FAT = 1000;
/** Depth of the heat-sensing nerve ends below the surface, m. */
export const NERVE_DEPTH_M = 0.15e-3;
/** Longest wait before a pull, s. */
export const LATEST_PULL_CAP_S = 180;
const SET_SHARE = 0.85;
const PAST_CAP_S = [1.5, 1.5];
/** First step, growth and longest step, s: what is left of the error after extrapolation is under 0.2 s. */
const STEPS_S = [0.004, 1.18, 2.2] as const;

export type SkinState = 'fresh' | 'after-pass';

/** After a pass the surface is warmer and the outer layer thinner (from memory). */
export function skinInState(skin: SkinOfZone, state: SkinState): SkinOfZone {
  return state === 'fresh' ? skin : { ...skin, restingC: skin.restingC + 2, epidermisUm: skin.epidermisUm - 10 };
}

export interface SkinHeatInput {
  readonly product: Product;
  /** Temperature at touch, °C. */
  readonly touchC: number;
  readonly thicknessMm: number;
  readonly skin: SkinOfZone;
  readonly roomC: number;
  /** How long the slab lies, s; default 60. */
  readonly endS?: number;
  /** Keep the felt curve for drawing. */
  readonly withCurve?: boolean;
  /** Refines every step by this factor; for convergence checks. */
  readonly refine?: number;
  /**
   * Stops as soon as felt peak and "burn integral within this limit or not" cannot change any more; set and pull times
   * are not to be used then.
   */
  readonly decideBurn?: number;
}

export interface SkinHeat {
  /** Highest temperature at nerve depth, °C. */
  readonly feltPeakC: number;
  readonly burnOmega: number;
  /** Set from, s after the lay; null where it does not set within the time. */
  readonly setAfterS: number | null;
  /** Mean of the slab near brittle, s; capped at 180. */
  readonly latestPullS: number;
  readonly curve: readonly {
    readonly timeS: number;
    readonly nerveC: number;
    readonly basalC: number;
    readonly slabC: number;
  }[];
}

function waxLayer(product: Product, thicknessMm: number): Layer {
  const s = product.setting;
  const base = {
    thicknessM: thicknessMm / 1000,
    conductivityWmK: product.conductivityWmK,
    capacityJm3K: product.densityKgM3 * product.heatCapacityJkgK,
    cells: WAX_CELLS,
    stretch: 0.35,
  };
  return s
    ? { ...base, setting: { latentJm3: s.latentJkg * product.densityKgM3, midC: s.midC, widthK: s.widthK } }
    : base;
}

/** Skin below the surface, layer by layer. */
export function skinLayers(skin: SkinOfZone): readonly Layer[] {
  return [
    { thicknessM: skin.epidermisUm * 1e-6, conductivityWmK: 0.235, capacityJm3K: 4.28e6, cells: 5 },
    {
      thicknessM: DERMIS_M,
      conductivityWmK: 0.445,
      capacityJm3K: 3.96e6,
      perfusionWm3K: PERFUSION_DERMIS,
      cells: 14,
      stretch: 6,
    },
    {
      thicknessM: FAT_M,
      conductivityWmK: 0.185,
      capacityJm3K: 2.5e6,
      perfusionWm3K: PERFUSION_FAT,
      cells: 12,
      stretch: 5,
    },
  ];
}

/** Bare skin at rest: surface held at its resting temperature, long enough for the profile to settle. */
export function restingProfile(layers: readonly Layer[], surfaceC: number): Float64Array {
  const grid = buildGrid(layers);
  const startC = new Float64Array(grid.centreM.length).fill(surfaceC);
  conduct(
    {
      layers,
      grid,
      startC,
      top: { kind: 'held', tempC: surfaceC },
      bottomC: CORE_C,
      bloodC: CORE_C,
      stepsS: [1e7, 1e7],
    },
    (_, t) => {
      startC.set(t);
    },
  );
  return startC;
}

/**
 * What lies on the skin when the clock starts: the layers of wax, top first, in mm, and the temperature of every cell
 * of wax and skin, °C.
 */
export interface WaxLaid {
  readonly layersMm: readonly number[];
  readonly startC: Float64Array;
}

const WAX_CELLS = 14;

/** One slab, fresh from the stick, on skin at rest. */
function oneSlab({ thicknessMm, touchC, skin }: SkinHeatInput): WaxLaid {
  const skinC = restingProfile(skinLayers(skin), skin.restingC);
  const startC = new Float64Array(WAX_CELLS + skinC.length).fill(touchC);
  startC.set(skinC, WAX_CELLS);
  return { layersMm: [thicknessMm], startC };
}

/** A fresh coat over what has lain for `restS`: the half of the slab that the first coat is, cooled on the skin. */
export function overFirstCoat(input: SkinHeatInput, restS: number): WaxLaid {
  const coatMm = input.thicknessMm / 2;
  const first = oneSlab({ ...input, thicknessMm: coatMm });
  const cooled = Float64Array.from(first.startC);
  if (restS > 0) {
    march({ ...input, thicknessMm: coatMm, endS: restS }, gradedSteps(restS, ...STEPS_S), first, (tempC) => {
      cooled.set(tempC);
    });
  }
  const startC = new Float64Array(WAX_CELLS + cooled.length).fill(input.touchC);
  startC.set(cooled, WAX_CELLS);
  return { layersMm: [coatMm, coatMm], startC };
}

/**
 * Solves the slab on the skin. Times in seconds from the end of the lay, when the slab is at `touchC` throughout; or
 * from the end of the last lay where `laid` says what lay there before.
 *
 * Backward Euler sees a slab set late, by an error that grows with the step: set and latest pull are therefore
 * extrapolated from a second march in half steps (Richardson), which leaves them at most 0.3 s early and never late.
 */
export function solveSkinHeat(input: SkinHeatInput, laid: WaxLaid = oneSlab(input)): SkinHeat {
  const refine = input.refine ?? 1;
  const endS = input.endS ?? 60;
  // a little past the cap, so that what is brittle just before it is seen late and still extrapolated
  const graded =
    endS < LATEST_PULL_CAP_S ? gradedSteps(endS, ...STEPS_S) : [...gradedSteps(endS, ...STEPS_S), ...PAST_CAP_S];
  const split = (times: number): readonly number[] =>
    graded.flatMap((dt) => Array.from({ length: times }, () => dt / times));
  const { curve, feltPeakC, burnOmega, ...whole } = march(input, split(refine), laid);
  const solved = { curve, feltPeakC, burnOmega };
  if (!input.product.setting) return { ...solved, setAfterS: null, latestPullS: 0 };
  if (input.decideBurn !== undefined) return { ...solved, ...whole, latestPullS: LATEST_PULL_CAP_S };
  const half = march({ ...input, withCurve: false, onlyTimes: true }, split(2 * refine), laid);
  const extrapolated = (late: number | null, lessLate: number | null): number | null =>
    late === null || lessLate === null ? lessLate : 2 * lessLate - late;
  const brittleS = extrapolated(whole.latestPullS, half.latestPullS);
  return {
    ...solved,
    setAfterS: extrapolated(whole.setAfterS, half.setAfterS),
    latestPullS: Math.min(LATEST_PULL_CAP_S, brittleS ?? LATEST_PULL_CAP_S),
  };
}

/** One march through the given steps; `onlyTimes` looks at the slab alone and ends once it is brittle. */
function march(
  input: SkinHeatInput & { readonly onlyTimes?: boolean },
  stepsS: readonly number[],
  laid: WaxLaid,
  onEach?: (tempC: Float64Array) => void,
): Omit<SkinHeat, 'latestPullS'> & { readonly latestPullS: number | null } {
  const { product, touchC, thicknessMm, skin, roomC } = input;
  const endS = input.endS ?? 60;
  const layers = [...laid.layersMm.map((mm) => waxLayer(product, mm)), ...skinLayers(skin)];
  const grid = buildGrid(layers);
  const waxCells = WAX_CELLS * laid.layersMm.length;
  const surfaceM = thicknessMm / 1000;
  const basalM = surfaceM + skin.epidermisUm * 1e-6;
  const setting = product.setting;

  let feltPeakC = -Infinity;
  let burnOmega = 0;
  let setAfterS: number | null = null;
  let latestPullS: number | null = null;
  let brittle = false;
  let last = { timeS: 0, set: 0, slabC: touchC, rate: burnRate(skin.restingC) };
  const curve: { timeS: number; nerveC: number; basalC: number; slabC: number }[] = [];
  conduct(
    {
      layers,
      grid,
      startC: laid.startC,
      top: { kind: 'air', airC: roomC, coefficientWm2K: AIR_WM2K },
      bottomC: CORE_C,
      bloodC: CORE_C,
      stepsS,
    },
    (timeS, tempC, dt) => {
      onEach?.(tempC);
      const nerveC = input.onlyTimes ? NaN : tempAtDepth(grid, tempC, surfaceM + NERVE_DEPTH_M);
      const basalC = input.onlyTimes ? NaN : tempAtDepth(grid, tempC, basalM);
      feltPeakC = Math.max(feltPeakC, nerveC);
      const rate = input.onlyTimes ? 0 : burnRate(basalC);
      burnOmega += 0.5 * (rate + last.rate) * dt;
      let set = 0;
      let slabC = 0;
      for (let i = 0; i < waxCells; i++) {
        const share = (grid.sizeM[i] as number) / surfaceM;
        slabC += share * (tempC[i] as number);
        if (setting) set += share * normalCdfFast((setting.midC - (tempC[i] as number)) / setting.widthK);
      }
      const crossing = (from: number, to: number, level: number): number =>
        last.timeS + ((timeS - last.timeS) * (level - from)) / (to - from);
      if (setting && setAfterS === null && set >= SET_SHARE) {
        setAfterS = last.set >= SET_SHARE ? last.timeS : crossing(last.set, set, SET_SHARE);
      }
      if (setting && !brittle && slabC <= setting.brittleC) {
        brittle = true;
        latestPullS = last.slabC <= setting.brittleC ? last.timeS : crossing(last.slabC, slabC, setting.brittleC);
      }
      if (input.withCurve) curve.push({ timeS, nerveC, basalC, slabC });
      const isFalling = nerveC < feltPeakC && rate < last.rate;
      last = { timeS, set, slabC, rate };
      if (input.onlyTimes) return !brittle || setAfterS === null;
      if (input.decideBurn === undefined || !isFalling) return true;
      // once it falls it only falls: what is left adds at most the rate of now for the rest of the time
      const stillOpen = burnOmega <= input.decideBurn && burnOmega + rate * (endS - timeS) > input.decideBurn;
      return stillOpen;
    },
  );
  return { feltPeakC, burnOmega, setAfterS, latestPullS, curve };
}
