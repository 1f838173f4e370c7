export { scheduleHands, oneByOneS, EXACT_JOBS } from './schedule';
export type { Schedule } from './schedule';
export { COAT_REST_S, setAfter } from './types';
export type { CoatRest, HandsInput, StripJob, Op, OpKind } from './types';
export { actFault, beginsWith } from './admit';
export type { ActFault, Admitting, Fault } from './admit';
export {
  DONE_WORDS,
  INCIDENT_DONE,
  INCIDENT_KINDS,
  INCIDENT_TOLD,
  INCIDENT_WORDS,
  incidentLines,
  incidentPlace,
  TOLD_WORDS,
} from './incident';
export type { Incident, IncidentDone, IncidentKind, IncidentTold } from './incident';
export { MOST_PASSES } from './addedRound';
export type { AddedRound, AddedStrip } from './addedRound';
export { liveTable, pressingStrip } from './live';
export { waxLies } from './lies';
export { bringsWax, deeds, hasBegun, standing, MARKS, TABLE_EVENT_KINDS } from './tableEvents';
export { isJustTested } from './wristTest';
export { earlyBy, isArmed, press, type Armed } from './brake';
export { bandOf, signalOf } from './signal';
export type { Band, Signal, SignalState } from './signal';
export { stepsOf } from './steps';
export { aidOf, SEEN, WATER_MIN } from './firstAid';
export type { Aid, AidStep } from './firstAid';
export { replan } from './replan';
export type { LiveTable, LiveGroup, Act } from './live';
export type { LiveStrip } from './liveStrips';
export type { StripMark, TableEvent } from './tableEvents';
export { scheduleInOrder } from './fixedOrder';
export { tableAfter, opsOf } from './state';
export type { TableState } from './state';
export { patternSchedule, SIDES_WORDS } from './patterns/patternSchedule';
export type { PatternSheet, SidesBy } from './patterns/patternSchedule';
export { PATTERN_WORDS } from './patterns/orders';
export type { PatternName } from './patterns/orders';
export { LAST_COURSE } from './patterns/places';
export { inCourses } from './patterns/courses';
export type { Place } from './patterns/places';
