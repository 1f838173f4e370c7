export { likelyCauses } from './causes';
export type { Cause, ReadingFacts, LeftKind } from './causes';
export { nextAction } from './nextAction';
export type { NextAction, AfterPass } from './nextAction';
export { rankedFaults } from './faults';
export type { Fault } from './faults';
