// What the studio's settings and its first run send.

import Joi from 'joi';
import { weekHours } from './deskRequests';
import { id } from './requestParts';
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
