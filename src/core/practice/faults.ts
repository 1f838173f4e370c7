// What a strip that is laid, left or pulled otherwise than a practised hand does it costs: log odds of hair left and of
// hair broken. The directions are the trade's (faults, causes, remedies); the sizes are from memory, and a hand's own
// strips at the table may correct them.

import { clamp } from '../shared';
import { FLAT_DEG, briskFor } from './plannersAct';
import type { ActHeat } from './actHeat';
import { mannerFor } from './actHeat';
import type { Act, FaultCode, Scene } from './types';

export interface Effect {
  /** Added to the log odds that a hair stays. */
  readonly left: number;
  /** Added to the log odds that one that comes breaks. */
  readonly broken: number;
}

/** 4° off the skin breaks 1 in 30 and 24° 1 in 4: odds .034 and .33, their logarithm .114 a degree. */
const LIFT_PER_DEG = 0.114;
/** A pull this far beside the line of the lay does no harm, degrees. */
const TURNED_FREE_DEG = 8;
const TURNED_PER_DEG = 0.025;
const TAUT_ENOUGH = 0.8;
/** Share of a strip, from its far end, that cracks off for every second past its latest pull, and the most. */
const CRACK_PER_S = 0.025;
const MOST_CRACKED = 0.8;
/** A pull that starts on hair breaks it over this far, cm; with this much bare skin before it, it does not. */
export const ON_HAIR_CM = 0.8;
export const BARE_CM = 0.3;
/** Who starts at the pull takes the skin out of the stretching hand (from memory). */
const STARTED: Effect = { left: 0.5, broken: 1.3 };
const ON_HAIR: Effect = { left: 0.2, broken: 1.6 };

/** 1 on the finest hair, 0 from coarse on. */
const fineness = (coarseness: number): number => clamp((4 - coarseness) / 3, 0, 1);
const nothing: Effect = { left: 0, broken: 0 };

type Told = Readonly<Record<Exclude<FaultCode, 'on-hair' | 'late' | 'lay'>, Effect>>;

/** Laid this far beside its growth a hair is still drawn along it, degrees; beyond, it is bent over its root. */
const LAY_FREE_DEG = 20;
const LAY_PER_DEG: Effect = { left: 0.01, broken: 0.012 };

/** What a lay across the growth costs beside the hold that the matching engine counts. */
export const laidAcross = (offDeg: number): Effect => {
  const over = Math.max(0, offDeg - LAY_FREE_DEG);
  return { left: LAY_PER_DEG.left * over, broken: LAY_PER_DEG.broken * over };
};

/** Does she start at this pull? */
export const startsAt = (scene: Scene, act: Act): boolean => scene.starts === true && act.told === false;

/** Faults that tell on the whole strip alike. @param turnedDeg of the pull beside the line of its own lay */
export function faultsOfStrip(scene: Scene, act: Act, heat: ActHeat, turnedDeg: number): Told {
  const { window, setS } = heat;
  const { coarseness } = scene.hair;
  const brisk = briskFor(coarseness);
  const speed = Math.log(Math.max(1, act.pull.cmPerS) / brisk);
  const coolK = Math.max(0, window.minC - act.touchC);
  const hotK = Math.max(0, act.touchC - window.maxC);
  const short = act.product.setting ? clamp((setS.min - act.waitS) / Math.max(1, setS.min), 0, 1) : 0;
  const { min: leastMm } = mannerFor(act.product, act.way).thicknessMm;
  const thin = clamp((leastMm - act.thicknessMm) / leastMm, 0, 1);
  const slack = clamp((TAUT_ENOUGH - act.taut) / TAUT_ENOUGH, 0, 1);
  const turned = Math.max(0, turnedDeg - TURNED_FREE_DEG);
  const isCloth = act.product.family === 'soft' || act.way === 'strip';
  return {
    lift: { left: 0, broken: LIFT_PER_DEG * Math.max(0, act.pull.liftDeg - FLAT_DEG) },
    turned: { left: 0.012 * turned, broken: TURNED_PER_DEG * turned },
    // fine hair, long treated, breaks when it is torn; coarse hair does not mind
    quick: speed > 0 ? { left: 0, broken: 1.2 * fineness(coarseness) * speed } : nothing,
    // what is drawn slowly slips out of the wax; fine hair then breaks less, not more
    slow: speed < 0 ? { left: 0.9 * -speed, broken: -0.4 * fineness(coarseness) * -speed } : nothing,
    slack: { left: 1.0 * slack, broken: 2.0 * slack },
    cool: { left: 0.5 * coolK, broken: 0.2 * coolK },
    hot: { left: 0.12 * hotK, broken: 0 },
    early: { left: 4 * short, broken: 0.8 * short },
    thin: { left: 5 * thin, broken: 0 },
    damp: act.drySkin ? nothing : { left: 1.5, broken: 0.1 },
    untold: startsAt(scene, act) ? STARTED : nothing,
    rub: isCloth && !act.rubbed ? { left: 1.2, broken: 0.2 } : nothing,
  };
}

/** Share of the strip, from its far end, that has cracked off by the time of the pull. */
export function crackedShare(act: Act, { setS }: ActHeat): number {
  return act.product.setting ? clamp((act.waitS - setS.max) * CRACK_PER_S, 0, MOST_CRACKED) : 0;
}

/** @param fromStartCm along the pull; @param bareCm of skin without hair before the first hair */
export const startsOnHair = (fromStartCm: number, bareCm: number): Effect =>
  bareCm < BARE_CM && fromStartCm < ON_HAIR_CM ? ON_HAIR : nothing;
