// The heat of one strip as it was laid: the heat engine's own answer, and when it may be pulled.

import { ZONES } from '../anatomy';
import {
  LATEST_PULL_CAP_S,
  skinInState,
  solveCoats,
  solveSkinHeat,
  workingWindow,
  type SkinState,
  type WorkingWindow,
} from '../heat';
import { mannerName, mannerOf, type Manner, type Product, type Way } from '../products';
import { recaller } from '../shared';
import type { Act, Scene } from './types';

export interface ActHeat {
  /** What this product may be laid at here, as the planner has it. */
  readonly window: WorkingWindow;
  /** Seconds after the last lay between which this slab comes off well. */
  readonly setS: { readonly min: number; readonly max: number };
  readonly feltPeakC: number;
  readonly burnOmega: number;
}

/** The manner of a way that the product has; throws where it has none: acts are offered by the product. */
export function mannerFor(product: Product, way: Way): Manner {
  const manner = mannerOf(product, way);
  if (!manner) throw new Error(`${product.id} is not worked ${way}`);
  return manner;
}

const windows = recaller<WorkingWindow>(60);
const heats = recaller<Omit<ActHeat, 'window'>>(120);

/** What the planner would lay here: the working window of product and way on this skin. */
export function windowOf(scene: Scene, product: Product, way: Way, state: SkinState = 'fresh'): WorkingWindow {
  const need = {
    product,
    manner: mannerFor(product, way),
    mannerName: mannerName(product.family, way),
    skin: ZONES[scene.zone].skin,
    sensitivity: scene.sensitivity,
    roomC: scene.roomC,
    state,
  };
  return windows(JSON.stringify(need), () => workingWindow(need));
}

/** @param state of the skin under the strip: fresh, or waxed already */
export function heatOfAct(
  scene: Scene,
  act: Pick<Act, 'product' | 'way' | 'touchC' | 'thicknessMm' | 'coats'>,
  state: SkinState = 'fresh',
): ActHeat {
  const { product, way, touchC, thicknessMm, coats } = act;
  const skin = skinInState(ZONES[scene.zone].skin, state);
  const slab = { product, touchC, thicknessMm, skin, roomC: scene.roomC };
  const solved = heats(JSON.stringify([slab, coats, way]), () => {
    const heat = solveSkinHeat({ ...slab, endS: product.setting ? LATEST_PULL_CAP_S : 60 });
    const { feltPeakC, burnOmega } = heat;
    if (!product.setting) return { feltPeakC, burnOmega, setS: mannerFor(product, way).waitS };
    if (coats === 2) return { feltPeakC, burnOmega, setS: solveCoats(slab).setS };
    const setS = { min: Math.ceil(heat.setAfterS ?? LATEST_PULL_CAP_S), max: Math.floor(heat.latestPullS) };
    return { feltPeakC, burnOmega, setS };
  });
  return { ...solved, window: windowOf(scene, product, way, state) };
}
