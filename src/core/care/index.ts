export { careList } from './careList';
export type { CareItem } from './careList';
export { BEST_OFFSET_DAYS, isClear, noReturnWhy, returnDate } from './returnDate';
export type { ReturnDate, ZoneWindow, Blackout } from './returnDate';
export { postponeDates } from './postponeDates';
export { careAfter, careBefore } from './careClock';
export type { CareMoment } from './careClock';
export { CARE_TEXTS } from './careTexts';
