// Joi schemas of what the browser sends. Unknown fields are refused; nothing is converted.

import Joi from 'joi';
import { CARE_LANGUAGES } from '../core/care';
import { FIGURES } from '../core/anatomy';
import { FIRST_CHOICES } from '../core/matching';
import { FACTS, QUESTIONS } from '../core/screening';
import { productSchema } from './productFile';
import { id, instant, version, words, zoneRef } from './requestParts';
import { barePlaceSchema } from './tableRequests';
import {
  blackoutSchema,
  civilDate,
  foundFactSchema,
  hairSchema,
  drawnKeepSchema,
  handStripsSchema,
  markSchema,
  ruleChangeSchema,
  strokeSchema,
  countsSchema,
  leftoversSchema,
  mattersSchema,
  orderSchema,
  zoneOrderSchema,
  preferencesSchema,
  zoneCaseSchema,
} from './visitCaseSchema';

const side = zoneRef.extract('side');
const step = Joi.number().min(1).max(5);
const orNull = (schema: Joi.Schema): Joi.Schema => Joi.alternatives().try(schema, Joi.valid(null));

const fact = Joi.string().valid(...FACTS);
const spot = Joi.object({
  figure: Joi.string()
    .valid(...FIGURES)
    .required(),
  at: Joi.array().length(2).items(Joi.number().min(0).max(300)).required(),
  kind: Joi.string().valid('sore', 'mark').required(),
  zone: zoneRef.extract('zone').required(),
  side: side.required(),
});
const spots = Joi.array().max(60).items(spot);
const agreed = Joi.object({
  howMuch: Joi.array()
    .max(60)
    .items(zoneRef.keys({ choice: Joi.string().max(40).required() }))
    .required(),
  coldPack: Joi.boolean().required(),
  company: Joi.string().valid('either', 'talk', 'quiet').required(),
  tweezing: Joi.boolean().required(),
  words: words(2000).required(),
});

export const consultRequest = Joi.object({
  version,
  consult: Joi.object({
    v: Joi.valid(2).required(),
    facts: Joi.array().max(60).items(foundFactSchema).required(),
    asked: Joi.array().max(60).items(fact).required(),
    unsure: Joi.array().max(60).items(fact).required(),
    spots: spots.required(),
    consent: Joi.boolean().required(),
    guardianConsent: Joi.boolean().required(),
    sensitivity: step.required(),
    matters: mattersSchema,
    order: zoneOrderSchema,
    services: Joi.array().max(30).items(id).required(),
    agreed: agreed.required(),
    overrides: Joi.array()
      .max(60)
      .items(
        Joi.object({
          code: Joi.string().max(60).required(),
          zone: orNull(Joi.string().max(60)).required(),
          reason: Joi.string().trim().min(8).max(500).required(),
          atMs: instant.required(),
          /** Written by the server alone, as `judged`. */
          by: Joi.string().max(60),
        }),
      )
      .required(),
    /** Written by the server alone; what the tablet sends back is not believed. */
    judged: Joi.any(),
    confirmedAtMs: orNull(instant).required(),
  }).required(),
}).required();

const { lengthMm, coarseness, density, curl, history } = {
  lengthMm: Joi.number().min(0.1).max(200),
  coarseness: step,
  density: step,
  curl: step,
  history: hairSchema.extract('history'),
};

export const chartRequest = Joi.object({
  version,
  data: Joi.object({
    v: Joi.valid(1).required(),
    hair: Joi.object({
      lengthMm: lengthMm.required(),
      coarseness: coarseness.required(),
      density: density.required(),
      curl: curl.required(),
      history: history.required(),
      shortestMm: lengthMm,
      longestMm: lengthMm,
      flags: hairSchema.extract('flags'),
    }).required(),
    sheetCm: zoneCaseSchema.extract('sheetCm'),
    drawnOnCm: zoneCaseSchema.extract('sheetCm'),
    strokes: Joi.array().max(2000).items(strokeSchema).required(),
    marks: Joi.array()
      .max(100)
      .items(markSchema.append({ unseen: Joi.boolean() }))
      .required(),
    densities: zoneCaseSchema.extract('densities'),
    bare: Joi.array()
      .max(200)
      .items(barePlaceSchema.append({ on: civilDate.required() })),
    product: orNull(Joi.string().max(60)).required(),
    way: orNull(
      Joi.string().valid('with', 'against', 'free', 'crossed', 'counter', 'across', 'moulded', 'strip'),
    ).required(),
    reason: words(500).required(),
    heat: Joi.object({
      product: Joi.string().max(60).required(),
      thicknessMm: Joi.number().min(0.05).max(10),
      touchC: Joi.number().min(20).max(100),
      reason: words(500).required(),
    }).or('thicknessMm', 'touchC'),
    fade: Joi.boolean(),
    keep: drawnKeepSchema,
    position: zoneCaseSchema.extract('position'),
    handStrips: handStripsSchema,
    confirmed: Joi.boolean().required(),
  }).required(),
}).required();

export const zonesRequest = Joi.object({
  version,
  zones: Joi.array().min(1).max(40).items(zoneRef).required(),
}).required();

export const closeRequest = Joi.object({
  version,
  /** Start of the next visit; null = not booked now. */
  next: orNull(
    Joi.object({ startsAtMs: instant.required(), minutes: Joi.number().integer().min(5).max(600).required() }),
  ).required(),
}).required();

export const openVisitRequest = Joi.object({
  bookingId: id,
  clientId: id,
  personId: id,
  zones: Joi.array().min(1).max(40).items(zoneRef),
})
  .or('bookingId', 'clientId')
  .required();

const cardFact = foundFactSchema.keys({ since: civilDate, until: civilDate });
const profile = Joi.object({
  v: Joi.valid(2).required(),
  statureCm: orNull(Joi.number().min(80).max(250)).required(),
  massKg: orNull(Joi.number().min(15).max(350)).required(),
  sensitivity: step.required(),
  skin: Joi.string().valid('dry', 'normal', 'oily').required(),
  ingrownProne: Joi.boolean().required(),
  standing: Joi.array().max(120).items(cardFact).required(),
  reactions: Joi.array()
    .max(200)
    .items(
      Joi.object({
        id: id.required(),
        visitId: id,
        on: civilDate.required(),
        what: Joi.string()
          .valid('redness', 'bumps', 'blister', 'lifted', 'bruise', 'burn', 'ingrown', 'other')
          .required(),
        product: orNull(Joi.string().max(60)).required(),
        words: words(1000).required(),
      }),
    )
    .required(),
  patchTests: Joi.array()
    .max(200)
    .items(
      Joi.object({
        id: id.required(),
        product: Joi.string().max(60).required(),
        place: words(120).required(),
        laidOn: civilDate.required(),
        readOn: orNull(civilDate).required(),
        result: orNull(Joi.string().valid('calm', 'reacted')).required(),
      }),
    )
    .required(),
  consentOn: orNull(civilDate).required(),
  guardianConsentOn: orNull(civilDate).required(),
  consentEndedOn: civilDate,
  blackout: Joi.array().max(60).items(blackoutSchema).required(),
  avoid: Joi.object({
    firstOn: civilDate.required(),
    everyDays: Joi.number().integer().min(14).max(60).required(),
    days: Joi.number().integer().min(1).max(13).required(),
  }),
  language: Joi.string().valid(...CARE_LANGUAGES.map((l) => l.tag)),
});

const clientFields = {
  name: Joi.string().trim().min(1).max(120).required(),
  byline: words(200).required(),
  bornOn: orNull(civilDate).required(),
  phone: words(60).required(),
  note: words(4000).required(),
  profile: profile.required(),
};
export const newClientRequest = Joi.object(clientFields).required();
export const clientRequest = Joi.object({ version, ...clientFields }).required();

export const archiveRequest = Joi.object({ version, archived: Joi.boolean().required() }).required();

export const pin = Joi.string()
  .pattern(/^\d{4,8}$/)
  .messages({ 'string.pattern.base': '{{#label}} must be four to eight digits' });
export const handOverRequest = Joi.object({ personId: id.required(), newPin: pin }).required();
export const unlockRequest = Joi.object({ pin: pin.required() }).required();

const formData = Joi.object({
  v: Joi.valid(1).required(),
  answers: Joi.array()
    .max(QUESTIONS.length)
    .items(
      Joi.object({
        id: Joi.string()
          .valid(...QUESTIONS.map((q) => q.id))
          .required(),
        answer: Joi.string().valid('some', 'none', 'unsure').required(),
        facts: Joi.array()
          .max(10)
          .items(Joi.object({ fact: fact.required(), daysAgo: Joi.number().integer().min(0).max(4000) }))
          .required(),
      }),
    )
    .required(),
  noLonger: Joi.array().max(60).items(fact).required(),
  spots: spots.required(),
  bornOn: orNull(civilDate).required(),
  words: words(2000).required(),
  guardianName: words(120).required(),
  page: Joi.number().integer().min(0).max(60).required(),
});
const coordinate = Joi.number().min(-10).max(4000);
const signature = Joi.alternatives().try(
  Joi.object({
    kind: Joi.valid('drawn').required(),
    strokes: Joi.array()
      .max(200)
      .items(Joi.array().max(4000).items(Joi.array().length(2).items(coordinate)))
      .required(),
  }),
  Joi.object({ kind: Joi.valid('typed').required(), name: Joi.string().trim().min(2).max(120).required() }),
);
export const formRequest = Joi.object({ version, data: formData.required() }).required();
export const signRequest = Joi.object({
  version,
  data: formData.required(),
  textVersion: Joi.number().integer().min(1).required(),
  signerName: Joi.string().trim().min(2).max(120).required(),
  signature: signature.required(),
  guardianSignature: orNull(signature).required(),
}).required();

export const putOffRequest = Joi.object({
  version,
  as: Joi.string().valid('postponed', 'declined').required(),
  next: orNull(
    Joi.object({ startsAtMs: instant.required(), minutes: Joi.number().integer().min(5).max(600).required() }),
  ).required(),
  words: words(6000).required(),
  post: Joi.boolean().required(),
}).required();

export const ruleRequest = ruleChangeSchema.required();
export const patchTestRequest = Joi.object({
  lay: Joi.object({ product: Joi.string().max(60).required(), place: Joi.string().trim().min(2).max(120).required() }),
  read: Joi.object({ id: id.required(), result: Joi.string().valid('calm', 'reacted').required() }),
})
  .xor('lay', 'read')
  .required();
/** A chart out of a file, for a sheet of this size. */
export const chartFileRequest = Joi.object({
  text: Joi.string().allow('').max(1_900_000).required(),
  sheetCm: zoneCaseSchema.extract('sheetCm').required(),
}).required();
/** A new product has no version yet. */
export const productRequest = Joi.object({
  version: orNull(Joi.number().integer().min(1)).required(),
  product: productSchema.required(),
  stocked: Joi.boolean().required(),
}).required();
export const productImportRequest = Joi.object({
  text: Joi.string().allow('').max(1_900_000).required(),
  commit: Joi.boolean().required(),
}).required();
const minor = Joi.number().integer().min(0).max(10_000_000);
const basisPoints = Joi.number().integer().min(0).max(5000).required();
export const moneyRequest = Joi.object({
  version,
  money: Joi.object({
    labourMinorPerHour: minor.required(),
    roomMinorPerHour: minor.required(),
    priceMinor: Joi.object().pattern(id, minor).max(200).required(),
    goodsMinor: Joi.object().pattern(id, minor).max(200),
    vatBp: Joi.object({ services: basisPoints, goods: basisPoints }),
  }).required(),
  serviceMinutes: Joi.object().pattern(id, Joi.number().integer().min(5).max(600)).max(200),
}).required();
export const choosingRequest = Joi.object({
  version,
  counts: countsSchema.required(),
  preferences: preferencesSchema.required(),
  leftovers: leftoversSchema.required(),
  firstOf: Joi.object()
    .pattern(id, Joi.string().valid(...FIRST_CHOICES))
    .max(60)
    .required(),
  order: orderSchema.required(),
}).required();
