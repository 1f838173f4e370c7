// A long zone is drawn as it lies on the table: head to the left. The whole plan of the zone is turned, so that numbers
// and words stay upright.

import type { PlanZone } from '@/core/plan';
import type { Ring, Vec } from '@/core/shared';
import { edgesAlong, edgeWords, type EdgeWords } from '../edgeWords';
import { liesAlong } from '../sheetView';

export interface Lying {
  readonly zone: PlanZone;
  readonly edges: EdgeWords;
  /** SVG transform from the sheet to the drawing; empty where it is not turned. */
  readonly transform: string;
}

export function lying(zone: PlanZone): Lying {
  const [w, h] = zone.sheetCm;
  const edges = edgeWords(zone.zone, zone.side);
  if (!liesAlong(w, h)) return { zone, edges, transform: '' };
  // the top goes to the left, the right to the top
  const at = ([x, y]: Vec): Vec => [y, w - x];
  const way = ([x, y]: Vec): Vec => [y, 0 - x];
  const ring = (r: Ring): Ring => r.map(at);
  return {
    zone: {
      ...zone,
      sheetCm: [h, w],
      outline: ring(zone.outline),
      keep: zone.keep.map((k) => ({ outline: ring(k.outline) })),
      excluded: zone.excluded.map((e) => ({ ...e, at: at(e.at) })),
      strips: zone.strips.map((s) => ({
        ...s,
        outline: ring(s.outline),
        growth: way(s.growth),
        lay: way(s.lay),
        pull: way(s.pull),
        tab: at(s.tab),
      })),
    },
    edges: edgesAlong(edges),
    transform: `matrix(0 -1 1 0 0 ${w})`,
  };
}
