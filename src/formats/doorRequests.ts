// What the door sends: signing in, a changed PIN, a passphrase.

import Joi from 'joi';
import { id, version } from './requestParts';
import { pin } from './requests';

const passphrase = Joi.string().min(1).max(200).required();
const name = Joi.string().trim().min(1).max(60).required();

export const signInRequest = Joi.alternatives(
  Joi.object({ personId: id.required(), pin: pin.required() }),
  Joi.object({ name, passphrase }),
  Joi.object({ name, code: Joi.string().trim().min(1).max(40).required(), passphrase }),
).required();

export const turnRequest = Joi.alternatives(
  Joi.object({ on: Joi.object({ personId: id.required(), pin: pin.required(), passphrase }).required() }),
  Joi.object({ off: Joi.object({ passphrase }).required() }),
).required();

export const mineRequest = Joi.alternatives(
  Joi.object({ pin: Joi.object({ old: pin.required(), pin: pin.required() }).required() }),
  Joi.object({ passphrase: Joi.object({ pin: pin.required(), passphrase }).required() }),
  Joi.object({ codes: Joi.object({ passphrase }).required() }),
  Joi.object({ endOthers: Joi.boolean().valid(true).required() }),
).required();

export const vouchRequest = Joi.object({
  code: Joi.string().max(60).required(),
  zones: Joi.array().items(Joi.string().max(60).allow(null)).min(1).max(60).required(),
  reason: Joi.string().trim().min(8).max(500).required(),
  personId: id.required(),
  pin: pin.required(),
}).required();
export const pairRequest = Joi.object({
  code: Joi.string().trim().min(1).max(20).required(),
  name: Joi.string().trim().min(1).max(40).required(),
}).required();
const tabletId = Joi.string().hex().length(64).required();
export const tabletRequest = Joi.alternatives(
  Joi.object({ forget: Joi.object({ id: tabletId }).required() }),
  Joi.object({ name: Joi.object({ id: tabletId, name: Joi.string().trim().allow('').max(40).required() }).required() }),
).required();

export const eraseRequest = Joi.object({
  name: Joi.string().max(80).required(),
  consents: Joi.object({
    until: Joi.string()
      .pattern(/^\d{4}-\d{2}-\d{2}$/)
      .required(),
    why: Joi.string().trim().min(4).max(200).required(),
  })
    .allow(null)
    .required(),
}).required();

export const nothingRequest = Joi.object({}).required();

/** The other card of one person. */
export const mergeRequest = Joi.object({ goneId: id.required() }).required();
export const partRequest = Joi.object({ mergeId: id.required() }).required();
/** How a consent was taken back. */
export const consentEndRequest = Joi.object({ words: Joi.string().trim().min(3).max(300).required() }).required();

const years = Joi.number().integer().min(1).max(40).allow(null).required();
const months = Joi.number().integer().min(1).max(240).allow(null).required();
export const keepingRequest = Joi.object({ version, cardYears: years, messageMonths: months }).required();
export const eraseDueRequest = Joi.object({
  ids: Joi.array().items(id).min(1).max(200).unique().required(),
  count: Joi.number().integer().required(),
}).required();

/** A file that came in pieces, by its id. */
export const uploadRequest = Joi.object({ upload: id.required() }).required();
