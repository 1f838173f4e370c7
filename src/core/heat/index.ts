export { conduct, buildGrid, gradedSteps, tempAtDepth } from './conduction';
export type { Layer, Grid, TopSide } from './conduction';
export { burnRate, BURN_LIMIT } from './burn';
export { solveSkinHeat, skinInState, CORE_C, LATEST_PULL_CAP_S } from './skinHeat';
export type { SkinHeat, SkinHeatInput, SkinState } from './skinHeat';
export { touchFromPot, potForTouch, USUAL_HOLD_S } from './stick';
export { workingWindow, hottestTouch, feltLimitC, plannedThickness, LATER_PASS_MM, NARROWEST_K } from './window';
export type { WorkingWindow, HeatNeed, Bound } from './window';
