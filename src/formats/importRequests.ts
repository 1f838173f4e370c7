// Joi schemas of tables that are brought in, and of how their columns are read.

import Joi from 'joi';
import { CLIENT_FIELDS, MASS_UNITS, STATURE_UNITS } from './clientTable';
import { PAST_FIELDS } from './pastCsv';
import { DATE_STYLES, LENGTH_UNITS, TIME_UNITS } from './tableGuess';

export const importRequest = Joi.object({
  csv: Joi.string().allow('').max(2_000_000).required(),
}).required();
const column = Joi.number().integer().min(0).max(500);
/** Which columns of a table of past visits hold what. */
export const pastMappingRequest = Joi.object({
  columns: Joi.object({
    ...Object.fromEntries(PAST_FIELDS.map((f) => [f, column])),
    client: column.required(),
    on: column.required(),
  }).required(),
  dates: Joi.string()
    .valid(...DATE_STYLES)
    .required(),
  lengths: Joi.string()
    .valid(...LENGTH_UNITS)
    .required(),
  times: Joi.string()
    .valid(...TIME_UNITS)
    .required(),
}).required();
/** A table of clients, and which of its columns hold what. */
export const clientColumnsRequest = Joi.object({
  csv: Joi.string().allow('').max(2_000_000).required(),
  mapping: Joi.object({
    columns: Joi.object({ ...Object.fromEntries(CLIENT_FIELDS.map((f) => [f, column])), name: column.required() }),
    dates: Joi.string()
      .valid(...DATE_STYLES)
      .required(),
    statures: Joi.string()
      .valid(...STATURE_UNITS)
      .required(),
    masses: Joi.string()
      .valid(...MASS_UNITS)
      .required(),
  }),
}).required();
