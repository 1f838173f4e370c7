// Calendars as files (iCalendar, RFC 5545). Written: a practitioner's visits as instants, so that no clock change can
// move them, with nothing of health and no more of a name than the desk would call out. Read: busy times of any
// calendar, with its own time zones and repetitions.

import ICAL from 'ical.js';
import { createEvents, type EventAttributes } from 'ics';
import { fail, ok, type Result } from '../core/shared';

export interface CalendarEvent {
  readonly uid: string;
  readonly fromMs: number;
  readonly toMs: number;
  readonly title: string;
  /** Raised with every change, so that a calendar takes the newer one. */
  readonly sequence: number;
}

const REMIND_MIN = 15;
const DOMAIN = 'strickle.invalid';

/** The events as the text of one .ics file. */
export function writeCalendar(name: string, events: readonly CalendarEvent[]): Result<string> {
  const attributes = events.map((e): EventAttributes => ({
    uid: `${e.uid}@${DOMAIN}`,
    start: e.fromMs,
    end: e.toMs,
    startInputType: 'utc',
    startOutputType: 'utc',
    endInputType: 'utc',
    endOutputType: 'utc',
    title: e.title,
    sequence: e.sequence,
    classification: 'PRIVATE',
    productId: '-//Strickle//Visits//EN',
    alarms: [{ action: 'display', description: e.title, trigger: { minutes: REMIND_MIN, before: true } }],
  }));
  if (attributes.length === 0) return ok(EMPTY);
  const made = createEvents(attributes, { calName: name, productId: '-//Strickle//Visits//EN' });
  if (typeof made.value === 'string') return ok(made.value);
  return fail({ code: 'calendar', message: 'The calendar could not be written.' });
}

const EMPTY = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Strickle//Visits//EN', 'END:VCALENDAR', ''].join('\r\n');

export interface BusyTime {
  readonly uid: string;
  readonly fromMs: number;
  readonly toMs: number;
  readonly title: string;
}

export interface ReadWindow {
  readonly fromMs: number;
  readonly toMs: number;
  /** Of the studio: for whole days and for times that say no zone. */
  readonly timeZone: string;
  /** The instant of a time on a zone's wall clock; throws for a zone that does not exist. */
  readonly instantAt: (date: string, hour: number, minute: number, timeZone: string) => number;
}

export interface ReadCalendarFile {
  readonly busy: readonly BusyTime[];
  /** Events that say they leave the time free, or were called off. */
  readonly free: number;
  /** Events outside the window. */
  readonly outside: number;
}

/** Of one event that comes again and again at most so many are looked at: daily for over thirty years. */
const MOST_TIMES = 12_000;
/** And so many busy times of one file are taken; a file with more is refused. */
const MOST_BUSY = 3000;
const LONGEST_TITLE = 80;

/** An instant of a time of the file; a time without a zone is on the studio's wall clock. */
function instantOf(time: ICAL.Time, tzid: string, { instantAt, timeZone }: ReadWindow): number {
  const isFloating = time.isDate || time.zone === ICAL.Timezone.localTimezone;
  if (!isFloating) return time.toUnixTime() * 1000;
  const date = `${pad(time.year, 4)}-${pad(time.month)}-${pad(time.day)}`;
  if (time.isDate) return instantAt(date, 0, 0, timeZone);
  // a zone that the file names and does not describe is known by its name, or not at all
  try {
    return instantAt(date, time.hour, time.minute, tzid === '' ? timeZone : tzid);
  } catch {
    return instantAt(date, time.hour, time.minute, timeZone);
  }
}
const pad = (n: number, digits = 2): string => String(n).padStart(digits, '0');

function* timesOf(event: ICAL.Event, window: ReadWindow): Generator<readonly [fromMs: number, toMs: number]> {
  const tzid = String(event.component.getFirstProperty('dtstart')?.getParameter('tzid') ?? '');
  const at = (time: ICAL.Time): number => instantOf(time, tzid, window);
  if (!event.isRecurring()) {
    yield [at(event.startDate), at(event.endDate)];
    return;
  }
  const iterator = event.iterator();
  for (let k = 0; k < MOST_TIMES; k++) {
    // the library's types say that there is always a next one
    const next = iterator.next() as ICAL.Time | null | undefined;
    if (!next) return;
    const { startDate, endDate } = event.getOccurrenceDetails(next);
    const fromMs = at(startDate);
    if (fromMs > window.toMs) return;
    yield [fromMs, at(endDate)];
  }
  throw new RangeError('too many times');
}

const isFree = (component: ICAL.Component): boolean =>
  textOf(component, 'transp').toUpperCase() === 'TRANSPARENT' ||
  textOf(component, 'status').toUpperCase() === 'CANCELLED';

/** Busy times of a calendar file that lie in the window, in the order of time. */
export function readCalendar(text: string, window: ReadWindow): Result<ReadCalendarFile> {
  const calendar = parsed(text);
  if (!calendar) return notCalendar();
  // its own zones go before those that are known by name; they are known no longer than this file
  const zones = calendar.getAllSubcomponents('vtimezone');
  for (const zone of zones) ICAL.TimezoneService.register(new ICAL.Timezone(zone));
  try {
    return busyOf(calendar.getAllSubcomponents('vevent'), window);
  } finally {
    for (const zone of zones) ICAL.TimezoneService.remove(textOf(zone, 'tzid'));
  }
}

function parsed(text: string): ICAL.Component | null {
  try {
    // what the parser gives back for one calendar is its component in the library's own list form
    const calendar = new ICAL.Component(ICAL.parse(text) as [string, ...unknown[]]);
    return calendar.name === 'vcalendar' ? calendar : null;
  } catch {
    return null;
  }
}

const textOf = (component: ICAL.Component, property: string): string => {
  const value = component.getFirstPropertyValue(property);
  return typeof value === 'string' ? value : '';
};

function busyOf(components: readonly ICAL.Component[], window: ReadWindow): Result<ReadCalendarFile> {
  const busy: BusyTime[] = [];
  let [free, outside] = [0, 0];
  const moved = components.filter((c) => c.hasProperty('recurrence-id'));
  for (const component of components.filter((c) => !c.hasProperty('recurrence-id'))) {
    if (isFree(component)) {
      free++;
      continue;
    }
    const uid = textOf(component, 'uid');
    const exceptions = moved.filter((c) => textOf(c, 'uid') === uid);
    try {
      const event = new ICAL.Event(component, { exceptions, strictExceptions: false });
      let k = 0;
      for (const [fromMs, toMs] of timesOf(event, window)) {
        const isInside = toMs > window.fromMs && fromMs < window.toMs && fromMs < toMs;
        if (!isInside) outside++;
        else if (busy.length === MOST_BUSY) return tooMany();
        else {
          busy.push({ uid: `${uid} ${k}`, fromMs, toMs, title: textOf(component, 'summary').slice(0, LONGEST_TITLE) });
        }
        k++;
      }
    } catch (error) {
      if (error instanceof RangeError) return tooMany();
      return fail({ code: 'calendar', message: 'An event of this file has no time that can be read.', path: 'file' });
    }
  }
  return ok({ busy: busy.sort((a, b) => a.fromMs - b.fromMs), free, outside });
}

const tooMany = (): Result<never> =>
  fail({
    code: 'calendar',
    message: `More than ${MOST_BUSY} busy times, or one that comes too often: export a shorter time.`,
    path: 'file',
  });

const notCalendar = (): Result<never> =>
  fail({ code: 'calendar', message: 'This is no iCalendar file (.ics).', path: 'file' });
