// Touching strips are never on the skin together: outlines within 2 mm of each other along at least 5 mm, or a tab
// within 2 mm of the other outline. Mutual; corner contact is not touching.

import { boxOf, distanceToSegment, isInside, type Ring } from '../shared';
import { sharedBorder } from './lanes';

const NEAR_CM = 0.2;
const LONG_CM = 0.5;

export interface TouchShape {
  readonly outline: Ring;
  readonly tabRing: Ring;
}

function boxesNear(a: Ring, b: Ring): boolean {
  const p = boxOf([a]);
  const q = boxOf([b]);
  return p.x0 - NEAR_CM <= q.x1 && q.x0 - NEAR_CM <= p.x1 && p.y0 - NEAR_CM <= q.y1 && q.y0 - NEAR_CM <= p.y1;
}

/** True where any point of one ring lies within 2 mm of the other, or inside it. */
export function ringsNear(a: Ring, b: Ring): boolean {
  if (!boxesNear(a, b)) return false;
  const near = (from: Ring, to: Ring): boolean =>
    from.some(
      (p) => isInside([to], p) || to.some((q, i) => distanceToSegment(p, q, to[(i + 1) % to.length] ?? q) <= NEAR_CM),
    );
  return near(a, b) || near(b, a);
}

export function doTouch(a: TouchShape, b: TouchShape): boolean {
  const outlines =
    boxesNear(a.outline, b.outline) &&
    Math.max(sharedBorder(a.outline, b.outline, NEAR_CM), sharedBorder(b.outline, a.outline, NEAR_CM)) >= LONG_CM;
  return outlines || ringsNear(a.tabRing, b.outline) || ringsNear(b.tabRing, a.outline);
}
