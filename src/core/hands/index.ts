export { scheduleHands, oneByOneS, EXACT_JOBS } from './schedule';
export type { Schedule } from './schedule';
export { COAT_REST_S, setAfter } from './types';
export type { CoatRest, HandsInput, StripJob, Op, OpKind } from './types';
export { actFault, beginsWith } from './admit';
export type { ActFault } from './admit';
export { liveTable, hasBegun, pressingStrip, replan, MARKS, TABLE_EVENT_KINDS } from './live';
export type { LiveTable, LiveGroup, LiveStrip, TableEvent, TableEventKind, StripMark, Act } from './live';
