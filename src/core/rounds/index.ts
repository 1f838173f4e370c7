export { visitRounds } from './visitRounds';
export type { Round, ZoneInVisit } from './visitRounds';
export { joinJobs, roundSchedule } from './roundSchedule';
export type { HandsLimits, PartPattern, PatternedPart, RoundSchedule, ZoneJobs } from './roundSchedule';
