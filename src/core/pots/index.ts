export { evenPot, potStep, temps, USUAL_POT } from './pot';
export type { Pot, PotState } from './pot';
export { coolsInS, readyAfterS, refilled, switchDown } from './ready';
export type { HeatingInput, PotWindow, Refilled, SwitchDown } from './ready';
export { pulsesFromCold } from './microwave';
export { inWindow, isOverSet, loadWarning, potStanding, windowInPot } from './standing';
export type { InWindow, LoadWarning, PotHeard, PotSample, PotStanding, PotWay } from './standing';
export { potDay } from './potDay';
export type { PotDay, PotDayInput, PotVisit } from './potDay';
