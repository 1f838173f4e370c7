// What is said of one client's window.

import { addDays, daysBetween } from '@/core/shared';
import type { ReadyLine, ReadyList } from '@/server/services/outlook';
import { dayMonth, plural, weekday } from '@/ui/words';

export interface ReadyScale {
  readonly fromOn: string;
  readonly days: number;
}

const BEFORE_DAYS = 14;
const SHOWN_DAYS = 70;
/** A window shorter than this is soon over, days. */
const SHORT_DAYS = 7;
const SOON_DAYS = 14;

/** From two weeks ago to eight weeks ahead. */
export const readyScale = (today: string): ReadyScale => ({ fromOn: addDays(today, -BEFORE_DAYS), days: SHOWN_DAYS });

/** Left edge and width of days on the scale, in percent; both clipped to it. */
export function barOf(
  { fromOn, days }: ReadyScale,
  from: string,
  to: string,
): { readonly left: number; readonly width: number } | null {
  const start = Math.max(0, daysBetween(fromOn, from));
  const end = Math.min(days, daysBetween(fromOn, to) + 1);
  return end <= start ? null : { left: (100 * start) / days, width: (100 * (end - start)) / days };
}

const day = (on: string): string => `${weekday(on).slice(0, 3)} ${dayMonth(on)}`;

/** In one line what is to be known of it today. */
export function readyWords({ state, fromOn, toOn }: ReadyLine, today: string): string {
  if (fromOn === null || toOn === null) return 'not known';
  if (state === 'over') return `closed ${plural(daysBetween(toOn, today), 'day')} ago`;
  if (state === 'soon') return `from ${day(fromOn)}`;
  if (daysBetween(fromOn, toOn) < SHORT_DAYS) return `short window, to ${day(toOn)}`;
  return daysBetween(today, toOn) <= SOON_DAYS ? `closes ${day(toOn)}` : `to ${day(toOn)}`;
}

/** The heading: how many wait for a booking. */
export function readyFinding({ lines, ready, over }: Pick<ReadyList, 'lines' | 'ready' | 'over'>): string {
  if (lines.length === 0) return 'Nobody has been waxed by a plan yet';
  if (ready === 0 && over === 0) return 'Nobody is ready and not booked';
  const late = over === 0 ? '' : `${over === 1 ? 'one is' : `${over} are`} past it`;
  const now = ready === 0 ? '' : `${ready === 1 ? 'One is' : `${ready} are`} ready and not booked`;
  if (now === '') return late.charAt(0).toUpperCase() + late.slice(1);
  return late === '' ? now : `${now}, ${late}`;
}
