// The pot that the act in hand takes its wax from: how warm it is, and whether a load from it is warned of.

import type { Act, TableEvent } from '@/core/hands';
import { loadWarning, windowInPot, type LoadWarning, type PotWindow } from '@/core/pots';
import type { PotsHeard } from '@/features/live/livePots';
import type { LivePot } from '@/server/pots/livePot';
import type { FoundStrip } from './useTable';

export interface PotHere {
  readonly pot: LivePot;
  /** Null where its sensor is silent and nothing was measured. */
  readonly tempC: number | null;
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

/** True where wax is loaded for it: a cloth laid on what is spread takes none. */
const takesWax = (act: Act, info: FoundStrip): boolean =>
  act.kind === 'wrist' || (act.kind === 'lay' && act.part !== 'cloth' && info.strip.spreadWith === null);

/** The pot of a product as it stands for a strip; of several with one product the warmest counts. */
export function potFor({ pots, isOld }: PotsHeard, product: string | undefined, info: FoundStrip): PotHere | null {
  const known = pots.filter((pot) => pot.productId === product && (pot.tempC !== null || pot.isSilent));
  const [pot] = [...known].sort((a, b) => (b.tempC ?? -Infinity) - (a.tempC ?? -Infinity));
  if (!pot || isOld) return null;
  const window = windowOf(info);
  return { pot, tempC: pot.tempC, warning: window && loadWarning(pot, window) };
}

/** Null where the act takes no wax, or nothing is known of its pot. */
export function potHere(heard: PotsHeard, act: Act, found: ReadonlyMap<string, FoundStrip>): PotHere | null {
  if (act.kind !== 'lay' && act.kind !== 'wrist') return null;
  const info = found.get(act.kind === 'lay' ? act.strip : act.firstStrip);
  if (!info || !takesWax(act, info)) return null;
  return potFor(heard, act.kind === 'wrist' ? act.product : info.zone.choice?.product, info);
}

/** What an act writes of its pot. */
export function potSaid(here: PotHere | null): Pick<TableEvent, 'pot'> {
  if (here === null || here.tempC === null) return {};
  const { pot, tempC } = here;
  const probe = pot.isSimulated ? 'simulated' : 'probe';
  return { pot: { tempC, from: pot.from === 'probe' ? probe : 'hand' } };
}
