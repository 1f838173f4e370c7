// The pot that the act in hand takes its wax from: how warm it is, and whether a load from it is warned of.

import type { Act, TableEvent } from '@/core/hands';
import { loadWarning, windowInPot, type LoadWarning, type PotWindow } from '@/core/pots';
import type { PotsHeard } from '@/features/live/livePots';
import type { LivePot } from '@/server/pots/livePot';
import type { FoundStrip } from './useTable';

export interface PotHere {
  readonly pot: LivePot;
  readonly tempC: number;
  readonly warning: LoadWarning | null;
}

/** The window of a strip's zone in the pot; of a later pass cooler, as its skin wants it. */
function windowOf({ strip, zone }: FoundStrip): PotWindow | null {
  const { heat } = zone;
  if (!heat) return null;
  const { minC, targetC, maxC } = windowInPot(heat.workingC, heat.potC);
  const laterK = strip.pass > 1 ? (strip.touchC ?? heat.workingC.target) - heat.workingC.target : 0;
  return { minC: minC + laterK, targetC: targetC + laterK, maxC: maxC + laterK };
}

/** Null where the act takes no wax, or nothing is known of its pot; of several with one product the warmest counts. */
export function potHere({ pots, isOld }: PotsHeard, act: Act, found: ReadonlyMap<string, FoundStrip>): PotHere | null {
  if (isOld || (act.kind !== 'lay' && act.kind !== 'wrist')) return null;
  const info = found.get(act.kind === 'lay' ? act.strip : act.firstStrip);
  const product = act.kind === 'wrist' ? act.product : info?.zone.choice?.product;
  const known = pots.flatMap((pot) =>
    pot.productId === product && pot.tempC !== null ? [{ pot, tempC: pot.tempC }] : [],
  );
  const warmest = known.sort((a, b) => b.tempC - a.tempC)[0];
  if (!warmest || !info) return null;
  const window = windowOf(info);
  return { ...warmest, warning: window && loadWarning(warmest.pot, window) };
}

/** What an act writes of its pot. */
export const potSaid = (here: PotHere | null): Pick<TableEvent, 'pot'> => {
  if (here === null) return {};
  const { pot, tempC } = here;
  const probe = pot.isSimulated ? 'simulated' : 'probe';
  return { pot: { tempC, from: pot.from === 'probe' ? probe : 'hand' } };
};
