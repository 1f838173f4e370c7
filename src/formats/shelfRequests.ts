// What the shelf's page sends.

import Joi from 'joi';
import { id, version, words } from './requestParts';
import { civilDate } from './visitCaseSchema';

const amount = Joi.number().integer().min(0).max(1_000_000).required();
const some = Joi.number().integer().min(1).max(1_000_000).required();
const terms = {
  name: Joi.string().trim().min(1).max(60).required(),
  pack: some,
  deliveryDays: Joi.number().integer().min(0).max(120).required(),
  reserve: amount,
  supplier: words(60).required(),
};
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
  Joi.object({
    thing: Joi.object({
      ...terms,
      kind: Joi.string().valid('consumable', 'retail').required(),
      unit: Joi.string().valid('g', 'ml', 'piece', 'pair').required(),
    }).required(),
  }),
  Joi.object({ terms: Joi.object({ ...terms, itemId: id.required(), version }).required() }),
  Joi.object({ back: Joi.object({ moveSeq: Joi.number().integer().min(1).required() }).required() }),
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
