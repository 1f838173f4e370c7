export type { Strip, Piece, TabKind, TabOn, HandLevel, LayoutInput } from './types';
export { layOutZone, hairRegion } from './layOut';
export type { Layout, Cover } from './layOut';
export { largestStrip } from './sizes';
export { isSliver } from './lanes';
export { doTouch } from './touches';
export { handworkOf } from './handwork';
export { zoneShapes } from './zoneShapes';
