export { hoursFault, openOn, USUAL_HOURS, weekdayOf } from './hours';
export type { ClosedDays, DaySpan, WeekHours } from './hours';
export { freePlaces, nearestStart, proposeSlots, slotOn } from './slots';
export type { Busy, Slot, SlotInput } from './slots';
export { smoothDaysFor, smoothSeries } from './smoothOn';
export type { SmoothInput, SmoothSeries } from './smoothOn';
