// After a stop: how long cool water has run over a burn, and what was seen. Kept in the journal like every act, so that
// it goes on over a reload. 20 minutes of cool running water: first-aid guidance (from memory).

import type { TableEvent } from './tableEvents';

export const WATER_MIN = 20;

export const AID_STEPS = [
  'water-on',
  'water-off',
  'not-a-burn',
  'a-burn',
  'red',
  'blister',
  'raw',
  'bleeding',
] as const;
export type AidStep = (typeof AID_STEPS)[number];
export const SEEN = ['red', 'blister', 'raw', 'bleeding'] as const satisfies readonly AidStep[];

export interface Aid {
  readonly stoppedAtMs: number;
  /** Taken for a burn until it is said that it is none. */
  readonly isBurn: boolean;
  /** Water counts as running from the stop on, until it is said to be off. */
  readonly isRunning: boolean;
  /** How long it has run, ms. */
  readonly ranMs: number;
  readonly seen: readonly AidStep[];
}

/** First aid as the standing events tell it; null where nothing was stopped. */
export function aidOf(counted: readonly TableEvent[], nowMs: number): Aid | null {
  const stop = counted.findLast((e) => e.kind === 'stop');
  if (!stop) return null;
  const after = counted.slice(counted.indexOf(stop) + 1).filter((e) => e.kind === 'aid');
  let [since, ranMs]: [number | null, number] = [stop.atMs, 0];
  let isBurn = true;
  for (const { step, atMs } of after) {
    const isOff = step === 'water-off' || step === 'not-a-burn';
    if (isOff && since !== null) [since, ranMs] = [null, ranMs + Math.max(0, atMs - since)];
    if ((step === 'water-on' || step === 'a-burn') && since === null) since = atMs;
    if (step === 'not-a-burn' || step === 'a-burn') isBurn = step === 'a-burn';
  }
  const seen = new Set(after.map((e) => e.step));
  return {
    stoppedAtMs: stop.atMs,
    isBurn,
    isRunning: since !== null,
    ranMs: ranMs + (since === null ? 0 : Math.max(0, nowMs - since)),
    seen: SEEN.filter((s) => seen.has(s)),
  };
}
