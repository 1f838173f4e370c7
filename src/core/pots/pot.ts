// A pot of wax or paste: a can whose wall is heated, losing heat to the room, conducting inward ring by ring and layer
// by layer, melting with its latent heat and turning over once molten. Energy is what is integrated, so none is lost
// or made. All figures of the pot from memory: what it says is an estimate; the probe, the stirred look and the wrist
// decide.

import { viscosityLaw, type Product } from '../products';
import { canGrid, type CanGrid } from './canGrid';
import { enthalpyJkg, moltenShare, waxTable } from './waxTable';

export interface Pot {
  readonly heaterW: number;
  readonly waxG: number;
  readonly lid: boolean;
}

/** A usual counter pot (from memory). */
export const USUAL_POT: Pot = { heaterW: 100, waxG: 400, lid: true };

/** Heat content of every cell of the can, J/kg from 0 °C, in the grid's order. */
export interface PotState {
  readonly jkg: Float64Array;
  readonly waxG: number;
}

/** Through the housing, W/K, and over the wax, W/m²·K (still air and radiation; from memory). */
const WALL_W_PER_K = 0.25;
const OPEN_W_M2K = 14;
const LID_W_M2K = 6;
/** A real thermostat plays about its setting, K; the wall is held at its mean, and promises allow for it. */
export const PLAY_K = 1;
/** Stiffer than this a stick does not move what is in the can, Pa·s (from memory). */
const STIRRED_PAS = 30;
/** Of the longest step that an explicit march bears. */
const STEP_SHARE = 0.4;

let lastGrid: { readonly volume: number; readonly grid: CanGrid } | null = null;

function gridOf(product: Product, waxG: number): CanGrid {
  const volume = waxG / 1000 / product.densityKgM3;
  if (lastGrid?.volume !== volume) lastGrid = { volume, grid: canGrid(volume) };
  return lastGrid.grid;
}

export interface Temps {
  /** Hottest and coldest wax, °C. */
  readonly rimC: number;
  readonly coreC: number;
  /** Stirred through, °C. */
  readonly mixedC: number;
  /** Share of the whole that is molten, 0–1; paste and soft wax count as molten where they flow: always 1 here. */
  readonly melted: number;
}

function whole(grid: CanGrid, jkg: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < jkg.length; i++) sum += (jkg[i] ?? 0) * (grid.shares[i] ?? 0);
  return sum;
}

export function temps(product: Product, state: PotState): Temps {
  const grid = gridOf(product, state.waxG);
  const table = waxTable(product);
  let [rimC, coreC, melted] = [-Infinity, Infinity, 0];
  for (let i = 0; i < state.jkg.length; i++) {
    const c = table.tempC(state.jkg[i] ?? 0);
    rimC = Math.max(rimC, c);
    coreC = Math.min(coreC, c);
    melted += moltenShare(product, c) * (grid.shares[i] ?? 0);
  }
  return { rimC, coreC, mixedC: table.tempC(whole(grid, state.jkg)), melted };
}

/** Heat in the whole pot from 0 °C, J. */
export const heatJ = (product: Product, state: PotState): number =>
  (whole(gridOf(product, state.waxG), state.jkg) * state.waxG) / 1000;

/** A pot all at one temperature. */
export function evenPot(product: Product, waxG: number, tempC: number): PotState {
  const h = enthalpyJkg(product, tempC);
  return { jkg: new Float64Array(gridOf(product, waxG).shares.length).fill(h), waxG };
}

/** Stirred through: alike everywhere, no energy lost. */
export function stirred(product: Product, state: PotState): PotState {
  const mean = whole(gridOf(product, state.waxG), state.jkg);
  return { ...state, jkg: state.jkg.map(() => mean) };
}

/** From which heat a stick moves it, °C. */
export const movesFromC = (product: Product): number => viscosityLaw(product.viscosity).tempForPaS(STIRRED_PAS);

/** Stirred as far as a stick moves it: what is solid or stiffer than a stick can move stays where it is. */
export function stirredWhereSoft(product: Product, state: PotState): PotState {
  const grid = gridOf(product, state.waxG);
  const table = waxTable(product);
  const softFromC = movesFromC(product);
  const moves = Array.from(state.jkg, (h) => {
    const c = table.tempC(h);
    return c >= softFromC && moltenShare(product, c) >= 0.5;
  });
  const share = moves.reduce((sum, m, i) => sum + (m ? (grid.shares[i] ?? 0) : 0), 0);
  if (share === 0) return state;
  const mean =
    whole(
      grid,
      state.jkg.map((h, i) => (moves[i] ? h : 0)),
    ) / share;
  return { ...state, jkg: state.jkg.map((h, i) => (moves[i] ? mean : h)) };
}

/** Wax added at a temperature and stirred in. */
export function toppedUp(product: Product, state: PotState, addG: number, addC: number): PotState {
  const waxG = state.waxG + addG;
  const joules = heatJ(product, state) + (enthalpyJkg(product, addC) * addG) / 1000;
  const mean = joules / (waxG / 1000);
  return { waxG, jkg: new Float64Array(gridOf(product, waxG).shares.length).fill(mean) };
}

export interface PotStep {
  readonly state: PotState;
  /** Heat given and lost in the step, J. */
  readonly givenJ: number;
  readonly lostJ: number;
  /** Hottest that the wall became, °C. */
  readonly wallC: number;
}

/**
 * Some seconds of a pot at a thermostat setting (null = off). The wall has no heat of its own: the heater gives what
 * holds it at the setting, at most its power; so no part is ever over the setting that was not before.
 */
export function potStep(
  product: Product,
  pot: Pot,
  state: PotState,
  setC: number | null,
  roomC: number,
  stepS: number,
): PotStep {
  const grid = gridOf(product, state.waxG);
  const table = waxTable(product);
  const kg = state.waxG / 1000;
  const jkg = Float64Array.from(state.jkg);
  const [tempC, carries, gain] = [
    new Float64Array(jkg.length),
    new Float64Array(jkg.length),
    new Float64Array(jkg.length),
  ];
  const topW = pot.lid ? LID_W_M2K : OPEN_W_M2K;
  let [givenJ, lostJ, hottest, passed] = [0, 0, -Infinity, 0];
  while (passed < stepS - 1e-9) {
    let most = 0;
    for (let i = 0; i < jkg.length; i++) {
      tempC[i] = table.tempC(jkg[i] ?? 0);
      carries[i] = table.carriesWmK(jkg[i] ?? 0);
      most = Math.max(most, carries[i] ?? 0);
    }
    const quickest = most * grid.quickestM;
    const dt = Math.min(stepS - passed, (STEP_SHARE * kg * product.heatCapacityJkgK) / quickest);
    gain.fill(0);
    const { a, b, wayM } = grid.between;
    for (let l = 0; l < a.length; l++) {
      const [i, j] = [a[l] ?? 0, b[l] ?? 0];
      const across = ((carries[i] ?? 0) + (carries[j] ?? 0)) / 2;
      const w = across * (wayM[l] ?? 0) * ((tempC[j] ?? 0) - (tempC[i] ?? 0));
      gain[i] = (gain[i] ?? 0) + w;
      gain[j] = (gain[j] ?? 0) - w;
    }
    const wall = wallOf(grid, carries, tempC, { setC, roomC, heaterW: pot.heaterW });
    for (let l = 0; l < grid.wall.a.length; l++) {
      const i = grid.wall.a[l] ?? 0;
      gain[i] = (gain[i] ?? 0) + (carries[i] ?? 0) * (grid.wall.wayM[l] ?? 0) * (wall.tempC - (tempC[i] ?? 0));
    }
    let topLoss = 0;
    for (const { cell, areaM2, halfM } of grid.top) {
      const outward = 1 / (1 / topW + halfM / (carries[cell] ?? 1));
      const w = outward * areaM2 * ((tempC[cell] ?? 0) - roomC);
      gain[cell] = (gain[cell] ?? 0) - w;
      topLoss += w;
    }
    for (let i = 0; i < jkg.length; i++) jkg[i] = (jkg[i] ?? 0) + ((gain[i] ?? 0) * dt) / (kg * (grid.shares[i] ?? 1));
    givenJ += wall.heaterW * dt;
    lostJ += (WALL_W_PER_K * (wall.tempC - roomC) + topLoss) * dt;
    hottest = Math.max(hottest, wall.tempC);
    passed += dt;
  }
  return { state: { ...state, jkg }, givenJ, lostJ, wallC: hottest };
}

interface Wall {
  readonly tempC: number;
  readonly heaterW: number;
}

/** The wall between heater, wax and housing: at its setting where the heater can, else as warm as its power can. */
function wallOf(
  grid: CanGrid,
  carries: Float64Array,
  tempC: Float64Array,
  { setC, roomC, heaterW }: { readonly setC: number | null; readonly roomC: number; readonly heaterW: number },
): Wall {
  let [perK, drawnW] = [WALL_W_PER_K, WALL_W_PER_K * roomC];
  for (let l = 0; l < grid.wall.a.length; l++) {
    const i = grid.wall.a[l] ?? 0;
    const g = (carries[i] ?? 0) * (grid.wall.wayM[l] ?? 0);
    perK += g;
    drawnW += g * (tempC[i] ?? 0);
  }
  const wanted = setC === null ? 0 : setC * perK - drawnW;
  const given = Math.min(Math.max(wanted, 0), heaterW);
  return { tempC: (drawnW + given) / perK, heaterW: given };
}
