// What the schemas of requests are made of.

import Joi from 'joi';
import { ZONE_IDS } from '../core/anatomy';

export const id = Joi.string()
  .pattern(/^[A-Za-z0-9_-]{1,64}$/)
  .messages({ 'string.pattern.base': '{{#label}} must be an id' });
export const version = Joi.number().integer().min(1).required();
export const instant = Joi.number().integer().min(0).max(4_102_444_800_000);
export const words = (max: number): Joi.StringSchema => Joi.string().allow('').max(max);
const side = Joi.string().valid('left', 'right', 'middle');
export const zoneRef = Joi.object({
  zone: Joi.string()
    .valid(...ZONE_IDS)
    .required(),
  side: side.required(),
});
