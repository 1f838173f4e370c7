// What the table and the reading send.

import Joi from 'joi';
import { POSITIONS } from '../core/anatomy';
import { INCIDENT_DONE, INCIDENT_KINDS, INCIDENT_TOLD, MARKS, TABLE_EVENT_KINDS } from '../core/hands';
import { PATCH_KINDS, READ_FIELDS, STRIP_PICTURES, TRIED } from '../core/reading';
import { id, instant, version, words, zoneRef } from './requestParts';
import { civilDate, strokeSchema } from './visitCaseSchema';

const stripId = Joi.string().max(20);
const point = Joi.array().length(2).items(Joi.number().min(-300).max(300));
const mm = Joi.number().greater(0).max(1000);
const seconds = Joi.number().min(0).max(3600);
const few = (schema: Joi.Schema): Joi.ArraySchema => Joi.array().max(60).items(schema);

export const barePlaceSchema = Joi.object({
  at: point.required(),
  radiusCm: Joi.number().greater(0).max(60).required(),
});

/** A strip of a round that was laid out at the table. */
const addedStrip = Joi.object({
  id: stripId.required(),
  number: Joi.number().integer().min(1).max(999).required(),
  pass: Joi.number().integer().min(2).max(9).required(),
  over: few(stripId).min(1).required(),
  outline: Joi.array().min(3).max(1000).items(point).required(),
  growth: point.required(),
  lay: point.required(),
  pull: point.required(),
  tab: point.required(),
  tabOn: Joi.string().valid('bare', 'cleared', 'hair').required(),
  tabKind: Joi.string().valid('end', 'narrow', 'hook', 'stick').required(),
  lengthMm: mm.required(),
  widthMm: mm.required(),
  massG: Joi.number().min(0).max(500).required(),
  touches: few(stripId).required(),
  needsBefore: few(stripId).required(),
  layS: seconds.required(),
  pulls: Joi.number().integer().min(1).max(20).required(),
  pace: Joi.string().valid('quick', 'steady').required(),
  handwork: Joi.string().max(300).allow(null).required(),
});

const roundSchema = Joi.object({
  zone: zoneRef.extract('zone').required(),
  side: zoneRef.extract('side').required(),
  way: Joi.string().valid('with', 'against', 'free', 'crossed', 'counter', 'across', 'moulded', 'strip').required(),
  thicknessMm: Joi.number().greater(0).max(10).required(),
  touchC: Joi.number().min(20).max(100).allow(null).required(),
  setS: Joi.object({ min: seconds.required(), max: seconds.required() }).required(),
  endS: Joi.number().min(0).max(36_000).required(),
  strips: few(addedStrip).min(1).required(),
  sequence: Joi.array().max(120).items(stripId).required(),
  reason: words(500).required(),
});

const oneOf = (values: readonly string[]): Joi.ArraySchema =>
  Joi.array()
    .items(Joi.string().valid(...values))
    .unique();
const tempC = Joi.number().min(0).max(200).allow(null);
const incidentSchema = Joi.object({
  what: oneOf(INCIDENT_KINDS).min(1).required(),
  zone: zoneRef.extract('zone').allow(null).required(),
  side: zoneRef.extract('side').allow(null).required(),
  strip: Joi.number().integer().min(1).max(999).allow(null).required(),
  product: Joi.string().max(60).allow(null).required(),
  lot: words(60).required(),
  plannedC: tempC.required(),
  measuredC: tempC.required(),
  wristAtMs: instant.allow(null).required(),
  waterMin: Joi.number().integer().min(0).max(600).allow(null).required(),
  done: oneOf(INCIDENT_DONE).required(),
  told: oneOf(INCIDENT_TOLD).required(),
  followUpOn: civilDate.allow(null).required(),
  words: words(2000).required(),
  corrects: id.allow(null).required(),
});

/** Most acts in one request; a tablet that was away sends slices of this size. */
export const MOST_ACTS = 500;
export const journalRequest = Joi.object({
  /** Hash of the plan that the hands saw. */
  plan: Joi.string().pattern(/^[0-9a-f]{64}$/),
  /** The last entry the tablet has heard of. */
  after: Joi.number().integer().min(0),
  events: Joi.array()
    .max(MOST_ACTS)
    .items(
      Joi.object({
        id: id.required(),
        atMs: instant.required(),
        kind: Joi.string()
          .valid(...TABLE_EVENT_KINDS)
          .required(),
        strip: stripId,
        mark: Joi.string().valid(...MARKS),
        product: Joi.string().max(60),
        pot: Joi.object({
          tempC: Joi.number().min(-20).max(250).required(),
          from: Joi.string().valid('probe', 'simulated', 'hand').required(),
        }),
        position: Joi.string().valid(...POSITIONS),
        earlyS: Joi.number().integer().min(1).max(3600),
        step: Joi.string().max(60),
        skipped: Joi.valid(true),
        undoes: id,
        round: roundSchema,
        incident: incidentSchema,
      }),
    )
    .required(),
}).required();

export const readingRequest = Joi.object({
  version,
  data: Joi.object({
    v: Joi.valid(1).required(),
    removedPct: Joi.number().min(0).max(100).required(),
    removedSaid: Joi.valid(true),
    brokenPct: Joi.number().min(0).max(100).required(),
    left: Joi.string().valid('none', 'few', 'patch', 'many').required(),
    leftKind: Joi.string().valid('none', 'short', 'flat', 'other-way', 'anywhere').required(),
    bleeding: Joi.string().valid('none', 'points', 'keeps-on').required(),
    skin: Joi.string().valid('calm', 'pink', 'red', 'shiny', 'blister').required(),
    tweezed: Joi.number().integer().min(0).max(2000).required(),
    heatFelt: Joi.string().valid('too-warm', 'right', 'too-cool').required(),
    said: Joi.array()
      .items(Joi.string().valid(...READ_FIELDS))
      .unique(),
    likes: Joi.array()
      .max(400)
      .items(
        Joi.object({
          strip: stripId.required(),
          like: Joi.string()
            .valid(...STRIP_PICTURES)
            .required(),
        }),
      )
      .unique('strip'),
    hairs: Joi.array()
      .max(400)
      .items(
        Joi.object({
          at: point.required(),
          way: point.allow(null).required(),
          kind: Joi.string()
            .valid(...PATCH_KINDS)
            .allow(null)
            .required(),
        }),
      ),
    combed: Joi.array().max(200).items(strokeSchema),
    bare: Joi.array().max(100).items(barePlaceSchema),
    tweezedMin: Joi.number().integer().min(0).max(240),
    leave: Joi.valid(true),
    pain: Joi.number().integer().min(0).max(10),
    tried: Joi.array()
      .items(Joi.string().valid(...TRIED))
      .unique(),
    note: words(2000).required(),
  }).required(),
}).required();
