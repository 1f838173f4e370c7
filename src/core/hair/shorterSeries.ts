// For who cannot bear the regrowth: coming sooner than the hair is ready, with a crossed lay that holds shorter hair,
// and what that costs in hairs that are left and tweezed.

import { VISIBLE_MM, type RegrowthModel } from './regrowth';
import type { LengthRange } from './todaysLengths';

export interface ShorterVisit {
  readonly everyDays: number;
  /** Of the hair that shows then, the share that is long enough; 0–1. */
  readonly longEnough: number;
  /** Hairs that show and are too short to be held. */
  readonly leftHairs: number;
  readonly tweezeMin: number;
}

/** Drawn out one by one, hairs a minute (from memory). */
const TWEEZED_A_MINUTE = 12;

/**
 * @param range what the way that is used then holds
 * @param hairs hairs of the zone that show at the ideal interval
 * @param idealDay the interval at which they do
 */
export function visitEvery(
  model: RegrowthModel,
  everyDays: number,
  { range, hairs, idealDay }: { readonly range: LengthRange; readonly hairs: number; readonly idealDay: number },
): ShorterVisit {
  const [now, ideal] = [everyDays, idealDay].map((day) => model.shareAtLeast(VISIBLE_MM, day));
  const held = model.shareAtLeast(range.shortestMm, everyDays) - model.shareAtLeast(range.longestMm, everyDays);
  const visible = now ?? 0;
  const longEnough = visible > 0 ? held / visible : 0;
  const standing = ideal ? (hairs * visible) / ideal : 0;
  const leftHairs = Math.round(standing * (1 - longEnough));
  return { everyDays, longEnough, leftHairs, tweezeMin: Math.round(leftHairs / TWEEZED_A_MINUTE) };
}
