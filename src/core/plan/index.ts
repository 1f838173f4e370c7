export { judgeCase, planVisit } from './planVisit';
export type { CaseError, PlanSettings } from './planVisit';
export { caseFaults } from './checkCase';
export type { CaseFault } from './checkCase';
export type { Plan, PlanZone, PlanOption, PlanStrip, PlanHeat, PlanRegrowth, WorkGroup } from './planTypes';
export type { VisitCase, ZoneCase, ClientCase, StudioCase, HairCase } from './visitCase';
export type { ScheduleEvent, Deed } from './visitSchedule';
export { liveGroups } from './liveGroups';
