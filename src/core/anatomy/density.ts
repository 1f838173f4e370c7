// Hairs per cm² from the density felt as 1–5. Steps from memory: each about half as many again as the last.

import { isInside, type Vec } from '../shared';
import type { Sheet } from './scale';
import type { Side, Zone } from './types';

const STEP: readonly number[] = [0.3, 0.6, 1, 1.5, 2.1];

/** Visible hairs per cm² of a zone whose density at step 3 is `atThree`. `density` 1–5, may lie between steps. */
export function hairsPerCm2(atThree: number, density: number): number {
  const low = Math.min(5, Math.max(1, Math.floor(density)));
  const high = Math.min(5, low + 1);
  const a = STEP[low - 1] ?? 1;
  const b = STEP[high - 1] ?? a;
  return atThree * (a + (b - a) * (density - low));
}

/** Share of the zone's density at which hair stands at a place of the sheet: round a brow there are strays only. */
export function standingShare(
  { thinned }: Pick<Zone, 'thinned'>,
  side: Side,
  { widthCm, heightCm }: Pick<Sheet, 'widthCm' | 'heightCm'>,
  [x, y]: Vec,
): number {
  if (!thinned) return 1;
  const u = x / widthCm;
  return isInside([thinned.within], [side === 'right' ? 1 - u : u, y / heightCm]) ? 1 : thinned.outside;
}
