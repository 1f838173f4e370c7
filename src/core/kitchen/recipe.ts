// A paste of sugar, water and a little acid, by weight: what goes in, what boils off, what comes out. Mass is kept:
// what is not in the jar is steam. A recipe of our own; figures from memory unless said otherwise.

import { sugarShareAt, syrupBoilsC } from './boiling';

export interface Recipe {
  readonly sugarG: number;
  readonly waterG: number;
  readonly lemonG: number;
}

/** Solids of lemon juice by weight: acid and its own sugars (from memory). */
export const LEMON_SOLIDS = 0.09;
/** Water and juice to a kilogram of sugar: enough to dissolve it all, acid enough that it does not crystallise. */
const PER_KG = { waterG: 330, lemonG: 80 } as const;

export const recipeFor = (sugarG: number): Recipe => ({
  sugarG,
  waterG: Math.round((sugarG * PER_KG.waterG) / 1000),
  lemonG: Math.round((sugarG * PER_KG.lemonG) / 1000),
});

export const solidsG = ({ sugarG, lemonG }: Recipe): number => sugarG + LEMON_SOLIDS * lemonG;
export const waterAtStartG = ({ waterG, lemonG }: Recipe): number => waterG + (1 - LEMON_SOLIDS) * lemonG;
export const startG = (recipe: Recipe): number => recipe.sugarG + recipe.waterG + recipe.lemonG;

/** Water that is left in it when it boils at a temperature, g; never more than was put in. */
export function waterLeftG(recipe: Recipe, boilsC: number, waterC = 100): number {
  const share = sugarShareAt(boilsC, waterC);
  const solids = solidsG(recipe);
  return Math.min(waterAtStartG(recipe), share <= 0 ? Infinity : (solids * (1 - share)) / share);
}

/** Where it boils with so much water in it, °C. */
export const boilsWithC = (recipe: Recipe, waterG: number, waterC = 100): number =>
  syrupBoilsC(solidsG(recipe) / (solidsG(recipe) + waterG), waterC);

/** What comes out when it is taken off at a temperature, g; what sticks to pot and dish is not counted. */
export const yieldG = (recipe: Recipe, endC: number, waterC = 100): number =>
  solidsG(recipe) + waterLeftG(recipe, endC, waterC);

/** Sticks to pot, spoon and dish, share of the whole. */
export const LOST_SHARE = 0.03;

/** Sugar for so much paste in the jar, g, up to the next ten. */
export function sugarForJarG(jarG: number, endC: number, waterC = 100): number {
  const one = recipeFor(1000);
  const perKg = yieldG(one, endC, waterC) * (1 - LOST_SHARE);
  return Math.ceil((jarG / perKg) * 100) * 10;
}

export type Firmness = 'soft' | 'firm' | 'hard';
/** Taken off at, at the sea, °C: soft at the upper soft ball, firm in the firm ball, hard at the lower hard ball. */
const END_C: Readonly<Record<Firmness, number>> = { soft: 117, firm: 119, hard: 122 };
export const endC = (firmness: Firmness, waterC = 100): number => END_C[firmness] + (waterC - 100);

export type Hands = 'cool' | 'usual' | 'warm';
/** A room that is so warm makes paste run, so cold it stiff, °C. */
const WARM_ROOM_C = 25;
const COOL_ROOM_C = 19;

/** The warmer the room and the hands, the firmer the paste that is needed. */
export function firmnessFor(roomC: number, hands: Hands): Firmness {
  const room = Number(roomC >= WARM_ROOM_C) - Number(roomC <= COOL_ROOM_C);
  const sum = room + Number(hands === 'warm') - Number(hands === 'cool');
  if (sum > 0) return 'hard';
  return sum < 0 ? 'soft' : 'firm';
}

/** Density of boiling syrup, g/cm³, and how many times as high its foam stands. */
const SYRUP_G_CM3 = 1.35;
const FOAM_TIMES = 3;

export interface Kettle {
  readonly widthCm: number;
  readonly heightCm: number;
}

export interface Headroom {
  readonly fillCm: number;
  /** How high foam may come. */
  readonly foamCm: number;
  readonly freeCm: number;
  /** The foam stays below the rim. */
  readonly isEnough: boolean;
  /** The most sugar that this pot bears, g. */
  readonly mostSugarG: number;
}

/** How high it stands in a pot, and whether the foam has room. */
export function headroom(recipe: Recipe, { widthCm, heightCm }: Kettle): Headroom {
  const floorCm2 = (Math.PI * widthCm ** 2) / 4;
  const fillCm = startG(recipe) / SYRUP_G_CM3 / floorCm2;
  const foamCm = fillCm * FOAM_TIMES;
  const perSugar = startG(recipeFor(1000)) / 1000;
  return {
    fillCm,
    foamCm,
    freeCm: heightCm - fillCm,
    isEnough: foamCm <= heightCm,
    mostSugarG: Math.floor((heightCm * floorCm2 * SYRUP_G_CM3) / FOAM_TIMES / perSugar / 10) * 10,
  };
}
