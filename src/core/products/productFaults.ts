// What a product must be to be worked with: plausible bounds for every figure, and figures that agree with each other.
// Bounds from memory: wide enough for any wax or paste, narrow enough to catch a slipped digit. A fault names its
// field; nothing is corrected in silence.

import { FAMILIES, type Family } from '../anatomy';
import { ALLERGENS, PRODUCT_BODIES, PRODUCT_FORMS, type Manner, type Product, type ProductBody } from './types';
import type { MannerName } from './ways';

export interface ProductFault {
  readonly path: string;
  readonly message: string;
}

export interface NumberBound {
  readonly min: number;
  readonly max: number;
  readonly unit: string;
  readonly whole?: boolean;
}

/** Bodies of a family; the body decides coats and hold on coarse hair. */
export const BODIES_OF: Readonly<Record<Family, readonly ProductBody[]>> = {
  hard: ['film', 'cream'],
  soft: ['strip-wax'],
  sugar: ['soft-paste', 'firm-paste', 'hard-paste'],
};
/** Manners in which a family can be worked. */
export const MANNERS_OF: Readonly<Record<Family, readonly MannerName[]>> = {
  hard: ['tab'],
  soft: ['cloth'],
  sugar: ['hand', 'cloth'],
};

const TEMP: NumberBound = { min: 25, max: 75, unit: '°C' };
const MM: NumberBound = { min: 0.05, max: 6, unit: 'mm' };
const HAIR: NumberBound = { min: 0.5, max: 30, unit: 'mm' };
const SHARE: NumberBound = { min: 0.01, max: 1, unit: '' };
const ETA: NumberBound = { min: 0.05, max: 20_000, unit: 'Pa·s' };
const PASSES: NumberBound = { min: 1, max: 3, unit: '', whole: true };

/** By the field's path with `*` for a manner's name. */
const BOUNDS: Readonly<Record<string, NumberBound>> = {
  conductivityWmK: { min: 0.05, max: 1, unit: 'W/mK' },
  densityKgM3: { min: 700, max: 1700, unit: 'kg/m³' },
  heatCapacityJkgK: { min: 1000, max: 4200, unit: 'J/kgK' },
  grip: SHARE,
  'setting.latentJkg': { min: 1000, max: 250_000, unit: 'J/kg' },
  'setting.midC': { min: 30, max: 75, unit: '°C' },
  'setting.widthK': { min: 0.2, max: 12, unit: 'K' },
  'setting.brittleC': { min: 20, max: 70, unit: '°C' },
  'viscosity[0][0]': ETA,
  'viscosity[1][0]': ETA,
  'viscosity[0][1]': TEMP,
  'viscosity[1][1]': TEMP,
  'passes.usual': PASSES,
  'passes.max': PASSES,
  priceMinorPerKg: { min: 1, max: 1_000_000, unit: 'minor units', whole: true },
  packKg: { min: 0.05, max: 25, unit: 'kg' },
  shelfMonths: { min: 1, max: 120, unit: 'months', whole: true },
  'manners.*.labelC.min': TEMP,
  'manners.*.labelC.max': TEMP,
  'manners.*.flowPaS.min': ETA,
  'manners.*.flowPaS.max': ETA,
  'manners.*.thicknessMm.min': MM,
  'manners.*.thicknessMm.max': MM,
  'manners.*.thicknessMm.usual': MM,
  'manners.*.thicknessMm.tender': MM,
  'manners.*.shortestMm': HAIR,
  'manners.*.longestMm': HAIR,
  'manners.*.waitS.min': { min: 0, max: 180, unit: 's' },
  'manners.*.waitS.max': { min: 0, max: 180, unit: 's' },
  'manners.*.adhesion': SHARE,
};

/** Bounds of a numeric field by its path, e.g. `manners.tab.labelC.min`; undefined where the field is no number. */
export const boundsOf = (path: string): NumberBound | undefined =>
  BOUNDS[path.replace(/^manners\.\w+\./, 'manners.*.')];

/** Every number of a product with its path. */
function numbersIn(value: unknown, path = ''): readonly (readonly [string, number])[] {
  if (typeof value === 'number') return [[path, value]];
  if (Array.isArray(value)) return value.flatMap((v: unknown, i) => numbersIn(v, `${path}[${i}]`));
  if (value !== null && typeof value === 'object') {
    return Object.entries(value).flatMap(([k, v]) => numbersIn(v, path === '' ? k : `${path}.${k}`));
  }
  return [];
}

function mannerFaults(name: string, m: Manner): readonly ProductFault[] {
  const at = `manners.${name}`;
  const out: ProductFault[] = [];
  const ordered = (path: string, low: number, high: number, what: string): void => {
    if (!(low < high)) out.push({ path: `${at}.${path}`, message: `${what}: the lower end must lie below the upper.` });
  };
  ordered('labelC.min', m.labelC.min, m.labelC.max, 'Label range');
  ordered('flowPaS.min', m.flowPaS.min, m.flowPaS.max, 'Flow band');
  ordered('shortestMm', m.shortestMm, m.longestMm, 'Hair length');
  const t = m.thicknessMm;
  if (!(t.min <= t.usual && t.usual <= t.max)) {
    out.push({
      path: `${at}.thicknessMm.usual`,
      message: 'The usual thickness must lie between the thinnest and the thickest.',
    });
  }
  if (t.tender !== undefined && !(t.min <= t.tender && t.tender <= t.usual)) {
    out.push({
      path: `${at}.thicknessMm.tender`,
      message: 'The slab for tender skin must lie between the thinnest and the usual one.',
    });
  }
  if (m.waitS.min > m.waitS.max) {
    out.push({ path: `${at}.waitS.min`, message: 'The shortest wait must not be longer than the longest.' });
  }
  return out;
}

/** Faults of meaning and bounds; the shape is checked before, at the edge. Empty = the product can be worked with. */
export function productFaults(product: Product): readonly ProductFault[] {
  const out: ProductFault[] = [];
  const fault = (path: string, message: string): void => {
    out.push({ path, message });
  };
  if (!/^[a-z0-9][a-z0-9-]{1,59}$/.test(product.id)) {
    fault('id', 'The id takes 2–60 small letters, digits and hyphens.');
  }
  if (product.id === 'new') fault('id', 'Give it a name of its own.');
  if (product.name.trim().length < 2 || product.name.length > 80) fault('name', 'The name takes 2–80 letters.');
  if (!FAMILIES.includes(product.family)) fault('family', 'The family is hard, soft or sugar.');
  else if (!BODIES_OF[product.family].includes(product.body)) {
    fault('body', `A ${product.family} product has the body ${BODIES_OF[product.family].join(' or ')}.`);
  }
  if (!PRODUCT_BODIES.includes(product.body)) fault('body', 'No such body.');
  if (!PRODUCT_FORMS.includes(product.form)) fault('form', 'No such form.');
  if (product.allergens.some((a, i) => !ALLERGENS.includes(a) || product.allergens.indexOf(a) < i)) {
    fault('allergens', 'Allergens are named once each.');
  }
  for (const [path, value] of numbersIn(product)) {
    const bound = boundsOf(path);
    if (!bound) continue;
    if (!(value >= bound.min && value <= bound.max)) {
      fault(path, `Must lie between ${bound.min} and ${bound.max}${bound.unit ? ` ${bound.unit}` : ''}.`);
    } else if (bound.whole && !Number.isInteger(value)) fault(path, 'Must be a whole number.');
  }
  const manners = Object.entries(product.manners);
  if (manners.length === 0) fault('manners', 'Say how it is laid: at least one manner.');
  for (const [name, manner] of manners) {
    if (!(MANNERS_OF[product.family] as readonly string[]).includes(name)) {
      fault(`manners.${name}`, `A ${product.family} product is not worked this way.`);
    }
    out.push(...mannerFaults(name, manner));
  }
  const [[eta1, c1], [eta2, c2]] = product.viscosity;
  if (!(c1 < c2 && eta1 > eta2)) {
    fault('viscosity[1]', 'The second point is warmer and flows more easily than the first.');
  }
  if ((product.family === 'hard') !== (product.setting !== null)) {
    fault('setting', product.family === 'hard' ? 'Hard wax sets: its setting is needed.' : 'Only hard wax sets.');
  }
  if (product.setting && product.setting.brittleC >= product.setting.midC) {
    fault('setting.brittleC', 'Brittle comes below the middle of the setting.');
  }
  if (product.passes.usual > product.passes.max) {
    fault('passes.usual', 'The usual passes must not be more than the most.');
  }
  // a second pass of soft wax lifts skin: no label opens that
  if (product.family === 'soft' && product.passes.max > 1) {
    fault('passes.max', 'Soft wax goes over the same skin once.');
  }
  return out;
}
