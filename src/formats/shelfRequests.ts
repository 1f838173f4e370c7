// What the shelf's page sends.

import Joi from 'joi';
import { id, words } from './requestParts';
import { civilDate } from './visitCaseSchema';

const amount = Joi.number().integer().min(0).max(1_000_000).required();
const some = Joi.number().integer().min(1).max(1_000_000).required();
export const shelfRequest = Joi.alternatives(
  Joi.object({
    delivery: Joi.object({
      itemId: id.required(),
      lot: words(40).required(),
      amount: some,
      expiresOn: civilDate.allow(null).required(),
    }).required(),
  }),
  Joi.object({ sale: Joi.object({ itemId: id.required(), amount: some }).required() }),
  Joi.object({ waste: Joi.object({ lotId: id.required(), amount: some }).required() }),
  Joi.object({
    count: Joi.array()
      .items(Joi.object({ itemId: id.required(), amount }))
      .unique('itemId')
      .min(1)
      .max(200)
      .required(),
  }),
).required();
