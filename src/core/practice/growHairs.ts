// The hairs of a scene, one by one, from its seed. Lengths and luck are spread evenly over all of them (a lattice of
// irrational steps), so that a small patch already answers as the means of the matching engine say.

import { hairsPerCm2, sheetFor, standingShare, ZONES, type Sheet } from '../anatomy';
import { growthAt, growthField } from '../field';
import { lengthSpreadCv } from '../hair';
import {
  boxOf,
  clamp,
  isInside,
  normalQuantile,
  rotate,
  seededRandom,
  sigmaOfCv,
  type Ring,
  type Vec,
} from '../shared';
import type { Scene, SkinHair } from './types';

/**
 * The fractional parts of the multiples of a number fill [0, 1] evenly, and evenly within any run of them, where its
 * continued fraction has small terms only (Kronecker's sequence; Kuipers & Niederreiter 1974): the golden ratio, √2, √3
 * and (√21 − 3)/2.
 */
const STEPS = [(Math.sqrt(5) - 1) / 2, Math.SQRT2 - 1, Math.sqrt(3) - 1, (Math.sqrt(21) - 3) / 2] as const;
const fraction = (x: number): number => x - Math.floor(x);
const inOpen = (u: number): number => clamp(u, 1e-6, 1 - 1e-6);

/** Thickness by coarseness 1–5, µm (from memory: fine body hair about 40, very coarse 120). */
const THICKNESS_UM = [40, 55, 70, 90, 120] as const;
const THICKNESS_CV = 0.15;
const DEPTH_CV = 0.15;

/** Places on a hexagonal grid as dense as the hair, each moved about at random, row by row. */
function places(ground: Ring, perCm2: number, random: { next(): number }): readonly Vec[] {
  const stepX = Math.sqrt(2 / (Math.sqrt(3) * perCm2));
  const stepY = (stepX * Math.sqrt(3)) / 2;
  const box = boxOf([ground]);
  const out: Vec[] = [];
  let row = 0;
  for (let y = box.y0 + stepY / 2; y < box.y1; y += stepY, row++) {
    for (let x = box.x0 + (row % 2 === 0 ? 0.25 : 0.75) * stepX; x < box.x1; x += stepX) {
      const at: Vec = [x + 0.7 * stepX * (random.next() - 0.5), y + 0.7 * stepY * (random.next() - 0.5)];
      if (isInside([ground], at)) out.push(at);
    }
  }
  return out;
}

export interface GrownScene {
  readonly scene: Scene;
  readonly sheet: Sheet;
  readonly ground: Ring;
  readonly hairs: readonly SkinHair[];
}

/** Throws where the zone has no sheet: scenes are ours. */
export function growHairs(scene: Scene): GrownScene {
  const zone = ZONES[scene.zone];
  const made = sheetFor(zone, scene.side, {});
  if (!made.ok) throw new Error(made.error.message);
  const sheet = made.value;
  const ground = scene.ground ?? sheet.outline;
  const random = seededRandom(scene.seed);
  const field = growthField(zone, scene.side, sheet, scene.strokes ?? []);
  const perCm2 = hairsPerCm2(zone.hairsPerCm2, scene.hair.density);
  const standing = places(ground, perCm2, random).filter(
    (at) => random.next() < standingShare(zone, scene.side, sheet, at),
  );
  // a shuffle, so that neighbours share neither length nor luck
  const order = standing.map((_, i) => i);
  for (let i = order.length - 1; i > 0; i--) {
    const k = random.whole(0, i);
    [order[i], order[k]] = [order[k] ?? 0, order[i] ?? 0];
  }
  const starts = STEPS.map(() => random.next());
  const luck = (k: number, n: number): number => inOpen(fraction((starts[k] ?? 0) + n * (STEPS[k] ?? 0)));
  const { crossing, keep = [] } = scene;
  const sigma = sigmaOfCv(lengthSpreadCv(scene.hair));
  const hairs = standing.map((at, id): SkinHair => {
    const n = order[id] ?? 0;
    const thin = THICKNESS_UM[clamp(Math.round(scene.hair.coarseness), 1, 5) - 1] ?? 70;
    const crosses = crossing !== undefined && random.next() < crossing.share;
    const usual = growthAt(field, at);
    return {
      id,
      at,
      way: crosses ? rotate(usual, crossing.turnDeg) : usual,
      lengthMm: scene.hair.lengthMm * Math.exp(sigma * normalQuantile(inOpen((n + 0.5) / standing.length))),
      thicknessUm: thin * Math.exp(THICKNESS_CV * clamp(random.normal(), -2.5, 2.5)),
      depthMm: zone.growth.depthMm * Math.exp(DEPTH_CV * clamp(random.normal(), -2.5, 2.5)),
      // what rests falls sooner or later: more of what stands is growing than of all roots (from memory)
      crosses,
      stays: keep.some((ring) => isInside([ring], at)),
      growing: luck(3, n) < 0.5 + zone.growth.growingShare / 2,
      hold: luck(0, n),
      snap: luck(1, n),
      cloth: luck(2, n),
    };
  });
  return { scene, sheet, ground, hairs };
}
