// A product's model from what the practitioner sees: the temperature at which it leaves the stick slowly, and the
// seconds in which a coat of known thickness sets on the inner forearm. The template (a product of the same body) gives
// the slope of the flow and everything else; flow shifts along the temperature, setting moves its midpoint. What does
// not fit is shown, not hidden.

import { ZONES } from '../anatomy';
import { viscosityLaw, type Product } from '../products';
import { fail, ok, type Result } from '../shared';
import { solveSkinHeat } from './skinHeat';

/** Flow at which wax leaves the stick slowly, as syrup, Pa·s (from memory). */
export const SLOW_FLOW_PAS = 10;

export interface SeenProduct {
  /** Temperature at which it leaves the stick slowly, °C. */
  readonly slowAtC: number;
  /** Seconds until a coat laid at `touchC` sets; null for what does not set. */
  readonly sets: {
    readonly afterS: number;
    readonly touchC: number;
    readonly thicknessMm: number;
    readonly roomC: number;
  } | null;
}

export interface FittedProduct {
  readonly product: Product;
  /** What the fitted model says of the same two observations, less what was seen. */
  readonly residual: { readonly slowAtK: number; readonly setS: number | null };
}

/** The midpoint is looked for this far on either side of the template's, K. */
const REACH_K = 12;
const SKIN = ZONES.forearm.skin;
const LONGEST_S = 240;

const setsAfter = (product: Product, { touchC, thicknessMm, roomC }: NonNullable<SeenProduct['sets']>): number =>
  solveSkinHeat({ product, touchC, thicknessMm, skin: SKIN, roomC, endS: LONGEST_S }).setAfterS ?? LONGEST_S;

/** Template with its setting midpoint moved; the brittle temperature keeps its distance. */
function movedSetting(template: Product, byK: number): Product {
  const s = template.setting;
  return s ? { ...template, setting: { ...s, midC: s.midC + byK, brittleC: s.brittleC + byK } } : template;
}

/**
 * Fits a template. Errors: `fit.no-setting` where a set time is given for a product that does not set;
 * `fit.out-of-range` for figures that no wax has. A set time that cannot be met gives the nearest product and its
 * residual.
 */
export function fitProduct(template: Product, seen: SeenProduct): Result<FittedProduct> {
  if (!(seen.slowAtC > 25 && seen.slowAtC < 90)) {
    return fail({
      code: 'fit.out-of-range',
      message: 'The flow temperature must lie between 25 and 90 °C.',
      path: 'slowAtC',
    });
  }
  if (seen.sets && !template.setting) {
    return fail({
      code: 'fit.no-setting',
      message: `${template.name} does not set: it has no set time.`,
      path: 'sets',
    });
  }
  if (seen.sets && !(seen.sets.afterS > 0 && seen.sets.afterS <= LONGEST_S && seen.sets.thicknessMm > 0)) {
    return fail({
      code: 'fit.out-of-range',
      message: `The set time must lie between 0 and ${LONGEST_S} s, the thickness above 0.`,
      path: 'sets',
    });
  }
  const law = viscosityLaw(template.viscosity);
  const shiftK = seen.slowAtC - law.tempForPaS(SLOW_FLOW_PAS);
  const [[eta1, c1], [eta2, c2]] = template.viscosity;
  const flowing: Product = {
    ...template,
    viscosity: [
      [eta1, c1 + shiftK],
      [eta2, c2 + shiftK],
    ],
  };
  const slowAtK = viscosityLaw(flowing.viscosity).tempForPaS(SLOW_FLOW_PAS) - seen.slowAtC;
  const { sets } = seen;
  if (!sets) return ok({ product: flowing, residual: { slowAtK, setS: null } });
  // the higher the midpoint, the sooner it has set
  let [low, high] = [-REACH_K, REACH_K];
  for (let k = 0; k < 18; k++) {
    const mid = (low + high) / 2;
    if (setsAfter(movedSetting(flowing, mid), sets) > sets.afterS) low = mid;
    else high = mid;
  }
  const product = movedSetting(flowing, (low + high) / 2);
  return ok({ product, residual: { slowAtK, setS: setsAfter(product, sets) - sets.afterS } });
}
