// Spread and take up: soft wax on a broad back and thin sugar under cloth are spread over a whole patch at once and
// taken up cloth by cloth. Patches of strips that lie side by side, in the order of laying. Common practice, no source;
// sizes from memory.

import type { Family, ZoneId } from '../anatomy';
import type { Way } from '../products';
import type { Strip } from './types';

/** A patch is taken up before it has cooled: at most so many cloths and so much ground. */
const MOST_STRIPS = 4;
const LARGEST_CM2 = 360;
const BROAD: readonly ZoneId[] = ['upper-back', 'lower-back'];

/** Whether this product is spread over a patch here instead of strip by strip. */
export const isSpread = (zone: { readonly id: ZoneId; readonly face: boolean }, family: Family, way: Way): boolean =>
  (family === 'soft' && BROAD.includes(zone.id)) || (family === 'sugar' && way === 'strip' && !zone.face);

/** Patches by strip ids, each with its first strip first. Every strip is in one. */
export function patchesOf(
  strips: readonly Pick<Strip, 'id' | 'areaCm2' | 'touches'>[],
): readonly (readonly string[])[] {
  const patches: { ids: string[]; areaCm2: number }[] = [];
  for (const strip of strips) {
    const last = patches.at(-1);
    if (
      last &&
      last.ids.length < MOST_STRIPS &&
      last.areaCm2 + strip.areaCm2 <= LARGEST_CM2 &&
      last.ids.some((id) => strip.touches.includes(id))
    ) {
      last.ids.push(strip.id);
      last.areaCm2 += strip.areaCm2;
    } else patches.push({ ids: [strip.id], areaCm2: strip.areaCm2 });
  }
  return patches.map((p) => p.ids);
}
