// What a product's heat content says of it: temperature, what is molten, how it carries heat; in tables, because a pot
// asks some hundred thousand times.

import { normalCdfFast } from '../shared';
import { viscosityLaw, type Product, type ProductForm } from '../products';
import { CAN_RADIUS_M } from './canGrid';

const FROM_C = -20;
const TO_C = 160;
const STEPS = 8192;

/** J/kg of a product at a temperature, from 0 °C. */
export function enthalpyJkg(product: Product, tempC: number): number {
  const { setting } = product;
  return (
    product.heatCapacityJkgK * tempC +
    (setting ? setting.latentJkg * normalCdfFast((tempC - setting.midC) / setting.widthK) : 0)
  );
}

/** Share that is molten, 0–1; paste and soft wax, which do not set, count as molten always. */
export const moltenShare = (product: Product, tempC: number): number =>
  product.setting ? normalCdfFast((tempC - product.setting.midC) / product.setting.widthK) : 1;

/**
 * How much better than still wax a form carries heat while it is not molten: small pieces slump into the melt and new
 * ones come to the wall; a can stands still; a block touches the wall here and there (from memory).
 */
const FORM: Readonly<Record<ProductForm, number>> = { beads: 4, tablet: 2.5, can: 1, tub: 1, block: 0.7 };

/**
 * Molten wax turns over by itself: heat carried / conducted = 0.18·Ra^0.29 in a tall space heated at its side (Catton
 * 1978 for large Prandtl numbers, value from memory), Ra by the can's radius and 10 K between wall and middle.
 */
const DRIVE_K = 10;
const EXPANSION_PER_K = 7e-4;
const GRAVITY = 9.81;

function turnsOver(product: Product, viscosityPaS: number): number {
  const { conductivityWmK: k, densityKgM3: rho, heatCapacityJkgK: c } = product;
  const rayleigh = (GRAVITY * EXPANSION_PER_K * DRIVE_K * CAN_RADIUS_M ** 3 * rho * rho * c) / (viscosityPaS * k);
  return Math.max(1, 0.18 * rayleigh ** 0.29);
}

export interface WaxTable {
  tempC(jkg: number): number;
  /** Conductivity that acts at a heat content, W/m·K: still, slumping or turning over. */
  carriesWmK(jkg: number): number;
}

/** By product object: one that comes anew with a message is worked out anew. */
const known = new WeakMap<Product, WaxTable>();

/** The temperature at an enthalpy: rising, so halving finds it. */
function tempOf(product: Product, jkg: number): number {
  let [low, high] = [FROM_C, TO_C];
  for (let k = 0; k < 40; k++) {
    const mid = (low + high) / 2;
    if (enthalpyJkg(product, mid) < jkg) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

export function waxTable(product: Product): WaxTable {
  const had = known.get(product);
  if (had) return had;
  const [from, to] = [enthalpyJkg(product, FROM_C), enthalpyJkg(product, TO_C)];
  const step = (to - from) / STEPS;
  const law = viscosityLaw(product.viscosity);
  const temps = Float64Array.from({ length: STEPS + 1 }, (_, i) => tempOf(product, from + i * step));
  const carries = temps.map((c) => {
    const molten = moltenShare(product, c);
    const factor = (1 - molten) * FORM[product.form] + molten * turnsOver(product, law.atC(c));
    return product.conductivityWmK * factor;
  });
  const at = (of: Float64Array, jkg: number): number => {
    const x = Math.min(Math.max((jkg - from) / step, 0), STEPS - 1e-9);
    const i = Math.floor(x);
    const low = of[i] ?? 0;
    return low + (x - i) * ((of[i + 1] ?? low) - low);
  };
  const table = { tempC: (jkg: number) => at(temps, jkg), carriesWmK: (jkg: number) => at(carries, jkg) };
  known.set(product, table);
  return table;
}
