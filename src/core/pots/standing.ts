// How warm a pot is, by what its probe told lately and by what was measured by hand, and whether wax may be taken from
// it: a load is warned of before it is on the stick. Where probe and hand disagree the warmer counts. All of it is an
// estimate: the wrist decides. Times and spans from memory.

import type { PotWindow } from './ready';

export interface PotSample {
  /** Epoch ms. */
  readonly atMs: number;
  readonly tempC: number;
}

export interface PotHeard {
  /** What the probe told, oldest first; empty where there is none. */
  readonly probe: readonly PotSample[];
  /** The last that was measured by hand. */
  readonly hand: PotSample | null;
  /** When the thermostat was last set, epoch ms; absent = nobody has said. */
  readonly setAtMs?: number | undefined;
}

export type PotWay = 'rising' | 'falling' | 'steady';

export interface PotStanding {
  /** What is gone by, °C; null where nothing is known that still holds. */
  readonly tempC: number | null;
  readonly from: 'probe' | 'hand' | null;
  readonly atMs: number | null;
  /** Null while there is too little to tell. */
  readonly way: PotWay | null;
  /** The pot has a probe that has fallen silent. */
  readonly isSilent: boolean;
  /** Probe less hand, K, where they were told at one time and are too far apart. */
  readonly apartK: number | null;
}

/** A probe that tells nothing for so long has fallen silent, ms. */
export const SILENT_AFTER_MS = 20_000;
/** What was measured by hand holds so long. */
export const HAND_HOLDS_MS = 20 * 60_000;
/** So far apart they disagree, K: a kitchen thermometer is good for one or two. */
const APART_K = 2.5;
/** The way is told from the last minutes, and from no less than this. */
const WAY_OVER_MS = 3 * 60_000;
const WAY_LEAST_MS = 45_000;
/** Below this it stands, K a minute. */
const STANDS_K_MIN = 0.15;

/** Slope of the least-squares line, K a minute; null from fewer than three samples or too short a time. */
function slopeKMin(samples: readonly PotSample[]): number | null {
  const [first, last] = [samples[0], samples.at(-1)];
  if (!first || !last || samples.length < 3 || last.atMs - first.atMs < WAY_LEAST_MS) return null;
  const n = samples.length;
  const minutes = samples.map((s) => (s.atMs - first.atMs) / 60_000);
  const [meanT, meanC] = [minutes.reduce((a, b) => a + b, 0) / n, samples.reduce((a, s) => a + s.tempC, 0) / n];
  const top = samples.reduce((sum, s, i) => sum + ((minutes[i] ?? 0) - meanT) * (s.tempC - meanC), 0);
  const below = minutes.reduce((sum, t) => sum + (t - meanT) ** 2, 0);
  return below > 0 ? top / below : null;
}

/** Which way a pot goes by its probe. */
export function wayOf(probe: readonly PotSample[], nowMs: number): PotWay | null {
  const slope = slopeKMin(probe.filter((s) => nowMs - s.atMs <= WAY_OVER_MS));
  if (slope === null) return null;
  if (Math.abs(slope) < STANDS_K_MIN) return 'steady';
  return slope > 0 ? 'rising' : 'falling';
}

/**
 * A pot as it stands. What was measured before the thermostat was set anew says nothing of the heat any more; how far
 * the probe was off then it still says.
 */
export function potStanding({ probe, hand, setAtMs = 0 }: PotHeard, nowMs: number): PotStanding {
  const last = probe.at(-1) ?? null;
  const isSilent = last !== null && nowMs - last.atMs > SILENT_AFTER_MS;
  const told = isSilent ? null : last;
  const lately = hand !== null && nowMs - hand.atMs <= HAND_HOLDS_MS ? hand : null;
  const measured = lately !== null && lately.atMs >= setAtMs ? lately : null;
  const beside = lately && probe.findLast((s) => Math.abs(s.atMs - lately.atMs) <= SILENT_AFTER_MS);
  const offK = told && lately && beside ? beside.tempC - lately.tempC : 0;
  const apartK = Math.abs(offK) >= APART_K ? offK : null;
  // a probe that reads too little is corrected by the hand: the warmer of both counts
  const corrected = told && apartK !== null && apartK < 0 ? { ...told, tempC: told.tempC - apartK } : told;
  const by = corrected ?? measured;
  return {
    tempC: by?.tempC ?? null,
    from: corrected ? 'probe' : measured && 'hand',
    atMs: by?.atMs ?? null,
    way: told ? wayOf(probe, nowMs) : null,
    isSilent,
    apartK,
  };
}

/** The window of the stick as one of the pot: warmer by what the stick loses on its way. */
export const windowInPot = (
  touch: { readonly min: number; readonly target: number; readonly max: number },
  potC: number,
): PotWindow => {
  const lossK = potC - touch.target;
  return { minC: touch.min + lossK, targetC: potC, maxC: touch.max + lossK };
};

export type InWindow = 'under' | 'in' | 'over';
/** Judged in whole degrees, as every screen says them and as good as a probe is: no figure argues with the verdict. */
export function inWindow(tempC: number, { minC, maxC }: Pick<PotWindow, 'minC' | 'maxC'>): InWindow {
  const whole = Math.round(tempC);
  if (whole > Math.round(maxC)) return 'over';
  return whole < Math.round(minC) ? 'under' : 'in';
}

/** What is said before a load is taken. `over` wants the wrist anew before it is laid. */
export type LoadWarning =
  | { readonly kind: 'over' | 'under'; readonly tempC: number; readonly limitC: number }
  | { readonly kind: 'silent' }
  | { readonly kind: 'apart'; readonly apartK: number };

/** Why a load from this pot is warned of; null where it is not. */
export function loadWarning(
  standing: Pick<PotStanding, 'tempC' | 'isSilent' | 'apartK'>,
  window: Pick<PotWindow, 'minC' | 'maxC'>,
): LoadWarning | null {
  const { tempC, isSilent, apartK } = standing;
  if (tempC !== null) {
    const at = inWindow(tempC, window);
    if (at !== 'in') return { kind: at, tempC, limitC: at === 'over' ? window.maxC : window.minC };
  }
  if (apartK !== null) return { kind: 'apart', apartK };
  return isSilent && tempC === null ? { kind: 'silent' } : null;
}

/** Warmer than set by more than a thermostat plays: it may be stuck. */
const STUCK_OVER_K = 3;
/** A pot that was just set lower has to come down first, ms. */
const COMES_DOWN_MS = 5 * 60_000;
export const isOverSet = (
  { tempC, way }: Pick<PotStanding, 'tempC' | 'way'>,
  { setC, setAtMs = 0 }: { readonly setC: number | null; readonly setAtMs?: number | undefined },
  nowMs: number,
): boolean =>
  tempC !== null &&
  setC !== null &&
  nowMs - setAtMs > COMES_DOWN_MS &&
  tempC > setC + STUCK_OVER_K &&
  way !== 'falling';
