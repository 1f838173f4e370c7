// Where the next visit goes: places that are free within the hours, in the window of all zones, clear of the client's
// dates, each with its reasons. A score in days: away from the comfortable day, from the client's own day and hour,
// holes left in the day that nobody can use. Weights from memory.

import { BEST_OFFSET_DAYS, isClear, type Blackout, type ZoneWindow } from '../care';
import { addDays, daysBetween, laterDate, type CivilDate } from '../shared';
import { isAvoided, type AvoidedDays } from './avoid';
import { openOn, weekdayOf, type ClosedDays, type DaySpan, type WeekHours } from './hours';

/** What a practitioner is busy with on a day. */
export interface Busy extends DaySpan {
  readonly on: CivilDate;
}

export interface SlotInput {
  readonly windows: readonly ZoneWindow[];
  readonly blackouts: readonly Blackout[];
  readonly hours: WeekHours;
  readonly closed: readonly ClosedDays[];
  readonly busy: readonly Busy[];
  /** How long the visit takes with its turnover, min. */
  readonly minutes: number;
  /** When this client came before. */
  readonly past: readonly { readonly on: CivilDate; readonly startMin: number }[];
  /** The first day that can be had. */
  readonly firstOn: CivilDate;
  /** Days that the client would rather avoid. */
  readonly avoid?: AvoidedDays | undefined;
  /** The day that is asked for; absent = a little into the window. */
  readonly about?: CivilDate | undefined;
}

export interface Slot {
  readonly on: CivilDate;
  readonly startMin: number;
  readonly minutes: number;
  /** In words, weightiest first. */
  readonly reasons: readonly string[];
  /** On which side of the window it lies; null = in it. */
  readonly outside: 'before' | 'after' | null;
}

const GRID_MIN = 15;
/** A hole shorter than this is of no use to anybody, min. */
const USELESS_MIN = 30;
/**
 * Cost of a day away, of a weekday that is never theirs, of an hour away, of a useless hole, of a zone not ready, of a
 * day that they would rather avoid.
 */
const COST = { day: 0.35, weekday: 3, hour: 0.8, hole: 1, unready: 10, avoided: 5 } as const;
/** From so many visits on a habit is one. */
const HABIT_FROM = 2;
const MOST_SLOTS = 3;
/** Offers lie so far apart where they can, days. */
const APART_DAYS = 3;
/** How far beside a window that is blocked a day is looked for. */
const BESIDE_DAYS = 28;

interface Habit {
  /** Share of visits by weekday. */
  readonly share: readonly number[];
  readonly startMin: number;
}

function habitOf(past: SlotInput['past']): Habit | null {
  if (past.length < HABIT_FROM) return null;
  const share = Array.from({ length: 7 }, (_, d) => past.filter((p) => weekdayOf(p.on) === d).length / past.length);
  const starts = past.map((p) => p.startMin).sort((a, b) => a - b);
  return { share, startMin: starts[Math.floor(starts.length / 2)] ?? 0 };
}

interface Place {
  readonly startMin: number;
  /** Free time before and after it, min. */
  readonly before: number;
  readonly after: number;
}

/** Starts on a grid at which the visit fits between what is there. */
export function freePlaces(open: readonly DaySpan[], busy: readonly DaySpan[], minutes: number): readonly Place[] {
  return open.flatMap(({ fromMin, toMin }) => {
    const first = Math.ceil(fromMin / GRID_MIN) * GRID_MIN;
    const starts = Array.from(
      { length: Math.max(0, Math.floor((toMin - minutes - first) / GRID_MIN) + 1) },
      (_, i) => first + i * GRID_MIN,
    );
    return starts.flatMap((startMin): readonly Place[] => {
      const endMin = startMin + minutes;
      if (busy.some((b) => b.fromMin < endMin && startMin < b.toMin)) return [];
      const lastEnd = Math.max(fromMin, ...busy.filter((b) => b.toMin <= startMin).map((b) => b.toMin));
      const nextStart = Math.min(toMin, ...busy.filter((b) => b.fromMin >= endMin).map((b) => b.fromMin));
      return [{ startMin, before: startMin - lastEnd, after: nextStart - endMin }];
    });
  });
}

/** The free start nearest to one that is wanted, the earlier of two; null where the day has none. */
export function nearestStart(
  open: readonly DaySpan[],
  busy: readonly DaySpan[],
  { minutes, startMin }: { readonly minutes: number; readonly startMin: number },
): number | null {
  const away = (s: number): number => Math.abs(s - startMin);
  const starts = freePlaces(open, busy, minutes).map((p) => p.startMin);
  return starts.sort((a, b) => away(a) - away(b) || a - b)[0] ?? null;
}

const isHole = (min: number): boolean => min > 0 && min < USELESS_MIN;

interface Candidate extends Slot {
  readonly cost: number;
}

/** The window that all zones share, or the span of all of them where there is none. */
function spanOf(windows: readonly ZoneWindow[]): { readonly fromOn: CivilDate; readonly toOn: CivilDate } | null {
  const [first] = windows;
  if (!first) return null;
  return {
    fromOn: windows.reduce((d, w) => (w.fromOn < d ? w.fromOn : d), first.fromOn),
    toOn: windows.reduce((d, w) => laterDate(d, w.toOn), first.toOn),
  };
}

/** Best place of one day; null where none is free. */
function bestOf(input: SlotInput, on: CivilDate, habit: Habit | null, ideal: CivilDate): Candidate | null {
  const { windows, minutes, busy, hours, closed } = input;
  const day = busy.filter((b) => b.on === on);
  const unready = windows.filter((w) => on < w.fromOn || w.toOn < on);
  const weekday = habit ? 1 - (habit.share[weekdayOf(on)] ?? 0) : 0;
  const avoided = Number(input.avoid !== undefined && isAvoided(on, input.avoid));
  const ofDay =
    COST.day * Math.abs(daysBetween(ideal, on)) +
    COST.weekday * weekday +
    COST.unready * unready.length +
    COST.avoided * avoided;
  const places = freePlaces(openOn(hours, closed, on), day, minutes).map((p) => ({
    ...p,
    cost:
      ofDay +
      (habit ? (COST.hour * Math.abs(p.startMin - habit.startMin)) / 60 : p.startMin / 1e5) +
      COST.hole * (Number(isHole(p.before)) + Number(isHole(p.after))),
  }));
  const best = places.sort((a, b) => a.cost - b.cost || a.startMin - b.startMin)[0];
  if (!best) return null;
  const reasons = reasonsOf(input, { on, ...best }, { habit, unready });
  return { on, startMin: best.startMin, minutes, reasons, outside: null, cost: best.cost };
}

function reasonsOf(
  { windows, blackouts, avoid }: SlotInput,
  place: Place & { readonly on: CivilDate },
  { habit, unready }: { readonly habit: Habit | null; readonly unready: readonly ZoneWindow[] },
): readonly string[] {
  const { on, startMin } = place;
  const isDay = habit !== null && (habit.share[weekdayOf(on)] ?? 0) >= 0.5;
  const isHour = habit !== null && Math.abs(startMin - habit.startMin) <= 45;
  const habits: readonly [boolean, string][] = [
    [isDay && isHour, 'the usual day and hour'],
    [isDay, 'the usual day'],
    [isHour, 'the usual hour'],
  ];
  const fromOn = windows.reduce((d, w) => laterDate(d, w.fromOn), windows[0]?.fromOn ?? on);
  const toOn = windows.reduce((d, w) => (w.toOn < d ? w.toOn : d), windows[0]?.toOn ?? on);
  const late = daysBetween(on, toOn) <= 3 && daysBetween(fromOn, on) > 7 ? 'late in the window' : 'well in the window';
  const where = daysBetween(fromOn, on) <= 7 ? 'early in the window' : late;
  const kept = blackouts.find((b) => !isClear(on, [b]));
  const event = blackouts.find((b) => on < b.from && daysBetween(on, b.from) <= 10);
  return [
    kept ? `too near ${kept.why || 'dates kept free'}` : '',
    avoid && isAvoided(on, avoid) ? 'a day they would rather avoid' : '',
    habits.find(([is]) => is)?.[1] ?? '',
    unready.length === 0 ? where : `not ready: ${unready.map((w) => w.label).join(', ')}`,
    event ? `${daysBetween(on, event.from)} days before ${event.why || 'the blocked dates'}` : '',
    place.before === 0 && place.after === 0 ? 'fills a gap' : '',
  ].filter((r) => r !== '');
}

/** Days beside a window in which nothing can be had: the nearest on either side. */
function beside(input: SlotInput, span: { fromOn: CivilDate; toOn: CivilDate }, habit: Habit | null): readonly Slot[] {
  const days = Array.from({ length: BESIDE_DAYS }, (_, i) => i + 1);
  const first = (side: 'before' | 'after'): Slot | null => {
    for (const i of days) {
      const on = side === 'before' ? addDays(span.fromOn, -i) : addDays(span.toOn, i);
      const found = on >= input.firstOn && isClear(on, input.blackouts) ? bestOf(input, on, habit, on) : null;
      if (found) {
        const why =
          side === 'before'
            ? `${i} days before the window: more hair left, more to tweeze`
            : `${i} days after the window: trim first`;
        const { startMin, minutes } = found;
        return { on, startMin, minutes, outside: side, reasons: [why] };
      }
    }
    return null;
  };
  return [first('before'), first('after')].filter((s) => s !== null);
}

/**
 * Up to three free places for the next visit, best first; where every day of the window is blocked or full, the nearest
 * on both sides of it. Empty where there is no window, or nothing is free at all.
 */
export function proposeSlots(input: SlotInput): readonly Slot[] {
  const span = spanOf(input.windows);
  if (!span) return [];
  const habit = habitOf(input.past);
  const latestFrom = input.windows.reduce((d, w) => laterDate(d, w.fromOn), span.fromOn);
  const ideal = input.about ?? addDays(latestFrom, BEST_OFFSET_DAYS);
  const start = laterDate(span.fromOn, input.firstOn);
  const days = Array.from({ length: Math.max(0, daysBetween(start, span.toOn) + 1) }, (_, i) => addDays(start, i));
  const found = days
    .filter((on) => isClear(on, input.blackouts))
    .flatMap((on) => bestOf(input, on, habit, ideal) ?? [])
    .sort((a, b) => a.cost - b.cost || (a.on < b.on ? -1 : 1));
  if (found.length === 0) return beside(input, span, habit);
  const chosen: Candidate[] = [];
  for (const apart of [APART_DAYS, 1]) {
    for (const c of found) {
      if (chosen.length >= MOST_SLOTS) break;
      if (chosen.every((o) => Math.abs(daysBetween(o.on, c.on)) >= apart)) chosen.push(c);
    }
  }
  return chosen.map(({ on, startMin, minutes, reasons, outside }) => ({ on, startMin, minutes, reasons, outside }));
}

/** The best free place of one day, whatever the window says; null where none is free. */
export function slotOn(input: SlotInput, on: CivilDate): Slot | null {
  const found = on < input.firstOn ? null : bestOf(input, on, habitOf(input.past), on);
  if (!found) return null;
  const { startMin, minutes, reasons, outside } = found;
  return { on, startMin, minutes, reasons, outside };
}
