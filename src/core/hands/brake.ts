// What keeps a foot that slips on the pedal from becoming an act: an act is not confirmed faster than hands can do it,
// and what would be too early wants a second press. Times from memory.

import type { Act, LiveGroup, LiveTable } from './live';

/** A strip is loaded and laid in no less than this share of its planned time. */
const LEAST_LAY_SHARE = 0.35;
/** Nothing follows an act faster than this, ms: a bounce of the pedal is shorter. */
const LEAST_ACT_MS = 700;
/** The second press comes within this time of the first, ms. */
export const TWICE_WITHIN_MS = 4000;

/** The instant from which an act can be confirmed, epoch ms. */
export function lockedUntilMs(table: Pick<LiveTable, 'act' | 'lastAtMs'>, groups: readonly LiveGroup[]): number {
  const { act, lastAtMs } = table;
  if (lastAtMs === null) return 0;
  if (act.kind !== 'lay') return lastAtMs + LEAST_ACT_MS;
  const job = groups.flatMap((g) => g.jobs).find((j) => j.id === act.strip);
  // spreading and covering share the time of one lay
  const share = act.part === null ? LEAST_LAY_SHARE : LEAST_LAY_SHARE / 2;
  return lastAtMs + Math.max(LEAST_ACT_MS, 1000 * share * (job?.layS ?? 0));
}

/** True where confirming now would be too early: a strip that still sets, a first coat that has not rested. */
export function isEarly(act: Act, nowMs: number): boolean {
  if (act.kind === 'pull') return nowMs < act.readyAtMs;
  return act.kind === 'lay' && act.notBeforeMs !== null && nowMs < act.notBeforeMs;
}

/** What a pull before its window writes; nothing of one in it. `readyAtMs` is when the window opens. */
export function earlyBy(readyAtMs: number | undefined, atMs: number): { readonly earlyS?: number } {
  const earlyS = Math.round(((readyAtMs ?? 0) - atMs) / 1000);
  return earlyS > 0 ? { earlyS } : {};
}

/** A first press on an act that is too early. */
export interface Armed {
  readonly on: string;
  readonly atMs: number;
}
export type Press =
  { readonly kind: 'locked' } | { readonly kind: 'armed'; readonly armed: Armed } | { readonly kind: 'go' };

/** Names an act, so that a second press is known to be on the same one. */
const nameOf = (act: Act): string =>
  `${act.kind} ${'strip' in act ? act.strip : ''} ${act.kind === 'lay' ? (act.part ?? '') : ''}`;

/** A first press still waits for its second. */
export const isArmed = (armed: Armed | null, act: Act, nowMs: number): boolean =>
  armed?.on === nameOf(act) && nowMs - armed.atMs <= TWICE_WITHIN_MS;

/**
 * What a press does to the act in hand.
 * @param warned the act is warned of for another reason, as a load from too warm a pot: it wants a second press too
 */
export function press(
  table: Pick<LiveTable, 'act' | 'lastAtMs'>,
  groups: readonly LiveGroup[],
  armed: Armed | null,
  nowMs: number,
  warned = false,
): Press {
  const { act } = table;
  if (nowMs < lockedUntilMs(table, groups)) return { kind: 'locked' };
  if (!isEarly(act, nowMs) && !warned) return { kind: 'go' };
  if (armed === null || !isArmed(armed, act, nowMs)) return { kind: 'armed', armed: { on: nameOf(act), atMs: nowMs } };
  // a bounce of the same press is not the second one, and does not take the first back
  return nowMs - armed.atMs < LEAST_ACT_MS / 2 ? { kind: 'armed', armed } : { kind: 'go' };
}
