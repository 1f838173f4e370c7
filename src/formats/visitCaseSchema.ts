// Joi schema of the open visit case (docs/formats.md). Unknown fields are refused with their path; nothing is converted
// in silence.

import Joi from 'joi';
import { FAMILIES, POSITIONS, ZONE_IDS } from '../core/anatomy';
import { MARK_KINDS } from '../core/field';
import { HAIR_FLAGS } from '../core/hair';
import { PRODUCT_BODIES } from '../core/products';
import { COST_PARTS, FIRST_CHOICES, FORMER_NAMES, MATTERS, MOST_COUNT, MOST_SHIFT, mostFormer } from '../core/matching';
import type { VisitCase } from '../core/plan';
import { FACTS, OUTCOMES } from '../core/screening';
import { isCivilDate } from '../core/shared';

const number = (min: number, max: number): Joi.NumberSchema => Joi.number().min(min).max(max);
const step = number(1, 5);
export const civilDate = Joi.string()
  .custom((value: string, helpers) => (isCivilDate(value) ? value : helpers.error('civil.date')))
  .messages({ 'civil.date': '{{#label}} must be a date YYYY-MM-DD' });
const pair = (item: Joi.NumberSchema): Joi.ArraySchema => Joi.array().length(2).items(item.required(), item.required());
const point = pair(number(-1000, 1000));

/** Not more than half: the other half would be the main direction. */
const crossingShare = number(0.01, 0.5);
export const strokeSchema = Joi.object({ at: point.required(), towards: point.required(), share: crossingShare });
export const markSchema = Joi.object({
  kind: Joi.string()
    .valid(...MARK_KINDS)
    .required(),
  at: point.required(),
  radiusMm: number(0.1, 200).required(),
  note: Joi.string().allow('').max(300),
  since: civilDate,
});

export const densityPlaceSchema = Joi.object({
  at: point.required(),
  radiusCm: number(0.05, 50).required(),
  density: step.required(),
});

export const foundFactSchema = Joi.object({
  fact: Joi.string()
    .valid(...FACTS)
    .required(),
  lastOn: civilDate,
  zones: Joi.array().items(Joi.string().max(60)).max(60),
  clearance: Joi.object({ on: civilDate.required(), by: Joi.string().trim().min(2).max(120).required() }),
});

export const overrideSchema = Joi.object({
  code: Joi.string().max(60).required(),
  zone: Joi.string().max(60),
  reason: Joi.string().trim().min(3).max(500).required(),
});
export const ruleChangeSchema = Joi.object({
  code: Joi.string().max(60).required(),
  outcome: Joi.string().valid(...OUTCOMES),
  waitDays: Joi.number().integer().min(1).max(1000),
  reason: Joi.string().allow('').max(500).required(),
});
const productIds = Joi.array().items(Joi.string().max(60)).unique().max(200);

export const hairSchema = Joi.object({
  lengthMm: number(0.1, 200).required(),
  shortestMm: number(0.1, 200),
  longestMm: number(0.1, 200),
  flags: Joi.array()
    .items(Joi.string().valid(...HAIR_FLAGS))
    .unique(),
  coarseness: step.required(),
  density: step.required(),
  curl: step,
  history: Joi.string().valid('first', 'regular', 'lapsed', 'shaved'),
  lastWaxOn: civilDate,
  past: Joi.array()
    .max(200)
    .items(Joi.object({ on: civilDate.required(), lengthMm: number(0.1, 200).required() })),
});

export const blackoutSchema = Joi.object({
  from: civilDate.required(),
  to: civilDate.required(),
  why: Joi.string().allow('').max(200),
});

export const schoolsSchema = Joi.object({
  hardLay: Joi.string().valid('with', 'against', 'free'),
  shortHair: Joi.string().valid('crossed', 'none'),
  maxHardPasses: Joi.number().integer().min(1).max(3),
  sugarWay: Joi.string().valid('hand', 'strip'),
  prep: Joi.string().valid('powder', 'oil', 'dry'),
  families: Joi.array()
    .items(Joi.string().valid(...FAMILIES))
    .unique()
    .max(3),
});

/** What counts in the choice: not at all up to five times as shipped. */
export const countsSchema = Joi.object(Object.fromEntries(COST_PARTS.map((part) => [part, number(0, MOST_COUNT)])));
export const preferencesSchema = Joi.object({
  coarseHard: Joi.boolean(),
  fineSoft: Joi.boolean(),
  reactiveMild: Joi.boolean(),
  ingrownSugar: Joi.boolean(),
  worked: Joi.boolean(),
  plainLay: Joi.boolean(),
  first: Joi.string().valid(...FIRST_CHOICES),
  favourites: Joi.object(Object.fromEntries(ZONE_IDS.map((zone) => [zone, Joi.string().max(60)]))),
});
export const leftoversSchema = Joi.object({
  faceMax: Joi.number().integer().min(0).max(200),
  bodyMax: Joi.number().integer().min(0).max(200),
  rest: Joi.string().valid('clean-up', 'stay'),
});
export const mattersSchema = Joi.string().valid(...MATTERS);

const client = Joi.object({
  statureCm: number(80, 250),
  massKg: number(15, 350),
  ageYears: number(0, 120),
  sensitivity: step,
  skin: Joi.string().valid('dry', 'normal', 'oily'),
  ingrownProne: Joi.boolean(),
  consent: Joi.boolean().required(),
  guardianConsent: Joi.boolean(),
  screening: Joi.array().max(100).items(foundFactSchema),
  overrides: Joi.array().max(60).items(overrideSchema),
  knownProducts: productIds,
  reactedTo: productIds,
  heatFelt: Joi.array()
    .max(400)
    .items(
      Joi.object({
        on: civilDate.required(),
        marginK: number(-30, 30).required(),
        felt: Joi.string().valid('too-warm', 'right', 'too-cool').required(),
        zone: Joi.string().max(60),
        product: Joi.string().max(60),
        touchC: number(20, 100),
      }),
    ),
  blackout: Joi.array().max(100).items(blackoutSchema),
});

/** Orders of laying that can be remembered, or the quickest. */
export const orderSchema = Joi.string().valid('followable', 'quickest');
/** Zone keys that are worked before the others. */
export const zoneOrderSchema = Joi.array().items(Joi.string().max(60)).unique().max(60);
export const positionSchema = Joi.string().valid(...POSITIONS);

const studio = Joi.object({
  roomC: number(10, 40),
  humidityPct: number(0, 100),
  level: Joi.string().valid('trainee', 'practised', 'expert'),
  maxOnSkin: Joi.number().integer().min(1).max(8),
  walkS: Joi.number().integer().min(0).max(60),
  turnS: Joi.number().integer().min(0).max(300),
  poseS: Joi.number().integer().min(0).max(120),
  order: orderSchema,
  schools: schoolsSchema,
  products: Joi.array().items(Joi.string().max(60)).unique().max(60),
  rules: Joi.array().max(200).items(ruleChangeSchema),
  counts: countsSchema,
  preferences: preferencesSchema,
  leftovers: leftoversSchema,
  hold: Joi.object(Object.fromEntries(PRODUCT_BODIES.map((body) => [body, number(-MOST_SHIFT, MOST_SHIFT)]))),
  // as cases of before had it
  weights: Joi.object(Object.fromEntries(FORMER_NAMES.map((name) => [name, number(0, mostFormer(name))]))),
});

const waySchema = Joi.string().valid('with', 'against', 'free', 'crossed', 'counter', 'across', 'moulded', 'strip');

/** Slab and touch asked for by hand for one product; at least one of the two. */
const heatWishSchema = Joi.object({
  product: Joi.string().max(60).required(),
  thicknessMm: number(0.05, 10),
  touchC: number(20, 100),
}).or('thicknessMm', 'touchC');

/** Strips laid out by hand for one family and manner. */
export const handStripsSchema = Joi.object({
  family: Joi.string()
    .valid(...FAMILIES)
    .required(),
  way: waySchema.required(),
  strips: Joi.array()
    .min(1)
    .max(200)
    .items(Joi.object({ outline: Joi.array().min(3).max(1000).items(point).required(), turnDeg: number(-90, 90) }))
    .required(),
});

/** What stays, as drawn on a chart: a step of the brow, or lines with their points. */
export const drawnKeepSchema = Joi.object({
  outcome: Joi.string().max(60).required(),
  step: Joi.number().integer().min(0).max(6),
  lines: Joi.array()
    .min(1)
    .max(6)
    .items(
      Joi.object({
        stays: Joi.string().valid('inside', 'above', 'below', 'left', 'right', 'column').required(),
        points: Joi.array().min(2).max(40).items(point).required(),
      }),
    ),
});

export const zoneCaseSchema = Joi.object({
  zone: Joi.string()
    .valid(...ZONE_IDS)
    .required(),
  side: Joi.string().valid('left', 'right', 'middle').required(),
  hair: hairSchema.required(),
  strokes: Joi.array().max(2000).items(strokeSchema),
  marks: Joi.array().max(100).items(markSchema),
  densities: Joi.array().max(2000).items(densityPlaceSchema),
  sheetCm: pair(number(0.5, 100)),
  product: Joi.string().max(60),
  way: waySchema,
  worked: Joi.object({ product: Joi.string().max(60).required(), way: waySchema }),
  heat: heatWishSchema,
  fade: Joi.boolean(),
  outcome: Joi.string().max(60),
  keep: Joi.array()
    .max(20)
    .items(Joi.object({ outline: Joi.array().min(3).max(400).items(point).required() })),
  position: positionSchema,
  handStrips: handStripsSchema,
});

const visitCase = Joi.object({
  version: Joi.number().valid(1).required(),
  on: civilDate.required(),
  matters: mattersSchema,
  client: client.required(),
  studio,
  zones: Joi.array().min(1).max(60).items(zoneCaseSchema).required(),
  order: zoneOrderSchema,
})
  .required()
  .label('case');

export interface SchemaFault {
  readonly path: string;
  readonly message: string;
}

/** `zones[0].hair.lengthMm` from Joi's path. */
export const pathText = (path: readonly (string | number)[]): string =>
  path.reduce<string>((text, part) => {
    if (typeof part === 'number') return `${text}[${part}]`;
    return text === '' ? part : `${text}.${part}`;
  }, '');

/** Joi's faults as path and message, without the value (it may be a health note). */
export const faultsOf = (error: Joi.ValidationError): readonly SchemaFault[] =>
  error.details.map((d) => ({ path: pathText(d.path), message: d.message.replace(/"[^"]*"/, (label) => label) }));

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly SchemaFault[] };

/** Checks an unknown value against a schema: no unknown fields, no conversion, all faults at once. */
/** Text that no person types and no database keeps whole: NUL, and halves of characters. */
const STRANGE = /\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

/** First text with a strange character in it, by its path. */
function strangeText(value: unknown, path: string): SchemaFault | null {
  if (typeof value === 'string') {
    return STRANGE.test(value) ? { path, message: `"${path}" holds characters that are no text` } : null;
  }
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    const at = Array.isArray(value) ? `${path}[${key}]` : [path, key].filter(Boolean).join('.');
    const fault = strangeText(inner, at);
    if (fault) return fault;
  }
  return null;
}

export function parseWith<T>(schema: Joi.Schema, input: unknown): Parsed<T> {
  const strange = strangeText(input, '');
  if (strange) return { ok: false, faults: [strange] };
  const { value, error } = schema.validate(input, { abortEarly: false, convert: false, allowUnknown: false });
  // checked by the schema just now
  return error ? { ok: false, faults: faultsOf(error) } : { ok: true, value: value as T };
}

export const parseVisitCase = (input: unknown): Parsed<VisitCase> => parseWith<VisitCase>(visitCase, input);
