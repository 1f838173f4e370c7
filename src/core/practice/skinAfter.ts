// How the skin answers a strip: felt heat, pain, redness, lifted skin, a bruise, drops of blood. Sizes from memory; the
// directions are the trade's. What must not happen is said whatever else went well.

import { ZONES } from '../anatomy';
import { BURN_LIMIT } from '../heat';
import { clamp } from '../shared';
import type { ActHeat } from './actHeat';
import { startsAt } from './faults';
import { briskFor, FLAT_DEG } from './plannersAct';
import type { Act, Scene } from './types';

/** The burn integral at which the outer skin is reddened for good, and lost (published: Henriques 1947). */
const FIRST_DEGREE = 0.53;
const SECOND_DEGREE = 1;

export type HeatOnSkin = 'calm' | 'hot' | 'near-burn' | 'burnt' | 'blistered';

export interface SkinAnswer {
  readonly feltPeakC: number;
  /** Felt peak over this client's limit, K; 0 within it. */
  readonly overLimitK: number;
  readonly heat: HeatOnSkin;
  /** Load of this strip, 0–1. */
  readonly load: number;
  /** 0–10 as the client says it. */
  readonly pain: number;
  /** 0 none – 1 deep red. */
  readonly redness: number;
  /** Share of the ground under the strip that lifted. */
  readonly lifted: number;
  readonly bruised: boolean;
  readonly bleedingPoints: number;
}

export interface SkinQuestion {
  readonly scene: Scene;
  readonly act: Act;
  readonly heat: ActHeat;
  readonly load: number;
  readonly bled: number;
  /** That came or broke. */
  readonly hairs: number;
  /** Strips that lay before at each place under this one. */
  readonly before: readonly { readonly passes: number; readonly soft: number }[];
}

function heatOn({ feltPeakC, burnOmega }: ActHeat, overLimitK: number): HeatOnSkin {
  if (burnOmega >= SECOND_DEGREE) return 'blistered';
  if (burnOmega >= FIRST_DEGREE) return 'burnt';
  if (burnOmega > BURN_LIMIT) return 'near-burn';
  return overLimitK > 0 && feltPeakC > 0 ? 'hot' : 'calm';
}

/** Passes that hard wax and sugar bear in one place; soft wax bears one. */
const MOST_PASSES = 2;

export function skinAfter({ scene, act, heat, load, bled, hairs, before }: SkinQuestion): SkinAnswer {
  const zone = ZONES[scene.zone];
  const overLimitK = Math.max(0, heat.feltPeakC - heat.window.limitC);
  const onSkin = heatOn(heat, overLimitK);
  const slack = clamp((0.8 - act.taut) / 0.8, 0, 1);
  const upward = clamp((act.pull.liftDeg - FLAT_DEG) / 40, 0, 1);
  const slow = Math.max(0, Math.log(briskFor(scene.hair.coarseness) / Math.max(1, act.pull.cmPerS)));
  const isLifted = ({ passes, soft }: (typeof before)[number]): boolean =>
    (act.product.family === 'soft' && soft > 0) || passes >= MOST_PASSES || onSkin === 'blistered';
  const lifted = before.length === 0 ? 0 : before.filter(isLifted).length / before.length;
  const again = before.length === 0 ? 0 : before.filter((b) => b.passes > 0).length / before.length;
  const tear =
    0.16 *
    zone.pullWeight *
    (0.6 + 0.2 * scene.sensitivity) *
    (0.5 + 0.2 * scene.hair.coarseness) *
    (0.6 + 0.4 * clamp(hairs / 40, 0, 1.5));
  const hand =
    (1 + 1.4 * slack) *
    (1 + 0.8 * upward) *
    (1 + 0.5 * slow) *
    (startsAt(scene, act) ? 1.3 : 1) *
    (act.pressed ? 1 : 1.35) *
    (1 + 0.4 * again);
  const hot = 0.12 * overLimitK;
  const pain = 10 * (1 - Math.exp(-(tear * hand + hot)));
  const isBruised = slack * (1 + upward) > 0.75 || (slack > 0.4 && upward > 0.5);
  return {
    feltPeakC: heat.feltPeakC,
    overLimitK,
    heat: onSkin,
    load,
    pain: Math.round(10 * pain) / 10,
    redness: clamp(1 - (1 - load) * (1 - 0.4 * slack) * (1 - 0.1 * overLimitK) * (act.pressed ? 1 : 0.9), 0, 1),
    lifted,
    bruised: isBruised,
    bleedingPoints: bled,
  };
}
