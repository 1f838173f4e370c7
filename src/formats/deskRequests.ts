// What the desk's pages send: bookings, hours, pots.

import Joi from 'joi';
import { HOME_CARE_IDS, KEPT } from '../core/care';
import { id, instant, version, words } from './requestParts';
import { civilDate } from './visitCaseSchema';

const bookingMinutes = Joi.number().integer().min(5).max(600).required();
export const newBookingRequest = Joi.object({
  clientId: id.required(),
  personId: id.required(),
  startsAtMs: instant.required(),
  /** Absent: as long as it takes by what is known. */
  minutes: bookingMinutes.optional(),
  /** Absent or empty: what they last came for. */
  services: Joi.array().items(id).unique().max(20),
  waited: Joi.boolean(),
  /** No wax: a patch test, a talk. */
  withoutZones: Joi.boolean(),
  note: words(120).optional(),
}).required();
export const bookingRequest = Joi.alternatives(
  Joi.object({ version, personId: id.required(), startsAtMs: instant.required(), minutes: bookingMinutes }),
  Joi.object({ version, status: Joi.string().valid('booked', 'cancelled', 'missed').required() }),
).required();
const minuteOfDay = Joi.number().integer().min(0).max(1440).required();
/** Seven lists, Monday first. */
export const weekHours = Joi.array()
  .length(7)
  .items(
    Joi.array()
      .max(4)
      .items(Joi.object({ fromMin: minuteOfDay, toMin: minuteOfDay })),
  )
  .required();
export const hoursRequest = Joi.object({
  version,
  hours: weekHours,
  /** Whose week differs from the studio's. */
  hoursOf: Joi.object().pattern(id, weekHours).max(100).optional(),
  /** Names of the treatment tables; absent = as it is. */
  tables: Joi.array().max(20).items(Joi.string().trim().min(1).max(30)).unique().optional(),
  closed: Joi.array()
    .max(100)
    .items(Joi.object({ from: civilDate.required(), to: civilDate.required(), why: words(60).required() }))
    .required(),
}).required();
const potSensor = Joi.string().valid('none', 'simulated').required();
const potWaxG = Joi.number().integer().min(0).max(5000).required();
export const newPotRequest = Joi.object({
  productId: id.required(),
  waxG: potWaxG,
  sensor: potSensor,
}).required();
export const potRequest = Joi.object({
  version,
  waxG: potWaxG,
  sensor: potSensor,
  active: Joi.boolean().required(),
  heaterW: Joi.number().integer().min(10).max(2000),
  lid: Joi.boolean(),
  school: Joi.string().valid('steady', 'melt-off', 'pulses', 'bath'),
  lot: words(40),
}).required();
/** A thermostat stands between a warm hand and what burns the wax; a thermometer says what it says, within reason. */
export const potNoteRequest = Joi.alternatives(
  Joi.object({ kind: Joi.valid('measured').required(), tempC: Joi.number().min(0).max(150).required() }),
  Joi.object({ kind: Joi.valid('set').required(), tempC: Joi.number().min(20).max(120).allow(null).required() }),
  Joi.object({
    kind: Joi.valid('wrist').required(),
    felt: Joi.string().valid('too-warm', 'right', 'too-cool').required(),
  }),
  Joi.object({
    kind: Joi.string().valid('weighed', 'added').required(),
    grams: Joi.number().integer().min(0).max(5000).required(),
  }),
).required();
export const potFaultRequest = Joi.object({
  fault: Joi.string().valid('NONE', 'DROPOUT', 'DRIFT', 'STUCK').required(),
}).required();

export const absenceRequest = Joi.object({
  personId: id.required(),
  fromMs: instant.required(),
  toMs: instant.required(),
  why: Joi.string().trim().min(1).max(60).required(),
}).required();
const LONGEST_CALENDAR = 2_000_000;
export const calendarRequest = Joi.object({
  text: Joi.string().max(LONGEST_CALENDAR).required(),
  write: Joi.boolean().required(),
}).required();
export const feedRequest = Joi.object({ open: Joi.boolean().required() }).required();
export const waitingRequest = Joi.object({
  clientId: id.required(),
  personId: id.allow(null).required(),
  weekdays: Joi.array().items(Joi.number().integer().min(0).max(6)).unique().min(1).max(7).required(),
  fromMin: minuteOfDay,
  toMin: minuteOfDay,
  words: words(120).required(),
}).required();
export const offerRequest = Joi.object({
  personId: id.required(),
  startsAtMs: instant.required(),
  minutes: bookingMinutes,
}).required();
/** `next`: a visit that is chosen and not booked yet, or null. */
export const careCardRequest = Joi.object({
  next: Joi.object({ startsAtMs: instant.required(), minutes: bookingMinutes }).allow(null).required(),
}).required();
const homeCareItem = Joi.string()
  .valid(...HOME_CARE_IDS)
  .required();
/** What is advised now, or one answer to what was advised last time (`kept: null` takes it back). */
export const homeCareRequest = Joi.alternatives(
  Joi.object({ advised: Joi.array().items(homeCareItem.optional()).unique().max(HOME_CARE_IDS.length).required() }),
  Joi.object({
    answer: Joi.object({
      item: homeCareItem,
      kept: Joi.string()
        .valid(...KEPT)
        .allow(null)
        .required(),
    }).required(),
  }),
).required();
