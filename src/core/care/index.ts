export { careList } from './careList';
export type { CareItem } from './careList';
export { noReturnWhy, returnDate } from './returnDate';
export type { ReturnDate, ZoneWindow, Blackout } from './returnDate';
export { postponeDates } from './postponeDates';
