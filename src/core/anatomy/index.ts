export { ZONE_IDS, FAMILIES } from './types';
export type { ZoneId, Side, Family, Zone, SkinOfZone, GrowthOfZone, StripSizeCm } from './types';
export { ZONES, INSIDE, sidesOf } from './zones';
export { sheetFor, defaultGrowthAt, bodySurfaceMosteller, bodySurfaceDuBois, REFERENCE_BSA_M2 } from './scale';
export type { Sheet, BodySize } from './scale';
export { hairsPerCm2 } from './density';
export { BODY_REGIONS, FIGURES, FIGURE_SIZE, placeIn, regionAt } from './bodyMap';
export type { BodyRegion, Figure } from './bodyMap';
