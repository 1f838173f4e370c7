// What the studio's settings and its first run send.

import Joi from 'joi';
import { MESSAGE_KINDS } from './messageTemplate';
import { ROLES } from '../core/doors';
import { isCivilDate } from '../core/shared';
import { weekHours } from './deskRequests';
import { id, version, words, zoneRef } from './requestParts';
import { pin } from './requests';

const name = (most: number): Joi.StringSchema => Joi.string().trim().min(1).max(most).required();
/** ISO 4217, as far as this Node.js knows it. */
const currency = Joi.string()
  .valid(...Intl.supportedValuesOf('currency'))
  .required();
export const firstRequest = Joi.alternatives(
  Joi.object({ name: Joi.object({ name: name(60), currency }).required() }),
  Joi.object({ you: Joi.object({ name: name(60), pin: pin.allow(null).required() }).required() }),
  Joi.object({ shelf: Joi.object({ products: Joi.array().items(id).unique().max(100).required() }).required() }),
  Joi.object({ hours: weekHours }),
  Joi.object({ client: Joi.object({ name: name(80) }).required() }),
  Joi.object({ finish: Joi.boolean().valid(true).required() }),
).required();

const level = Joi.string().valid('trainee', 'practised', 'expert').required();
const role = Joi.string()
  .valid(...ROLES)
  .required();
export const houseRequest = Joi.alternatives(
  Joi.object({
    studio: Joi.object({
      version,
      name: name(60),
      timeZone: Joi.string().max(60).required(),
      currency,
      heatUnit: Joi.string().valid('C', 'F').required(),
      lengthUnit: Joi.string().valid('mm', 'in').required(),
      weightUnit: Joi.string().valid('g', 'oz').required(),
      firstWeekday: Joi.number().integer().min(0).max(6).required(),
      roomC: Joi.number().min(5).max(45).required(),
      humidityPct: Joi.number().min(0).max(100).required(),
    }).required(),
  }),
  Joi.object({ newPerson: Joi.object({ name: name(60), level, role }).required() }),
  Joi.object({
    person: Joi.object({
      id: id.required(),
      name: name(60),
      level,
      role,
      active: Joi.boolean().required(),
      does: Joi.array().items(id).unique().max(200).allow(null).required(),
    }).required(),
  }),
  Joi.object({
    service: Joi.object({
      id: id.allow(null).required(),
      name: name(60),
      says: words(160).required(),
      zones: Joi.array().items(zoneRef).min(1).max(40).required(),
    }).required(),
  }),
  Joi.object({ noService: Joi.object({ id: id.required() }).required() }),
).required();

export const pinRequest = Joi.object({
  id: id.required(),
  old: pin.allow(null).required(),
  pin: pin.required(),
}).required();

export const wayRequest = Joi.object({
  version,
  way: id.required(),
  choice: id.required(),
  reason: words(160).required(),
}).required();
export const textRequest = Joi.object({
  kind: Joi.string()
    .valid('consent', 'guardian', 'care', ...MESSAGE_KINDS)
    .required(),
  words: words(4000).required(),
}).required();

/** What of the trail is asked for, from the address. */
export const trailQuery = Joi.object({
  person: id,
  client: id,
  kind: Joi.string().valid('write', 'read'),
  on: Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .custom((value: string, helpers) => (isCivilDate(value) ? value : helpers.error('any.invalid'))),
  before: Joi.number().integer().min(1),
}).required();
