// The tablet's own clock, asked when a hand does something; never while a page is being drawn. How far it is off the
// server's is measured: every page hears the server's time when it begins to listen.

/** Now, epoch milliseconds. */
export const tabletNow = (): number => Date.now();

/** A clock that is off by more is said to be. */
export const SKEW_SAID_MS = 2000;

let skewMs = 0;
const heard = new Set<() => void>();

/** @param serverMs the server's time, as it has just arrived */
export function heardServerTime(serverMs: number): void {
  skewMs = tabletNow() - serverMs;
  heard.forEach((h) => h());
}
/** By how much the tablet's clock is ahead of the server's, ms; the time on the line is within it. */
export const clockSkewMs = (): number => skewMs;
export function onSkew(listener: () => void): () => void {
  heard.add(listener);
  return () => heard.delete(listener);
}
