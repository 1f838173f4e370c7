export {
  crossingAt,
  growthField,
  growthAt,
  liveField,
  meanCrossing,
  meanDirection,
  nodeAt,
  nodeCentre,
  nodeDirection,
  PARTING_DEG,
} from './growthField';
export type { GrowthField, LiveField, Stroke } from './growthField';
export { CROSSING_DEG, LEAST_CROSSING, MOST_CROSSING } from './crossing';
export { partingEdges } from './partings';
export type { PartingEdge } from './partings';
export { exclusionOf, CLEARANCE_MM, MARK_KINDS, markAreaCm2 } from './marks';
export type { Mark, MarkKind, Exclusion } from './marks';
export { comb, eraseStrokes, mirrorStrokes, pinField } from './comb';
export type { Drag } from './comb';
export { COMPASS, strokesFromHandTest } from './handTests';
export type { Compass, HandTest, HandTestResult } from './handTests';
export { densityAt, eraseDensity, feelDensity, mirrorDensity } from './densityPlaces';
export type { DensityPlace } from './densityPlaces';
export { fitChart, mirrorMarks } from './fitChart';
export type { BarePlace, ChartContent } from './fitChart';
