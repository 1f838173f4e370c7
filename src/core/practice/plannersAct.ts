// The planner's own strip on the same ground: what the learner's is held against.

import { layAndPull, type Product, type Way } from '../products';
import { clamp, unit, type Ring, type Vec } from '../shared';
import { heatOfAct, windowOf } from './actHeat';
import type { GrownScene } from './growHairs';
import { hairsUnder } from './covered';
import type { Act } from './types';

/** Flat: knuckles along the skin. */
export const FLAT_DEG = 4;
/** Film in one coat stretches on hair from this coarseness on. */
const COARSE_FROM = 4;
/** A brisk pull on body hair, and on fine hair (from memory). */
export const BRISK_CM_S = 60;
export const FINE_CM_S = 40;
export const briskFor = (coarseness: number): number =>
  FINE_CM_S + (BRISK_CM_S - FINE_CM_S) * clamp(coarseness - 1, 0, 2) * 0.5;
/** Waits a little past the first moment. */
const PAST_SET_S = 3;

/** Mean way of the hairs under a strip; the way down the sheet where there is none. */
export function meanWay(grown: Pick<GrownScene, 'hairs'>, outline: Ring): Vec {
  let [x, y] = [0, 0];
  // where two layers cross, the one that most hair follows
  for (const hair of hairsUnder(grown, outline).filter((h) => !h.crosses)) {
    x += hair.way[0];
    y += hair.way[1];
  }
  return unit([x, y]) ?? [0, 1];
}

/** Null where this product has no working heat here. */
export function plannersAct(grown: GrownScene, product: Product, way: Way, outline: Ring): Act | null {
  const { scene } = grown;
  const window = windowOf(scene, product, way);
  if (window.empty) return null;
  const { lay, pull } = layAndPull(way, meanWay(grown, outline));
  const slab = {
    product,
    way,
    touchC: window.targetC,
    thicknessMm: window.thicknessMm,
    coats: product.body === 'film' && scene.hair.coarseness >= COARSE_FROM ? (2 as const) : (1 as const),
  };
  const { setS } = heatOfAct(scene, slab);
  return {
    ...slab,
    outline,
    lay,
    waitS: Math.min(setS.min + PAST_SET_S, (setS.min + setS.max) / 2),
    pull: { way: pull, liftDeg: FLAT_DEG, cmPerS: briskFor(scene.hair.coarseness) },
    taut: 0.9,
    pressed: true,
    rubbed: true,
    drySkin: true,
  };
}
