// A clock that runs evenly: what passes between two acts is what a stopwatch says, whatever is done to the tablet's own
// clock meanwhile. Set by the server's time when that is heard; small differences are the line's, not the clock's.

export interface ClockSources {
  /** Milliseconds that never jump while a page is open; begins anywhere. */
  readonly stopwatchMs: () => number;
  /** The tablet's own clock, epoch milliseconds. */
  readonly wallMs: () => number;
  /**
   * By how much the tablet's own clock is ahead of the server's, kept from page to page; null = never heard. Not the
   * stopwatch's lead: each page has its own.
   */
  readonly kept: { readonly read: () => number | null; readonly write: (aheadMs: number) => void };
}
export interface SteadyClock {
  /** Epoch milliseconds of the server, as far as it was heard. */
  readonly now: () => number;
  readonly heard: (serverMs: number) => void;
}

/** A line may take so long to carry the time; a tablet that slept is off by more. */
export const LINE_MS = 1000;

export function steadyClock({ stopwatchMs, wallMs, kept }: ClockSources): SteadyClock {
  const wallAheadMs = kept.read();
  let aheadMs = wallAheadMs === null ? null : stopwatchMs() - wallMs() + wallAheadMs;
  return {
    now: () => stopwatchMs() - (aheadMs ?? 0),
    heard: (serverMs) => {
      kept.write(wallMs() - serverMs);
      const measured = stopwatchMs() - serverMs;
      if (aheadMs !== null && Math.abs(measured - aheadMs) <= LINE_MS) return;
      aheadMs = measured;
    },
  };
}
