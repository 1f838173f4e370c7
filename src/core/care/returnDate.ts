// The date to come back: the best day in the intersection of the zones' ready windows, kept clear of the client's
// blackout dates; where no day suits all, the day with most zones ready, naming the rest.

import { addDays, dateInWords, daysBetween, laterDate, type CivilDate } from '../shared';

export interface ZoneWindow {
  readonly label: string;
  readonly fromOn: CivilDate;
  readonly toOn: CivilDate;
}

export interface Blackout {
  readonly from: CivilDate;
  readonly to: CivilDate;
  readonly why: string;
}

export interface ReturnDate {
  readonly on: CivilDate;
  readonly why: string;
}

/** A wax belongs 2–3 days before an event, not the day before. */
const CLEAR_BEFORE_DAYS = 2;
/** Days into the window that are comfortable: enough hair, still early. */
export const BEST_OFFSET_DAYS = 3;

export const isClear = (on: CivilDate, blackouts: readonly Blackout[]): boolean =>
  blackouts.every((b) => on < addDays(b.from, -CLEAR_BEFORE_DAYS + 1) || on > b.to);

/** Best return date, or null where no zone has a window. */
export function returnDate(windows: readonly ZoneWindow[], blackouts: readonly Blackout[]): ReturnDate | null {
  const first = windows[0];
  if (!first) return null;
  const start = windows.reduce((d, w) => (w.fromOn < d ? w.fromOn : d), first.fromOn);
  const end = windows.reduce((d, w) => laterDate(d, w.toOn), first.toOn);
  const latestFrom = windows.reduce((d, w) => laterDate(d, w.fromOn), first.fromOn);
  const ideal = addDays(latestFrom, BEST_OFFSET_DAYS);
  const days = Array.from({ length: daysBetween(start, end) + 1 }, (_, i) => addDays(start, i)).filter((on) =>
    isClear(on, blackouts),
  );
  const scored = days.map((on) => ({
    on,
    ready: windows.filter((w) => w.fromOn <= on && on <= w.toOn),
    away: Math.abs(daysBetween(ideal, on)),
  }));
  const best = scored.sort((a, b) => b.ready.length - a.ready.length || a.away - b.away || (a.on < b.on ? -1 : 1))[0];
  if (!best) return null;
  const rest = windows.filter((w) => !best.ready.includes(w)).map((w) => w.label);
  const why =
    rest.length === 0
      ? `Enough hair to hold on ${windows.length === 1 ? first.label : 'every zone'}, a few days into the window.`
      : `No day suits all: most zones are ready then. Not ready: ${rest.join(', ')}.`;
  const moved =
    days.includes(ideal) || rest.length > 0
      ? ''
      : ` Kept clear of ${blackouts.map((b) => b.why || 'a blocked date').join(', ')}.`;
  return { on: best.on, why: why + moved };
}

/** Why there is no date to come back; null where there is one. */
export function noReturnWhy(windows: readonly ZoneWindow[], blackouts: readonly Blackout[]): string | null {
  if (windows.length === 0) return 'Nothing is long enough again within ten weeks for what was used today.';
  if (returnDate(windows, blackouts)) return null;
  const to = windows.reduce((d, w) => laterDate(d, w.toOn), windows[0]?.toOn ?? '');
  const why = [...new Set(blackouts.map((b) => b.why || 'a blocked date'))].join(', ');
  return `Every day on which the hair holds, to ${dateInWords(to)}, is blocked: ${why}. Later it only gets longer: trim first, or agree another day.`;
}
