export { ok, fail } from './result';
export type { Result, CoreError } from './result';
export { add, sub, scale, dot, cross, norm, distance, lerp, perpendicular, unit, rotate, angleBetweenDeg } from './vec';
export type { Vec, Ring } from './vec';
export { recaller } from './recall';
export type { Recall } from './recall';
export { seededRandom } from './random';
export type { Random } from './random';
export {
  isCivilDate,
  addDays,
  addMonths,
  dateInWords,
  daysBetween,
  yearsBetween,
  laterDate,
  earlierDate,
} from './civilDate';
export type { CivilDate } from './civilDate';
export {
  normalCdf,
  normalCdfFast,
  normalQuantile,
  sigmaOfCv,
  logNormalCdf,
  logNormalShare,
  logNormalStrata,
} from './distributions';
export { clamp, roundTo, sum } from './numbers';
export {
  intersectRegions,
  subtractRegions,
  uniteRings,
  offsetRing,
  signedArea,
  regionArea,
  discRing,
  isInside,
  connectedPieces,
  boxOf,
  extentAlong,
  crossingsAt,
  samplePoints,
  distanceToSegment,
} from './polygons';
export type { Region, Box } from './polygons';
