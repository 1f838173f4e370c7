export { STAGES, sugarShareAt, syrupBoilsC, waterBoilsC } from './boiling';
export type { Stage } from './boiling';
export { boilPlan, learnedStoveW, secondsLeft, stoveFrom, USUAL_STOVE_W } from './boil';
export type { BoilPlan, BoilPoint, HeatRead } from './boil';
export {
  boilsWithC,
  endC,
  firmnessFor,
  headroom,
  LOST_SHARE,
  recipeFor,
  startG,
  sugarForJarG,
  waterAtStartG,
  waterLeftG,
  yieldG,
} from './recipe';
export type { Firmness, Hands, Headroom, Kettle, Recipe } from './recipe';
export { BOIL_ON_K, remedies } from './remedies';
export type { Remedy, Trouble } from './remedies';
export {
  BATCH_STEPS,
  COLOURS,
  coolsInMin,
  DONE_COLOUR,
  KEEPS_DAYS,
  KNEAD_MIN,
  nextLot,
  nextStep,
  TOUCHABLE_C,
} from './steps';
export type { BatchStep, Colour } from './steps';
