import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { USUAL_HOURS } from '../../core/calendar';
import { readCalendar } from '../../formats/calendarFile';
import { demoStudio } from '../../demo/studioForTests';
import { civilDateAt, instantAt, timeInWords } from '../clock';
import type { OpenDatabase } from '../db/openDatabase';
import { people, visits } from '../db/schema';
import { clashingBooking, insertBooking, readBooking } from '../repos/clientRepo';
import { absencesBetween } from '../repos/deskRepo';
import { addAbsence, importCalendar, removeAbsence } from './absences';
import { lengthFor, lengthWords } from './bookingLength';
import { book } from './bookings';
import { calendarOf, changeFeed, feedOf, shortName } from './calendars';
import { onWall } from './freeTime';
import { loadHours, saveHours } from './hours';
import { late } from './late';
import { loadToday, planOfBooking } from './today';
import { addWaiting, removeWaiting, waitingList } from './waiting';
import { loadWeek } from './week';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const ZONE = 'Europe/London';
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};
const refusal = (result: { ok: boolean; error?: { message: string } }): string => result.error?.message ?? '';
const at = (on: string, hour: number, minute = 0): number => instantAt(on, hour, minute, ZONE);
/** A Wednesday. */
const DAY = '2027-05-19';
const ics = (...events: readonly string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', ...events, 'END:VCALENDAR', ''].join('\r\n');
const school = (uid: string, from: string, to: string): string =>
  ['BEGIN:VEVENT', `UID:${uid}`, 'SUMMARY:School', `DTSTART:${from}`, `DTEND:${to}`, 'END:VEVENT'].join('\r\n');

describe('away times and own hours', () => {
  it('keep bookings out and say why, with the nearest place that is free; what is booked already is said and stays', () => {
    const taken = value(book(open.db, { clientId: 'corwin', personId: 'ines', startsAtMs: at(DAY, 10) }, NOW));
    const body = { personId: 'ines', fromMs: at(DAY, 9), toMs: at(DAY, 12), why: 'school' };
    const away = value(addAbsence(open.db, body, NOW));
    expect(away.meets).toEqual(['Corwin Asare, Wednesday 19 May at 10:00']);
    expect(readBooking(open.db, taken.id)?.status).toBe('booked');
    const clash = book(open.db, { clientId: 'marit', personId: 'ines', startsAtMs: at(DAY, 11, 15) }, NOW);
    expect(refusal(clash)).toBe('11:15 is away time of Ines: school. 12:00 is free.');
    expect(book(open.db, { clientId: 'marit', personId: 'bao', startsAtMs: at(DAY, 11, 15) }, NOW).ok).toBe(true);
    const week = value(loadWeek(open.db, DAY, NOW));
    expect(week.away).toMatchObject([{ personId: 'ines', on: DAY, fromMin: 540, toMin: 720, why: 'school' }]);
    value(removeAbsence(open.db, away.id));
    expect(book(open.db, { clientId: 'hedda', personId: 'ines', startsAtMs: at(DAY, 11, 15) }, NOW).ok).toBe(true);
    expect(removeAbsence(open.db, away.id).ok).toBe(false);
  });
  it('refuse what ends before it begins, what is past, and people who are not here', () => {
    const body = { personId: 'ines', fromMs: at(DAY, 9), toMs: at(DAY, 12), why: 'school' };
    expect(refusal(addAbsence(open.db, { ...body, toMs: at(DAY, 9) }, NOW))).toBe('It ends before it begins.');
    expect(refusal(addAbsence(open.db, { ...body, fromMs: NOW - 9e6, toMs: NOW }, NOW))).toBe('That time is past.');
    expect(addAbsence(open.db, { ...body, personId: 'nobody' }, NOW).ok).toBe(false);
    expect(absencesBetween(open.db, 0, at('2030-01-01', 0))).toEqual([]);
  });
  it('lie on the wall clock day by day, over midnight and a clock change', () => {
    // 28 March 2027: London goes from 01:00 to 02:00
    expect(onWall(at('2027-03-27', 22), at('2027-03-29', 0), ZONE)).toEqual([
      { on: '2027-03-27', fromMin: 1320, toMin: 1440 },
      { on: '2027-03-28', fromMin: 0, toMin: 1440 },
    ]);
    expect(onWall(at('2027-03-28', 0, 30), at('2027-03-28', 3), ZONE)).toEqual([
      { on: '2027-03-28', fromMin: 30, toMin: 180 },
    ]);
  });
  it('a person’s own week goes before the studio’s, closed days before both', () => {
    const { studioVersion } = value(loadHours(open.db));
    const none = [[], [], [{ fromMin: 840, toMin: 1020 }], [], [], [], []];
    value(
      saveHours(open.db, {
        version: studioVersion,
        hours: USUAL_HOURS,
        closed: [{ from: '2027-05-26', to: '2027-05-26', why: 'fair' }],
        hoursOf: { ines: none },
      }),
    );
    const week = value(loadWeek(open.db, DAY, NOW));
    expect(week.days.map((d) => (d.works['ines'] ?? []).length)).toEqual([0, 0, 1, 0, 0, 0, 0]);
    expect(week.days.map((d) => (d.works['bao'] ?? []).length)).toEqual([1, 1, 1, 1, 1, 1, 0]);
    expect(value(loadWeek(open.db, '2027-05-26', NOW)).days[2]?.works['ines']).toEqual([]);
    const bad = saveHours(open.db, {
      version: studioVersion + 1,
      hours: USUAL_HOURS,
      closed: [],
      hoursOf: { x: none },
    });
    expect(bad.ok).toBe(false);
  });
});

describe('calendars', () => {
  it('take busy times all or nothing, replace those of the file before, and leave what was said by hand', () => {
    value(addAbsence(open.db, { personId: 'ines', fromMs: at(DAY, 9), toMs: at(DAY, 10), why: 'dentist' }, NOW));
    const first = ics(
      school('a', '20270520T080000Z', '20270520T100000Z'),
      school('b', '20270521T080000Z', '20270521T100000Z'),
    );
    const looked = value(importCalendar(open.db, 'ines', { text: first, write: false }, NOW));
    expect(looked).toMatchObject({ count: 2, free: 0, outside: 0 });
    const all = () =>
      absencesBetween(open.db, 0, at('2030-01-01', 0)).map((a) => `${a.why} ${civilDateAt(a.fromMs, ZONE)}`);
    expect(all()).toEqual(['dentist 2027-05-19']);
    value(importCalendar(open.db, 'ines', { text: first, write: true }, NOW));
    expect(all()).toHaveLength(3);
    const second = ics(school('c', '20270527T080000Z', '20270527T100000Z'));
    value(importCalendar(open.db, 'ines', { text: second, write: true }, NOW));
    expect(all()).toEqual(['dentist 2027-05-19', 'School 2027-05-27']);
    expect(refusal(importCalendar(open.db, 'ines', { text: 'no calendar', write: true }, NOW))).toContain(
      'Nothing was changed',
    );
    expect(all()).toHaveLength(2);
  });
  it('go out with first names and initials, open by a private address that can be closed', () => {
    value(book(open.db, { clientId: 'corwin', personId: 'ines', startsAtMs: at(DAY, 10) }, NOW));
    const text = value(calendarOf(open.db, 'ines', NOW));
    const window = { fromMs: at(DAY, 0), toMs: at('2027-05-20', 0), timeZone: ZONE, instantAt };
    const read = value(readCalendar(text, window));
    expect(read.busy).toMatchObject([{ fromMs: at(DAY, 10), title: 'Corwin A.' }]);
    expect(text).not.toMatch(/Asare|lower leg|aspirin/i);
    const { token } = value(changeFeed(open.db, 'ines', true));
    // the data file holds nothing that opens it
    const kept = open.db.select({ hash: people.feedHash }).from(people).all();
    expect(kept.some((p) => p.hash === token)).toBe(false);
    expect(kept.some((p) => p.hash !== null)).toBe(true);
    expect(token?.length).toBeGreaterThanOrEqual(32);
    expect(value(feedOf(open.db, token ?? '', NOW)).split('BEGIN:VEVENT').length).toBe(
      text.split('BEGIN:VEVENT').length,
    );
    const next = value(changeFeed(open.db, 'ines', true));
    expect(feedOf(open.db, token ?? '', NOW).ok).toBe(false);
    value(changeFeed(open.db, 'ines', false));
    expect(feedOf(open.db, next.token ?? '', NOW).ok).toBe(false);
    expect(feedOf(open.db, '', NOW).ok).toBe(false);
    expect([shortName('Wilhelmina Tresk-Abernathy van der Saltmarsh'), shortName('Cher')]).toEqual([
      'Wilhelmina S.',
      'Cher',
    ]);
  });
});

describe('the waiting list', () => {
  const wish = { clientId: 'marit', personId: 'bao', weekdays: [2], fromMin: 960, toMin: 1440, words: '' };
  it('offers the first place on their days and hours, with whom they want, free and in the window', () => {
    value(addWaiting(open.db, wish, NOW));
    const [line] = waitingList(open.db, NOW);
    const { startsAtMs = 0, minutes = 0 } = line?.offer ?? {};
    expect(line?.offer?.personId).toBe('bao');
    expect([new Date(startsAtMs).getUTCDay(), timeInWords(startsAtMs, ZONE) >= '16:00']).toEqual([3, true]);
    expect(clashingBooking(open.db, { personId: 'bao', startsAtMs, minutes })).toBeUndefined();
    // what is taken meanwhile is not offered again
    insertBooking(open.db, { id: 'x', clientId: 'corwin', personId: 'bao', startsAtMs, minutes: 180, zones: [] });
    expect(waitingList(open.db, NOW)[0]?.offer?.startsAtMs).toBeGreaterThan(startsAtMs);
    value(addWaiting(open.db, { ...wish, words: 'for the race' }, NOW));
    expect(waitingList(open.db, NOW)).toHaveLength(1);
    value(removeWaiting(open.db, 'marit'));
    expect(waitingList(open.db, NOW)).toEqual([]);
  });
  it('is left with the booking, both or neither', () => {
    value(addWaiting(open.db, wish, NOW));
    const place = { clientId: 'marit', personId: 'bao', startsAtMs: at(DAY, 16), waited: true };
    expect(book(open.db, { ...place, startsAtMs: NOW - 1 }, NOW).ok).toBe(false);
    expect(waitingList(open.db, NOW)).toHaveLength(1);
    value(book(open.db, place, NOW));
    expect(waitingList(open.db, NOW)).toEqual([]);
  });
  it('says where nothing suits, and refuses hours that end before they begin', () => {
    value(addWaiting(open.db, { ...wish, weekdays: [6] }, NOW));
    expect(waitingList(open.db, NOW)[0]).toMatchObject({
      offer: null,
      why: 'Nothing that suits is free in the window.',
    });
    expect(addWaiting(open.db, { ...wish, toMin: 960 }, NOW).ok).toBe(false);
    expect(addWaiting(open.db, { ...wish, clientId: 'nobody' }, NOW).ok).toBe(false);
  });
});

describe('a client who comes late', () => {
  it('is told against what comes next: all of it, or which zones go, and who is told', () => {
    const id = 'demo-booking-corwin';
    const booking = readBooking(open.db, id);
    if (!booking) throw new Error('no booking');
    value(loadToday(open.db, NOW));
    expect(planOfBooking(open.db, booking, NOW)).toBeDefined();
    const until = value(late(open.db, id, 5, NOW));
    expect(until.startsAtMs).toBe(booking.startsAtMs + 300_000);
    expect(until.next?.startsAtMs).toBeGreaterThan(booking.startsAtMs);
    const much = value(late(open.db, id, 60, NOW));
    expect(much.overMin).toBeGreaterThan(until.overMin);
    expect(much.endsAtMs - until.endsAtMs).toBe(55 * 60_000);
    expect(much.says[0]).toMatch(/over at \d\d:\d\d, \d+ min into /);
    expect(much.drop.length).toBeGreaterThan(0);
    // a house that is open to midnight: the day ends with it, not before it began
    const { studioVersion } = value(loadHours(open.db));
    const all = Array.from({ length: 7 }, () => [{ fromMin: 0, toMin: 1440 }]);
    value(saveHours(open.db, { version: studioVersion, hours: all, closed: [] }));
    const lastOne = value(late(open.db, 'demo-booking-anselm', 5, NOW));
    expect(lastOne).toMatchObject({ fits: true, next: null });
    expect(late(open.db, id, 0, NOW).ok).toBe(false);
    expect(late(open.db, 'nobody', 5, NOW).ok).toBe(false);
  });
});

describe('how long it is booked', () => {
  it('rests on this client’s visits of the same zones, and says so', () => {
    const zones = [
      { zone: 'underarm', side: 'left' },
      { zone: 'underarm', side: 'right' },
    ] as const;
    const wanted = { clientId: 'ottilie', personId: 'ines', zones, plannedMin: 30, turnoverMin: 8 };
    open.db.update(visits).set({ plannedMin: null, tableMin: null }).run();
    const before = lengthFor(open.db, wanted);
    expect(lengthWords(before)).toBe('By the plan.');
    open.db.update(visits).set({ plannedMin: 30, tableMin: 21 }).run();
    const after = lengthFor(open.db, wanted);
    expect(after.minutes).toBeLessThan(before.minutes);
    expect(lengthWords(after)).toMatch(
      /^Their last \d+ visits took 21 min at the table; this plan is 30, with room for a long one and the turnover\.$/,
    );
    const other = lengthFor(open.db, { ...wanted, zones: [{ zone: 'chin', side: 'middle' }] });
    expect(other.ownVisits).toBe(0);
    expect(lengthWords(other)).toMatch(/^By the plan, at the pace of \d+ visits\.$/);
  });
});
