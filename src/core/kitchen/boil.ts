// Boiling it down: the heat that the stove brings into the pot first warms it, then boils water off; the temperature
// follows the sugar. A balance of energy and mass, in steps of some seconds.

import { boilsWithC, startG, waterAtStartG, waterLeftG, type Recipe } from './recipe';

/** Heat that arrives in the pot and does not leave it again, W (a usual flame; from memory, learned from batches). */
export const USUAL_STOVE_W = 700;
/** Heat of vaporisation near its boil, J/g (steam tables). */
const LATENT_J_G = 2230;
/** Heat capacity of water and of dissolved sugar, J/g·K (from memory). */
const WATER_J_GK = 4.19;
const SUGAR_J_GK = 1.5;
const STEP_S = 5;
const LONGEST_S = 3 * 3600;

export interface BoilInput {
  readonly recipe: Recipe;
  readonly endC: number;
  /** Where water boils here, °C. */
  readonly waterC: number;
  readonly roomC: number;
  readonly stoveW: number;
}

export interface BoilPoint {
  readonly atS: number;
  readonly tempC: number;
  readonly waterG: number;
}

export interface BoilPlan {
  /** About every half minute, and the end. */
  readonly curve: readonly BoilPoint[];
  /** When it begins to boil, and when it is taken off, s; null = it never gets there. */
  readonly boilsAtS: number | null;
  readonly endsAtS: number | null;
}

const heatJK = (recipe: Recipe, waterG: number): number =>
  waterG * WATER_J_GK + (startG(recipe) - waterAtStartG(recipe)) * SUGAR_J_GK;

/** From the stove on until it is taken off. */
export function boilPlan({ recipe, endC, waterC, roomC, stoveW }: BoilInput): BoilPlan {
  const start = { tempC: roomC, waterG: waterAtStartG(recipe) };
  const { points, boilsAtS, endsAtS } = marched(recipe, start, { endC, waterC, stoveW });
  return { curve: points, boilsAtS, endsAtS };
}

interface March {
  readonly endC: number;
  readonly waterC: number;
  readonly stoveW: number;
}

function marched(recipe: Recipe, from: { readonly tempC: number; readonly waterG: number }, to: March) {
  const { endC, waterC, stoveW } = to;
  let { tempC, waterG } = from;
  const points: BoilPoint[] = [{ atS: 0, ...from }];
  let boilsAtS: number | null = null;
  for (let atS = STEP_S; atS <= LONGEST_S; atS += STEP_S) {
    let joules = stoveW * STEP_S;
    const boils = boilsWithC(recipe, waterG, waterC);
    const toBoilJ = Math.max(0, boils - tempC) * heatJK(recipe, waterG);
    const warmingJ = Math.min(joules, toBoilJ);
    tempC += warmingJ / heatJK(recipe, waterG);
    joules -= warmingJ;
    if (joules > 0) {
      boilsAtS ??= atS;
      // what is boiled off takes its latent heat, and what is left warms with its own boil: found by halving
      waterG = boiledOff(recipe, waterG, joules, waterC);
      tempC = boilsWithC(recipe, waterG, waterC);
    }
    const isEnd = tempC >= endC;
    if (atS % 30 === 0 || isEnd) points.push({ atS, tempC, waterG });
    if (isEnd) return { points, boilsAtS, endsAtS: atS };
  }
  return { points, boilsAtS, endsAtS: null };
}

/** Water left after some heat has gone into boiling syrup, g. */
function boiledOff(recipe: Recipe, waterG: number, joules: number, waterC: number): number {
  const fromC = boilsWithC(recipe, waterG, waterC);
  let [low, high] = [Math.max(1, waterG - joules / LATENT_J_G), waterG];
  for (let k = 0; k < 30; k++) {
    const mid = (low + high) / 2;
    const warmJ = (boilsWithC(recipe, mid, waterC) - fromC) * heatJK(recipe, mid);
    if ((waterG - mid) * LATENT_J_G + warmJ < joules) high = mid;
    else low = mid;
  }
  return high;
}

/** How long until it is done from a heat that was read, s; 0 where it is there, null where it does not get there. */
export function secondsLeft(input: BoilInput, readC: number): number | null {
  const { recipe, endC, waterC, stoveW } = input;
  if (readC >= endC) return 0;
  const boilingC = boilsWithC(recipe, waterAtStartG(recipe), waterC);
  const waterG = readC < boilingC ? waterAtStartG(recipe) : waterLeftG(recipe, readC, waterC);
  return marched(recipe, { tempC: readC, waterG }, { endC, waterC, stoveW }).endsAtS;
}

export interface HeatRead {
  readonly atS: number;
  readonly tempC: number;
}

/** A clock that ran on, or a heat noted late, is no stove, W. */
const BELIEVED_W = [150, 3000] as const;

/** Heat that the stove has brought into the pot by what was read in it, W; null where too little was read. */
export function stoveFrom(
  { recipe, waterC, roomC }: Pick<BoilInput, 'recipe' | 'waterC' | 'roomC'>,
  reads: readonly HeatRead[],
): number | null {
  const last = reads.findLast((r) => r.atS >= 180 && r.tempC > roomC + 20);
  if (!last) return null;
  const all = waterAtStartG(recipe);
  const boils = boilsWithC(recipe, all, waterC);
  const left = last.tempC > boils ? waterLeftG(recipe, last.tempC, waterC) : all;
  const joules = (last.tempC - roomC) * heatJK(recipe, (all + left) / 2) + (all - left) * LATENT_J_G;
  const watts = joules / last.atS;
  return watts >= BELIEVED_W[0] && watts <= BELIEVED_W[1] ? watts : null;
}

const PRIOR_BATCHES = 1;

/** What this stove brings, by the batches that were cooked on it, latest first; their weight falls with their age. */
export function learnedStoveW(batches: readonly number[]): number {
  const weighed = batches.slice(0, 8).map((watts, i) => ({ watts, weight: 0.75 ** i }));
  const sum = weighed.reduce((s, b) => s + b.weight * b.watts, PRIOR_BATCHES * USUAL_STOVE_W);
  return sum / weighed.reduce((s, b) => s + b.weight, PRIOR_BATCHES);
}
