// Boolean work leaves slits and spikes without width, and rings that touch themselves in a point. Both are taken out
// here: a strip's outline is a simple ring.

import { signedArea, type Ring, type Vec } from '../shared';

/** Points this near are one, cm. */
const SAME_CM = 1e-3;
/** A corner sharper than this leads out and back over the same line, degrees. */
const SPIKE_DEG = 1.5;
const SPIKE_COS = Math.cos((SPIKE_DEG * Math.PI) / 180);

const isSame = (a: Vec, b: Vec): boolean => Math.abs(a[0] - b[0]) < SAME_CM && Math.abs(a[1] - b[1]) < SAME_CM;

function isSpike(before: Vec, at: Vec, after: Vec): boolean {
  const [ax, ay, bx, by] = [before[0] - at[0], before[1] - at[1], after[0] - at[0], after[1] - at[1]];
  const long = Math.hypot(ax, ay) * Math.hypot(bx, by);
  return long === 0 || (ax * bx + ay * by) / long > SPIKE_COS;
}

/** The ring without points that only lead out and back, and without the same point twice running. */
export function withoutSpikes(ring: Ring): Ring {
  let points = [...ring];
  for (let k = 0; k < points.length && points.length > 3;) {
    const n = points.length;
    const [before, at, after] = [points[(k + n - 1) % n], points[k], points[(k + 1) % n]];
    if (before && at && after && (isSame(at, after) || isSpike(before, at, after))) {
      points = points.filter((_, i) => i !== k);
      // what stands before may be one now; the first points stand after the last
      k = k < 2 || k >= points.length ? 0 : k - 2;
    } else k++;
  }
  return points;
}

/** Simple rings of a ring that may touch itself in points; what has no area is dropped. */
export function simpleRings(ring: Ring): readonly Ring[] {
  const clean = withoutSpikes(ring);
  for (let i = 0; i < clean.length; i++) {
    for (let j = i + 2; j < clean.length; j++) {
      const [a, b] = [clean[i], clean[j]];
      if (!a || !b || !isSame(a, b) || (i === 0 && j === clean.length - 1)) continue;
      return [clean.slice(i, j), [...clean.slice(0, i), ...clean.slice(j)]].flatMap(simpleRings);
    }
  }
  return clean.length >= 3 && Math.abs(signedArea(clean)) > SAME_CM ** 2 ? [clean] : [];
}
