// A pot of wax or paste as two lumps, the rim at the heated wall and the core: heater with thermostat, losses to the
// room, melting with its latent heat, and the slow way of the heat from rim to core. Energy is what is integrated, so
// none is lost or made. All figures of the pot from memory: what it says is an estimate; the probe, the stirred look
// and the wrist decide.

import { normalCdfFast } from '../shared';
import type { Product, ProductForm } from '../products';

export interface Pot {
  readonly heaterW: number;
  readonly waxG: number;
  readonly lid: boolean;
}

/** A usual counter pot (from memory). */
export const USUAL_POT: Pot = { heaterW: 100, waxG: 400, lid: true };

/** Joules in each lump, counted from 0 °C. */
export interface PotState {
  readonly rimJ: number;
  readonly coreJ: number;
  readonly waxG: number;
}

/** Share of the wax that lies at the wall. */
const RIM_SHARE = 0.35;
const WALL_W_PER_K = 0.25;
const OPEN_W_PER_K = 0.35;
const LID_W_PER_K = 0.12;
/** Thermostat's play round its setting, K. */
const PLAY_K = 1;
/**
 * Rim to core for 400 g of solid wax, W/K; it grows with the wall's area over the way inward, the cube root of the
 * mass. By form: small pieces slump into the melt, a block stands in it.
 */
const CORE_W_PER_K = 0.72;
const CORE_OF_G = 400;
const FORM: Readonly<Record<ProductForm, number>> = { beads: 1.5, tablet: 1.15, can: 1, tub: 1, block: 0.6 };
/** What is molten carries heat this much better again. */
const MELT_HELPS = 1.5;

export interface Temps {
  readonly rimC: number;
  readonly coreC: number;
  /** Share of the whole that is molten, 0–1; paste and soft wax count as molten where they flow: always 1 here. */
  readonly melted: number;
}

/** J/kg of a product at a temperature, from 0 °C. */
export function enthalpyJkg(product: Product, tempC: number): number {
  const { setting } = product;
  return (
    product.heatCapacityJkgK * tempC +
    (setting ? setting.latentJkg * normalCdfFast((tempC - setting.midC) / setting.widthK) : 0)
  );
}

export const moltenShare = (product: Product, tempC: number): number =>
  product.setting ? normalCdfFast((tempC - product.setting.midC) / product.setting.widthK) : 1;

/** The temperature at an enthalpy: rising, so halving finds it. */
function tempOf(product: Product, jkg: number): number {
  const latent = product.setting?.latentJkg ?? 0;
  let [low, high] = [(jkg - latent) / product.heatCapacityJkgK - 1, jkg / product.heatCapacityJkgK + 1];
  for (let k = 0; k < 36; k++) {
    const mid = (low + high) / 2;
    if (enthalpyJkg(product, mid) < jkg) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

const rimKg = (s: PotState): number => (RIM_SHARE * s.waxG) / 1000;
const coreKg = (s: PotState): number => ((1 - RIM_SHARE) * s.waxG) / 1000;

export function temps(product: Product, state: PotState): Temps {
  const [rimC, coreC] = [tempOf(product, state.rimJ / rimKg(state)), tempOf(product, state.coreJ / coreKg(state))];
  return {
    rimC,
    coreC,
    melted: RIM_SHARE * moltenShare(product, rimC) + (1 - RIM_SHARE) * moltenShare(product, coreC),
  };
}

/** A pot all at one temperature. */
export function evenPot(product: Product, waxG: number, tempC: number): PotState {
  const whole = (enthalpyJkg(product, tempC) * waxG) / 1000;
  return { rimJ: RIM_SHARE * whole, coreJ: (1 - RIM_SHARE) * whole, waxG };
}

/** Stirred through: both lumps alike, no energy lost. */
export function stirred(state: PotState): PotState {
  const whole = state.rimJ + state.coreJ;
  return { ...state, rimJ: RIM_SHARE * whole, coreJ: (1 - RIM_SHARE) * whole };
}

/** Wax added at a temperature: it sinks into the core; the lumps keep their shares of the whole. */
export function toppedUp(product: Product, state: PotState, addG: number, addC: number): PotState {
  const waxG = state.waxG + addG;
  const moved = (RIM_SHARE * addG) / 1000; // kg of the core that now stand at the wall
  const coreJkg = state.coreJ / coreKg(state);
  return {
    waxG,
    rimJ: state.rimJ + moved * coreJkg,
    coreJ: state.coreJ - moved * coreJkg + (enthalpyJkg(product, addC) * addG) / 1000,
  };
}

export interface PotStep {
  readonly state: PotState;
  readonly on: boolean;
  /** Heat given and lost in the step, J. */
  readonly givenJ: number;
  readonly lostJ: number;
}

/** Some seconds of a pot at a thermostat setting (null = off). `stepS` ≤ 10. */
export function potStep(
  product: Product,
  pot: Pot,
  state: PotState,
  wasOn: boolean,
  setC: number | null,
  roomC: number,
  stepS: number,
): PotStep {
  const t = temps(product, state);
  const on = setC !== null && (wasOn ? t.rimC < setC + PLAY_K : t.rimC < setC - PLAY_K);
  const givenJ = on ? pot.heaterW * stepS : 0;
  const wallJ = WALL_W_PER_K * (t.rimC - roomC) * stepS;
  const topJ = (pot.lid ? LID_W_PER_K : OPEN_W_PER_K) * (t.coreC - roomC) * stepS;
  const across =
    CORE_W_PER_K *
    Math.cbrt(state.waxG / CORE_OF_G) *
    FORM[product.form] *
    (1 + MELT_HELPS * moltenShare(product, (t.rimC + t.coreC) / 2));
  const inwardJ = across * (t.rimC - t.coreC) * stepS;
  return {
    on,
    givenJ,
    lostJ: wallJ + topJ,
    state: { ...state, rimJ: state.rimJ + givenJ - wallJ - inwardJ, coreJ: state.coreJ + inwardJ - topJ },
  };
}
