// A strip as a hand lays it: from where the stick touches to where it is lifted, a rounded foot, the tab at its end.

import { add, norm, perpendicular, scale, sub, unit, type Ring, type Vec } from '../shared';

/** Shorter than this nothing was laid, cm. */
export const SHORTEST_LAY_CM = 1;

export interface HandStrip {
  readonly outline: Ring;
  /** The stick's way, unit. */
  readonly lay: Vec;
  /** Middle of the tab's edge. */
  readonly tab: Vec;
  readonly lengthCm: number;
}

/** Null where the stroke is too short to be a strip. */
export function handStrip(from: Vec, to: Vec, widthCm: number): HandStrip | null {
  const lay = unit(sub(to, from));
  const lengthCm = norm(sub(to, from));
  if (!lay || lengthCm < SHORTEST_LAY_CM) return null;
  const side = scale(perpendicular(lay), widthCm / 2);
  const round = Math.min(widthCm / 2, lengthCm / 2);
  const heel = add(from, scale(lay, round));
  const foot = Array.from({ length: 9 }, (_, k): Vec => {
    const a = (Math.PI * k) / 8;
    const across = scale(side, Math.cos(a));
    return add(add(heel, across), scale(lay, -round * Math.sin(a)));
  });
  // along the one side to the tab, across it, back along the other, round the foot
  return { outline: [add(to, scale(side, -1)), add(to, side), ...foot], lay, tab: to, lengthCm };
}
