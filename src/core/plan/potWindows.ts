// The heat that each pot is to have for a visit: of every product the window in the pot of the zone that is worked
// warmest, since cooler zones come after.

import { windowInPot, type PotWindow } from '../pots';
import type { Plan } from './planTypes';

/** Windows by product; sugar that is worked at room heat has none. */
export function potWindows(plan: Pick<Plan, 'zones'>): ReadonlyMap<string, PotWindow> {
  const windows = new Map<string, PotWindow>();
  for (const { choice, heat, strips } of plan.zones) {
    if (!choice || !heat || strips.length === 0) continue;
    const window = windowInPot(heat.workingC, heat.potC);
    const before = windows.get(choice.product);
    if (!before || window.targetC > before.targetC) windows.set(choice.product, window);
  }
  return windows;
}
