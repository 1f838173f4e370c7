// What the ledger's pages send.

import Joi from 'joi';
import { id, version, words } from './requestParts';
import { civilDate } from './visitCaseSchema';

/** Largest amount of one line, minor units. */
const MOST_MINOR = 10_000_000;
const amount = Joi.number().integer().min(0).max(MOST_MINOR).required();
const some = Joi.number().integer().min(1).max(MOST_MINOR).required();
const money = Joi.string().valid('cash', 'card', 'transfer');
const paid = Joi.string().valid('cash', 'card', 'transfer', 'credit', 'nothing').allow(null).required();

const act = Joi.alternatives(
  Joi.object({
    take: Joi.object({
      visitId: id.required(),
      lines: Joi.array()
        .items(Joi.object({ item: id.required(), amountMinor: amount }))
        .min(1)
        .max(20)
        .required(),
      paid,
      creditId: id.allow(null).required(),
      words: words(120).required(),
    }).required(),
  }),
  Joi.object({
    goods: Joi.object({ moveSeq: Joi.number().integer().min(1).required(), amountMinor: amount, paid }).required(),
  }),
  Joi.object({
    credit: Joi.object({
      kind: Joi.string().valid('gift', 'package', 'deposit').required(),
      clientId: id.allow(null).required(),
      amountMinor: some,
      paid: money.required(),
      uses: Joi.number().integer().min(0).max(100).required(),
      item: id.allow(null).required(),
      words: words(120).required(),
    }).required(),
  }),
  Joi.object({
    refund: Joi.object({
      entryId: id.required(),
      amountMinor: some,
      paid: money.required(),
      words: words(120).required(),
    }).required(),
  }),
  Joi.object({ undo: Joi.object({ entryId: id.required() }).required() }),
  Joi.object({ say: Joi.object({ entryId: id.required(), paid: money.required() }).required() }),
  Joi.object({
    close: Joi.object({ countedMinor: amount.allow(null), words: words(120).required() }).required(),
  }),
);

/** An act, and the day that it counts on; absent = today. */
export const ledgerRequest = Joi.object({ onDate: civilDate, act: act.required() }).required();

const said = (most: number): Joi.NumberSchema => Joi.number().integer().min(0).max(most).allow(null).required();
export const yearRequest = Joi.object({
  version,
  year: Joi.object({
    placesAWeek: said(500),
    priceMinor: said(MOST_MINOR),
    weeksOff: said(52),
    turnoverMin: said(120),
    noShowPermille: said(1000),
    materialsMinor: said(MOST_MINOR),
    roomYearMinor: said(1_000_000_000),
    taxPermille: said(900),
  }).required(),
}).required();
