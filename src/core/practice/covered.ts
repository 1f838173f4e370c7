// Which hairs lie under a strip: looked up once for each outline.

import { boxOf, isInside, type Ring } from '../shared';
import type { GrownScene } from './growHairs';
import type { SkinHair } from './types';

const known = new WeakMap<Ring, WeakMap<readonly SkinHair[], readonly SkinHair[]>>();

/** Hairs of the scene under a strip, standing or not. An outline is never changed, a new strip is a new one. */
export function hairsUnder({ hairs }: Pick<GrownScene, 'hairs'>, outline: Ring): readonly SkinHair[] {
  const own = known.get(outline) ?? new WeakMap<readonly SkinHair[], readonly SkinHair[]>();
  known.set(outline, own);
  const found = own.get(hairs);
  if (found) return found;
  const { x0, y0, x1, y1 } = boxOf([outline]);
  const under = hairs.filter(
    ({ at }) => at[0] >= x0 && at[0] <= x1 && at[1] >= y0 && at[1] <= y1 && isInside([outline], at),
  );
  own.set(hairs, under);
  return under;
}
