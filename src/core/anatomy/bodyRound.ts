// The body round a zone's sheet, as a ghost to know one's bearings by: the figure's silhouette and the zones beside it,
// laid over the sheet by the box of the zone's own region. So only about; nothing is measured on it.

import type { Vec } from '../shared';
import { BODY_REGIONS, SILHOUETTES, type BodyRegion } from './bodyMap';
import type { Side, ZoneId } from './types';

export interface BodyRound {
  /** Closed outlines of the figure, shares of the sheet; they reach far over it. */
  readonly silhouette: readonly (readonly Vec[])[];
  /** Zones beside it on the same figure. */
  readonly beside: readonly (readonly Vec[])[];
}

/** On the sheet of the brow its surroundings are drawn already. */
const DRAWN_ITSELF: readonly ZoneId[] = ['brow'];
/** Zones farther off than this, in sizes of the sheet, are left out. */
const NEAR = 0.6;

/** From a figure's drawing to the shares of a region's sheet. */
function ontoSheet({ outline, figure, side }: BodyRegion): (at: Vec) => Vec {
  const [xs, ys] = [outline.map((p) => p[0]), outline.map((p) => p[1])];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  // from behind a limb's outer side is on the other side than on its sheet
  const flips = figure === 'back' && side !== 'middle';
  return ([x, y]) => {
    const u = (x - x0) / (x1 - x0);
    return [flips ? 1 - u : u, (y - y0) / (y1 - y0)];
  };
}

/** Null where no figure shows the zone, or its sheet draws what lies round it. */
export function bodyRound(zone: ZoneId, side: Side): BodyRound | null {
  const region = BODY_REGIONS.find((r) => r.zone === zone && r.side === side);
  if (!region || DRAWN_ITSELF.includes(zone)) return null;
  const place = ontoSheet(region);
  const isNear = (ring: readonly Vec[]): boolean =>
    ring.some(([u, v]) => u > -NEAR && u < 1 + NEAR && v > -NEAR && v < 1 + NEAR);
  return {
    silhouette: SILHOUETTES[region.figure].map((ring) => ring.map(place)),
    beside: BODY_REGIONS.filter((r) => r.figure === region.figure && r !== region && r.zone !== zone)
      .map((r) => r.outline.map(place))
      .filter(isNear),
  };
}
