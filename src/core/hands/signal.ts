// What the screen tells from two metres: wait, pull, now. The clock reminds; the ready sign decides.

import type { Act } from './live';

/** `do`: an act of the hands that no clock bounds. */
export type SignalState = 'do' | 'wait' | 'pull' | 'now';

export interface Signal {
  readonly state: SignalState;
  /**
   * Whole seconds. Of wait: until it is ready; of pull: for how long it is good; of now: over by; of a second coat: for
   * how long the first still takes it, 0 once it has cooled. Null of anything else.
   */
  readonly seconds: number | null;
}

const upS = (ms: number): number => Math.max(0, Math.ceil(ms / 1000));

/** @param nowMs epoch ms, 0 before the clock is known */
export function signalOf(act: Act, nowMs: number): Signal {
  if (nowMs === 0) return { state: 'do', seconds: null };
  if (act.kind === 'pull') {
    if (nowMs < act.readyAtMs) return { state: 'wait', seconds: upS(act.readyAtMs - nowMs) };
    if (nowMs < act.dueAtMs) return { state: 'pull', seconds: upS(act.dueAtMs - nowMs) };
    return { state: 'now', seconds: Math.floor((nowMs - act.dueAtMs) / 1000) };
  }
  if (act.kind === 'lay' && act.notBeforeMs !== null && nowMs < act.notBeforeMs) {
    return { state: 'wait', seconds: upS(act.notBeforeMs - nowMs) };
  }
  const untilMs = act.kind === 'lay' ? act.notAfterMs : null;
  return { state: 'do', seconds: untilMs === null ? null : upS(untilMs - nowMs) };
}

/** Shares of the band: where ready and latest stand on it and where it is now, from the lay on. */
export interface Band {
  readonly ready: number;
  readonly latest: number;
  readonly now: number;
}

/** Room beyond the latest pull, as a share of the time up to it. */
const BEYOND = 0.25;

/** The time of a strip on one scale in all states. */
export function bandOf(act: Extract<Act, { kind: 'pull' }>, nowMs: number): Band {
  const wholeMs = Math.max(1000, (act.dueAtMs - act.laidAtMs) * (1 + BEYOND));
  const share = (atMs: number): number => Math.min(1, Math.max(0, (atMs - act.laidAtMs) / wholeMs));
  return { ready: share(act.readyAtMs), latest: share(act.dueAtMs), now: share(nowMs) };
}
