// What the paste kitchen's page sends.

import Joi from 'joi';
import { BATCH_STEPS, COLOURS } from '../core/kitchen';
import { version, words } from './requestParts';

const heat = Joi.number().min(0).max(200);
export const newBatchRequest = Joi.object({
  firmness: Joi.string().valid('soft', 'firm', 'hard').required(),
  sugarG: Joi.number().integer().min(100).max(5000).required(),
}).required();

export const batchRequest = Joi.alternatives(
  Joi.object({ heat: heat.required() }),
  Joi.object({
    colour: Joi.string()
      .valid(...COLOURS)
      .required(),
  }),
  Joi.object({ trouble: Joi.string().valid('too-soft', 'too-hard', 'crystals', 'burnt', 'foam').required() }),
  Joi.object({ off: heat.required() }),
  Joi.object({ on: Joi.valid(true).required() }),
  Joi.object({
    step: Joi.string()
      .valid(...BATCH_STEPS)
      .required(),
  }),
  Joi.object({
    jar: Joi.object({
      jarG: Joi.number().integer().min(10).max(8000).required(),
      words: words(400).required(),
    }).required(),
  }),
  Joi.object({ thrown: Joi.object({ words: words(400).required() }).required() }),
  Joi.object({ words: words(400).required() }),
).required();

export const kitchenRequest = Joi.object({
  version,
  kitchen: Joi.object({
    heightM: Joi.number().integer().min(-400).max(5000).allow(null).required(),
    boilsC: Joi.number().min(80).max(105).allow(null).required(),
    kettle: Joi.object({
      widthCm: Joi.number().min(8).max(50).required(),
      heightCm: Joi.number().min(5).max(50).required(),
    }).required(),
    hands: Joi.string().valid('cool', 'usual', 'warm').required(),
  }).required(),
}).required();
