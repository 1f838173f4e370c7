// The heat of one option: its working window, how long its strips may lie, and the window of a later pass.

import {
  LATER_PASS_MM,
  LATEST_PULL_CAP_S,
  solveCoats,
  solveSkinHeat,
  workingWindow,
  type HeatNeed,
  type SkinHeat,
  type SkinState,
  type WorkingWindow,
} from '../heat';
import type { CoatRest } from '../hands';
import { allowsThickness, mannerName, type Manner, type Product, type Way } from '../products';
import type { Recall } from '../shared';
import type { MatchInput } from './matchInput';

/** Where the screening lowers the limit, what was learned never raises it again. */
const lowerLimitK = ({ judgement, feltShiftK = 0 }: MatchInput): number =>
  judgement.lowerHeatK - (judgement.lowerHeatK > 0 ? Math.min(0, feltShiftK) : feltShiftK);

/** The heat question of an option: what is laid, how, on which skin, for whom. */
export function heatNeedOf(
  input: MatchInput,
  product: Product,
  manner: Manner,
  way: Way,
  state: SkinState = 'fresh',
): HeatNeed {
  const wish = input.heat?.product === product.id && state === 'fresh' ? input.heat : undefined;
  const potC = input.potTouchC?.product === product.id && state === 'fresh' ? input.potTouchC.touchC : undefined;
  const touchC = wish?.touchC ?? potC;
  const inRange = wish?.thicknessMm !== undefined && allowsThickness({ tab: manner }, wish.thicknessMm);
  return {
    product,
    manner,
    mannerName: mannerName(product.family, way),
    skin: input.zone.skin,
    sensitivity: input.sensitivity,
    roomC: input.roomC,
    lowerLimitK: lowerLimitK(input),
    state,
    ...(inRange ? { thicknessMm: wish.thicknessMm } : {}),
    ...(touchC === undefined ? {} : { touchC }),
  };
}

/** The working window of an option, and the seconds between which its strip may be pulled. */
export function heatOfOption(
  input: MatchInput,
  product: Product,
  manner: Manner,
  way: Way,
  coats: 1 | 2,
): {
  readonly window: WorkingWindow;
  readonly setS: { readonly min: number; readonly max: number };
  readonly heat: SkinHeat;
  readonly need: HeatNeed;
  readonly rest: CoatRest | null;
} {
  const need = heatNeedOf(input, product, manner, way);
  const { skin, roomC } = need;
  const key = JSON.stringify(need);
  const recall = <T>(memory: Recall<T> | undefined, make: () => T): T => (memory ? memory(key, make) : make());
  const window = recall(input.windows, () => workingWindow(need));
  const heat = recall(input.heats, () =>
    solveSkinHeat({
      product,
      touchC: window.targetC,
      thicknessMm: window.thicknessMm,
      skin,
      roomC,
      endS: product.setting ? LATEST_PULL_CAP_S : 60,
    }),
  );
  if (coats === 2) {
    const slab = { product, touchC: window.targetC, thicknessMm: window.thicknessMm, skin, roomC };
    const both = recall(input.coats, () => solveCoats(slab));
    // felt heat stays that of the whole slab laid at once: never less than that of its coats one by one
    return { window, setS: both.setS, heat, need, rest: { mostS: both.restMaxS, afterRest: both.afterRest } };
  }
  const setS = product.setting
    ? {
        min: heat.setAfterS === null ? LATEST_PULL_CAP_S : Math.ceil(heat.setAfterS),
        max: Math.floor(heat.latestPullS),
      }
    : manner.waitS;
  return { window, setS, heat, need, rest: null };
}

/** The window of a pass on skin that was waxed already: warmer and thinner, under a thinner slab. */
export function laterWindow(input: MatchInput, product: Product, manner: Manner, way: Way): WorkingWindow {
  const need: HeatNeed = {
    ...heatNeedOf(input, product, manner, way, 'after-pass'),
    thicknessMm: Math.min(LATER_PASS_MM, manner.thicknessMm.usual),
  };
  return input.windows ? input.windows(JSON.stringify(need), () => workingWindow(need)) : workingWindow(need);
}
