export { USUAL_POT } from './pot';
export type { Pot } from './pot';
export { pulsesFromCold, readyAfterS, switchDown } from './ready';
export type { HeatingInput, PotWindow, SwitchDown } from './ready';
