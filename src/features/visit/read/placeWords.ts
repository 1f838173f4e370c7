// Where on a zone something is, in the words at its borders: `near the elbow`.

import type { PlanZone } from '@/core/plan';
import { boxOf, type Vec } from '@/core/shared';
import { edgeWords } from '../edgeWords';

/** Nearer to the middle than this share of the half, nothing is said of a border. */
const MIDDLE = 0.34;

/** @param at sheet cm */
export function placeWords({ zone, side, outline }: Pick<PlanZone, 'zone' | 'side' | 'outline'>, [x, y]: Vec): string {
  const { x0, x1, y0, y1 } = boxOf([outline]);
  const { up, down, left, right } = edgeWords(zone, side);
  const across = (2 * x - x0 - x1) / Math.max(1e-6, x1 - x0);
  const along = (2 * y - y0 - y1) / Math.max(1e-6, y1 - y0);
  if (Math.max(Math.abs(across), Math.abs(along)) < MIDDLE) return 'in the middle';
  const [lengthwise, sideways] = [along < 0 ? up : down, across < 0 ? left : right];
  return `near the ${Math.abs(along) >= Math.abs(across) ? lengthwise : sideways}`;
}
