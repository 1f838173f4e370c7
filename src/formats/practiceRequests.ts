// What the practice room sends: answers, strips of a learner, examinations and their board.

import Joi from 'joi';
import { MARKS, MOST_MINUTES, MOST_STEPS, PICTURES } from '../core/exam';
import { LEVELS, PIECES } from '../core/practice';
import { id, words } from './requestParts';

/** An answer in the practice room. */
export const drillAnswerRequest = Joi.object({
  skill: words(60).required(),
  seed: Joi.number().integer().min(0).max(2147483646).required(),
  // a rhythm is many strokes
  answer: words(120).required(),
}).required();

export const newExamRequest = Joi.object({
  level: Joi.string()
    .valid(...LEVELS)
    .required(),
  candidate: Joi.alternatives(
    Joi.object({ personId: id.required() }),
    Joi.object({ name: words(60).required() }),
  ).required(),
  mode: Joi.string().valid('two', 'self').required(),
}).required();

const step = words(40).required();
const kind = (name: string): Joi.StringSchema => Joi.string().valid(name).required();
/** One thing that happens at an examination; its time is the server's. */
export const examActRequest = Joi.alternatives(
  Joi.object({ kind: Joi.string().valid('start', 'back', 'undo', 'close').required() }),
  Joi.object({ kind: Joi.string().valid('done', 'ask').required(), step }),
  Joi.object({
    kind: kind('mark'),
    step,
    mark: Joi.string()
      .valid(...MARKS)
      .required(),
  }),
  Joi.object({ kind: kind('penalty'), penalty: words(40).required() }),
  Joi.object({ kind: kind('note'), step, text: words(300).required() }),
  Joi.object({ kind: kind('halt'), text: words(300).required() }),
).required();

const marks = Joi.number().min(0).max(100);
export const boardRequest = Joi.object({
  version: Joi.number().integer().min(0).required(),
  board: Joi.object({
    minutes: Joi.number().min(1).max(MOST_MINUTES).required(),
    callMin: Joi.number().min(0).max(MOST_MINUTES).allow(null).required(),
    half: Joi.number().min(0).max(1).required(),
    pass: Joi.number().min(0).max(1).required(),
    steps: Joi.array()
      .items(
        Joi.object({
          id: words(40).required(),
          act: words(80).required(),
          how: words(160).allow('').required(),
          name: words(80).required(),
          looksFor: words(160).allow('').required(),
          worth: marks.required(),
          picture: Joi.string()
            .valid(...PICTURES)
            .required(),
        }),
      )
      .max(MOST_STEPS)
      .required(),
    penalties: Joi.array()
      .items(Joi.object({ id: words(40).required(), name: words(80).required(), off: marks.required() }))
      .max(MOST_STEPS)
      .required(),
  }).required(),
}).required();

const count = Joi.number().integer().min(0).max(100_000).required();
/** A strip that somebody has practised, as the simulator answered it. */
export const practisedStripRequest = Joi.object({
  level: Joi.string()
    .valid(...LEVELS)
    .required(),
  piece: Joi.string()
    .valid(...PIECES)
    .required(),
  points: Joi.number().integer().min(0).max(100).required(),
  ...{ out: count, broken: count, left: count },
  fault: words(40).allow(null).required(),
}).required();
