export type { Strip, Piece, TabKind, TabOn, HandLevel, Fade, HandStrip, LayoutInput } from './types';
export { goingFrom, layOutAreas, layOutZone, hairRegion, thinnedOut } from './layOut';
export type { Layout, Cover } from './layOut';
export { largestStrip } from './sizes';
export { isSliver } from './lanes';
export { FELT_DENSITY } from './order';
export { doTouch } from './touches';
export { handworkOf } from './handwork';
export { isSpread, patchesOf } from './patches';
export { canFade, fadeOf, middleOf, neverOn, zoneShapes } from './zoneShapes';
export {
  fillGaps,
  fitStrips,
  growStrip,
  joinStrips,
  redrawStrip,
  removeStrip,
  splitStrip,
  turnStrip,
} from './stripEdits';
export type { EditResult } from './stripEdits';
export { stripFaults } from './stripFaults';
export type { StripFault, StripFaultCode } from './stripFaults';
export { betterLayout, mirrorLayout, named } from './bothSides';
