export { HAIR_FLAGS } from './types';
export type { Hair, HairFlag, HairHistory, PastLength } from './types';
export { SHORT_OR_UNDER, shortOrUnder } from './shortOrUnder';
export type { Lifted, ShortOrUnder, ShortOrUnderQuestion } from './shortOrUnder';
export {
  ENOUGH_SHARE,
  lengthSpreadCv,
  workableShare,
  tooLongShare,
  lengthStrata,
  daysUntilWorkable,
} from './todaysLengths';
export type { LengthRange, Spread } from './todaysLengths';
export {
  regrowthModel,
  regrowthCurve,
  smoothUntilDay,
  readyWindow,
  HORIZON_DAYS,
  VISIBLE_MM,
  MEDIAN_PERSON,
} from './regrowth';
export { readyBy, readyTable } from './readyTable';
export type { ReadyTable } from './readyTable';
export { visitEvery } from './shorterSeries';
export type { ShorterVisit } from './shorterSeries';
export type { PersonalGrowth, RegrowthDay, RegrowthModel, ReadyWindow } from './regrowth';
export { growthMemory, learnGrowth, observationsOf, typicalVisibleLength } from './learnGrowth';
export type { GrowthMemory } from './learnGrowth';
export type { DoubtedLength, LearnedGrowth, LengthObservation } from './learnGrowth';
