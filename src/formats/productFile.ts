// Products as JSON (docs/formats.md): the shape of one, and of a file of several. Bounds and meaning are checked by the
// core.

import Joi from 'joi';
import { FAMILIES } from '../core/anatomy';
import { ALLERGENS, PRODUCT_BODIES, PRODUCT_FORMS, productFaults, type Product } from '../core/products';
import { faultsOf, type Parsed } from './visitCaseSchema';

const number = Joi.number().min(-1e9).max(1e9).required();
const range = Joi.object({ min: number, max: number }).required();
const manner = Joi.object({
  labelC: range,
  flowPaS: range,
  thicknessMm: Joi.object({ min: number, max: number, usual: number, tender: Joi.number() }).required(),
  shortestMm: number,
  longestMm: number,
  waitS: range,
  adhesion: number,
});
const point = Joi.array().length(2).items(number, number).required();

export const productSchema = Joi.object({
  id: Joi.string().max(60).required(),
  name: Joi.string().trim().max(80).required(),
  family: Joi.string()
    .valid(...FAMILIES)
    .required(),
  body: Joi.string()
    .valid(...PRODUCT_BODIES)
    .required(),
  form: Joi.string()
    .valid(...PRODUCT_FORMS)
    .required(),
  allergens: Joi.array()
    .items(Joi.string().valid(...ALLERGENS))
    .max(ALLERGENS.length)
    .required(),
  conductivityWmK: number,
  densityKgM3: number,
  heatCapacityJkgK: number,
  setting: Joi.alternatives()
    .try(Joi.object({ latentJkg: number, midC: number, widthK: number, brittleC: number }), Joi.valid(null))
    .required(),
  viscosity: Joi.array().length(2).items(point, point).required(),
  grip: number,
  passes: Joi.object({ usual: number, max: number }).required(),
  priceMinorPerKg: number,
  packKg: number,
  shelfMonths: number,
  manners: Joi.object({ tab: manner, cloth: manner, hand: manner }).required(),
});

const file = Joi.object({
  strickle: Joi.valid('products').required(),
  version: Joi.valid(1).required(),
  products: Joi.array().min(1).max(200).items(productSchema).required(),
})
  .required()
  .label('file');

export const writeProducts = (products: readonly Product[]): string =>
  `${JSON.stringify({ strickle: 'products', version: 1, products }, null, 2)}\n`;

/** Reads a file of products; every fault with its path, all or nothing. */
export function readProducts(text: string): Parsed<readonly Product[]> {
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return { ok: false, faults: [{ path: '', message: 'The file is not JSON.' }] };
  }
  const { value, error } = file.validate(body, { abortEarly: false, convert: false, allowUnknown: false });
  if (error) return { ok: false, faults: faultsOf(error) };
  const products = (value as { products: readonly Product[] }).products; // checked by the schema just now
  const faults = products.flatMap((p, i) => [
    ...productFaults(p).map((f) => ({ path: `products[${i}].${f.path}`, message: f.message })),
    ...(products.findIndex((o) => o.id === p.id) < i
      ? [{ path: `products[${i}].id`, message: `"${p.id}" is given twice.` }]
      : []),
  ]);
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: products };
}
