export { likelyCauses } from './causes';
export type { Cause, ReadingFacts, LeftKind } from './causes';
export { isSaid, READ_FIELDS } from './said';
export type { ReadField } from './said';
export { nextAction } from './nextAction';
export type { NextAction, AfterPass } from './nextAction';
export { rankedFaults } from './faults';
export type { Fault } from './faults';
