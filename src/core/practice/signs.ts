// What a slab that sets tells the finger, the nail and the ear (common practice, no source; shares from memory).

import type { ActHeat } from './actHeat';

export const SIGNS = ['thread', 'dent', 'tap'] as const;
export type Sign = (typeof SIGNS)[number];

/** Shares of the time until it is set: no thread follows the finger, the nail leaves hardly a dent, it taps dull. */
const GONE_AT: Readonly<Record<Sign, number>> = { thread: 0.65, dent: 0.88, tap: 1 };

export interface SignsNow {
  /** True where the sign says "ready". */
  readonly says: Readonly<Record<Sign, boolean>>;
  readonly state: 'soft' | 'setting' | 'ready' | 'brittle';
}

/** @param sinceS since the last lay */
export function signsAt({ setS }: Pick<ActHeat, 'setS'>, sinceS: number): SignsNow {
  const says = Object.fromEntries(SIGNS.map((s) => [s, sinceS >= GONE_AT[s] * setS.min])) as Record<Sign, boolean>;
  if (sinceS > setS.max) return { says, state: 'brittle' };
  if (says.tap) return { says, state: 'ready' };
  return { says, state: says.thread ? 'setting' : 'soft' };
}

export type Flow = 'runs' | 'syrup' | 'stiff';
export type WristSays = 'burns' | 'too-warm' | 'right' | 'too-cool';

/** What the wrist and the stick say of wax at a heat. @param window as the planner has it for the ground */
export function wristAt(
  touchC: number,
  { window, overLimitK }: { readonly window: ActHeat['window']; readonly overLimitK: number },
): { readonly wrist: WristSays; readonly flow: Flow } {
  const warm = overLimitK > 0 || touchC > window.maxC ? 'too-warm' : 'right';
  const wrist = overLimitK > 2 ? 'burns' : warm;
  const runs = touchC > window.flowC.max ? 'runs' : 'syrup';
  return { wrist: touchC < window.minC ? 'too-cool' : wrist, flow: touchC < window.flowC.min ? 'stiff' : runs };
}
