export { USUAL_POT } from './pot';
export type { Pot } from './pot';
export { coolsInS, readyAfterS, refilled, switchDown } from './ready';
export type { HeatingInput, PotWindow, Refilled, SwitchDown } from './ready';
export { pulsesFromCold } from './microwave';
