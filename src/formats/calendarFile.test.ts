import ICAL from 'ical.js';
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { readCalendar, writeCalendar, type ReadWindow } from './calendarFile';

const instantAt: ReadWindow['instantAt'] = (date, hour, minute, timeZone) =>
  Temporal.PlainDate.from(date).toZonedDateTime({ timeZone, plainTime: Temporal.PlainTime.from({ hour, minute }) })
    .epochMilliseconds;
const window = (timeZone = 'Europe/London'): ReadWindow => ({
  fromMs: Date.UTC(2027, 0, 1),
  toMs: Date.UTC(2028, 0, 1),
  timeZone,
  instantAt,
});
const lines = (...body: readonly string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', ...body, 'END:VCALENDAR', ''].join('\r\n');
const event = (...body: readonly string[]): readonly string[] => [
  'BEGIN:VEVENT',
  'UID:u1',
  'DTSTAMP:20270101T000000Z',
  'SUMMARY:School, 3rd form',
  ...body,
  'END:VEVENT',
];
const read = (text: string, timeZone?: string) => {
  const found = readCalendar(text, window(timeZone));
  if (!found.ok) throw new Error(found.error.message);
  return found.value;
};

// the day before and after each change of the clock in 2027 (IANA time zone database)
const CHANGES = [
  ['Europe/London', '2027-03-27', '2027-03-28', '2027-10-30', '2027-10-31'],
  ['America/New_York', '2027-03-13', '2027-03-14', '2027-11-06', '2027-11-07'],
  ['Australia/Sydney', '2027-04-03', '2027-04-04', '2027-10-02', '2027-10-03'],
] as const;

describe('a calendar that goes out (RFC 5545), read back by a parser of its own', () => {
  it.each(CHANGES)(
    '%s: ten in the morning stays ten in the morning over both changes of the clock',
    (timeZone, ...days) => {
      const events = days.map((on, i) => {
        const fromMs = instantAt(on, 10, 0, timeZone);
        return { uid: `b${i}`, fromMs, toMs: fromMs + 45 * 60_000, title: 'Corwin A.', sequence: i };
      });
      const text = writeCalendar('Ines', events);
      expect(text.ok).toBe(true);
      const calendar = new ICAL.Component(ICAL.parse(text.ok ? text.value : '') as [string, ...unknown[]]);
      const found = calendar.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));
      const walls = found.map((e) => {
        const at = Temporal.Instant.fromEpochMilliseconds(e.startDate.toUnixTime() * 1000).toZonedDateTimeISO(timeZone);
        const long = e.endDate.toUnixTime() - e.startDate.toUnixTime();
        return `${at.toPlainDate().toString()} ${at.hour}:${at.minute} ${long / 60} ${e.sequence} ${e.summary}`;
      });
      expect(walls).toEqual(days.map((on, i) => `${on} 10:0 45 ${i} Corwin A.`));
      expect(new Set(found.map((e) => e.uid)).size).toBe(4);
    },
  );
  it('keeps commas, semicolons and line ends of a title, folds long lines, and is whole without any visit', () => {
    const title = `Ottilie; B., ${'long '.repeat(30)}`.trim();
    const text = writeCalendar('Ines', [{ uid: 'a', fromMs: 0, toMs: 60_000, title, sequence: 0 }]);
    const value = text.ok ? text.value : '';
    expect(Math.max(...value.split('\r\n').map((l) => Buffer.byteLength(l)))).toBeLessThanOrEqual(75);
    const calendar = new ICAL.Component(ICAL.parse(value) as [string, ...unknown[]]);
    expect(calendar.getFirstSubcomponent('vevent')?.getFirstPropertyValue('summary')).toBe(title);
    const none = writeCalendar('Ines', []);
    expect(read(none.ok ? none.value : '').busy).toEqual([]);
  });
});

describe('a calendar that comes in', () => {
  it('reads instants, times of a named zone, times of no zone and whole days', () => {
    const at = (start: string, end: string, zone?: string) =>
      read(lines(...event(`DTSTART${start}`, `DTEND${end}`)), zone).busy[0];
    expect(at(':20270610T080000Z', ':20270610T090000Z')?.fromMs).toBe(Date.UTC(2027, 5, 10, 8));
    // a zone that is named and not described in the file: New York is four hours behind in June
    const york = ';TZID=America/New_York:20270610T080000';
    expect(at(york, york.replace('T08', 'T09'))?.fromMs).toBe(Date.UTC(2027, 5, 10, 12));
    expect(at(':20270610T080000', ':20270610T090000', 'Europe/Paris')?.fromMs).toBe(Date.UTC(2027, 5, 10, 6));
    const day = at(';VALUE=DATE:20270610', ';VALUE=DATE:20270611', 'Europe/Paris');
    expect([day?.fromMs, day?.toMs]).toEqual([Date.UTC(2027, 5, 9, 22), Date.UTC(2027, 5, 10, 22)]);
  });
  it('uses a zone as the file describes it, and forgets it with the file', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:House time',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:+0500',
      'TZOFFSETTO:+0500',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    const own = event('DTSTART;TZID=House time:20270610T080000', 'DTEND;TZID=House time:20270610T090000');
    expect(read(lines(...zone, ...own)).busy[0]?.fromMs).toBe(Date.UTC(2027, 5, 10, 3));
    expect(read(lines(...own)).busy[0]?.fromMs).toBe(Date.UTC(2027, 5, 10, 7));
  });
  it('repeats an event on the wall clock over a clock change, without the days that are left out, with those moved', () => {
    const school = event(
      'DTSTART;TZID=Europe/London:20270316T140000',
      'DTEND;TZID=Europe/London:20270316T150000',
      'RRULE:FREQ=WEEKLY;COUNT=4',
      'EXDATE;TZID=Europe/London:20270323T140000',
    );
    const moved = event(
      'RECURRENCE-ID;TZID=Europe/London:20270406T140000',
      'DTSTART;TZID=Europe/London:20270407T160000',
      'DTEND;TZID=Europe/London:20270407T170000',
    );
    const { busy } = read(lines(...school, ...moved));
    expect(busy.map((b) => new Date(b.fromMs).toISOString())).toEqual([
      '2027-03-16T14:00:00.000Z',
      '2027-03-30T13:00:00.000Z',
      '2027-04-07T15:00:00.000Z',
    ]);
    expect(busy[0]?.title).toBe('School, 3rd form');
  });
  it('counts what leaves the time free and what lies outside; refuses what is no calendar', () => {
    const found = read(
      lines(
        ...event('DTSTART:20270610T080000Z', 'DTEND:20270610T090000Z', 'TRANSP:TRANSPARENT'),
        ...event('DTSTART:20270610T080000Z', 'DTEND:20270610T090000Z', 'STATUS:CANCELLED'),
        ...event('DTSTART:20200610T080000Z', 'DTEND:20200610T090000Z'),
      ),
    );
    expect(found).toEqual({ busy: [], free: 2, outside: 1 });
    const wrong = ['', 'name,phone', lines().replace('VCALENDAR', 'VCARD').replace('VCALENDAR', 'VCARD')];
    expect(wrong.map((text) => readCalendar(text, window()).ok)).toEqual([false, false, false]);
    const timeless = readCalendar(lines(...event()), window());
    expect(timeless.ok ? '' : timeless.error.path).toBe('file');
  });
  it('ends an endless repetition at the window', () => {
    const daily = event('DTSTART:20270101T080000Z', 'DTEND:20270101T083000Z', 'RRULE:FREQ=DAILY');
    expect(read(lines(...daily)).busy).toHaveLength(365);
    // begun nine years ago, still every day
    const long = event('DTSTART:20180101T080000Z', 'DTEND:20180101T083000Z', 'RRULE:FREQ=DAILY');
    expect(read(lines(...long)).busy).toHaveLength(365);
  });
  it('takes no part of a file that has too many times', () => {
    const hourly = event('DTSTART:20270101T080000Z', 'DTEND:20270101T081000Z', 'RRULE:FREQ=HOURLY');
    const found = readCalendar(lines(...hourly), window());
    expect(found.ok ? '' : found.error.message).toMatch(/^More than 3000 busy times/);
    const endless = event('DTSTART:20200101T080000Z', 'DTEND:20200101T080100Z', 'RRULE:FREQ=HOURLY;INTERVAL=2');
    expect(readCalendar(lines(...endless), window()).ok).toBe(false);
  });
});
