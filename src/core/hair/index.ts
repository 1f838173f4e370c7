export type { Hair, HairHistory, PastLength } from './types';
export { ENOUGH_SHARE, lengthSpreadCv, workableShare, tooLongShare, lengthStrata, daysUntilWorkable } from './todaysLengths';
export type { LengthRange } from './todaysLengths';
export { regrowthModel, regrowthCurve, smoothUntilDay, readyWindow, HORIZON_DAYS, VISIBLE_MM, MEDIAN_PERSON } from './regrowth';
export type { PersonalGrowth, RegrowthDay, RegrowthModel, ReadyWindow } from './regrowth';
export { learnGrowth, observationsOf, typicalVisibleLength } from './learnGrowth';
export type { LearnedGrowth, LengthObservation } from './learnGrowth';
