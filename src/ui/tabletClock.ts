// The tablet's time, asked when a hand does something; never while a page is being drawn. It runs by a stopwatch set by
// the server's time (`steadyClock`); how far the tablet's own clock is off is measured and said.

import { steadyClock } from './steadyClock';

const KEPT_UNDER = 'strickle-clock';
const clock = steadyClock({
  stopwatchMs: () => performance.timeOrigin + performance.now(),
  wallMs: () => Date.now(),
  kept: {
    read: () => {
      const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEPT_UNDER);
      return kept === null || !Number.isFinite(Number(kept)) ? null : Number(kept);
    },
    write: (aheadMs) => {
      try {
        localStorage.setItem(KEPT_UNDER, String(aheadMs));
      } catch {
        // a browser that keeps nothing hears the time anew with every page
      }
    },
  },
});

/** Now, epoch milliseconds of the server. */
export const tabletNow = (): number => Math.round(clock.now());

/** A clock that is off by more is said to be. */
export const SKEW_SAID_MS = 2000;

let skewMs = 0;
const listeners = new Set<() => void>();

/** @param serverMs the server's time, as it has just arrived */
export function heardServerTime(serverMs: number): void {
  clock.heard(serverMs);
  skewMs = Date.now() - serverMs;
  listeners.forEach((l) => l());
}
/** By how much the tablet's own clock is ahead of the server's, ms; the time on the line is within it. */
export const clockSkewMs = (): number => skewMs;
export function onSkew(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
