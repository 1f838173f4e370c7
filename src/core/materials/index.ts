export { massOnSkinG, massUsedG, dipsFor, materialsFor, productCostMinor, totalMinor } from './use';
export type { MaterialLine, StripUse, UseInput } from './use';
export { TURNOVER_MIN, tableMinutes, tweezeS, visitParts, bookingMinutes } from './time';
export type { VisitParts } from './time';
export { yearlyTakingsMinor } from './money';
export { marginOf } from './margin';
export type { Margin, Rates } from './margin';
