import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { weekdayOf, type WeekHours } from '../../core/calendar';
import { addDays, daysBetween } from '../../core/shared';
import { demoStudio } from '../../demo/studioForTests';
import { civilDateAt, instantAt, wallTimeAt } from '../clock';
import type { OpenDatabase } from '../db/openDatabase';
import { clashingBooking, insertBooking } from '../repos/clientRepo';
import { readStudio, setSettings } from '../repos/studioRepo';
import { loadBench } from './bench';
import { nextSlots, windowsOf, type NextSlots, type SlotsAsked } from './nextSlots';
import { openVisit } from './openVisit';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const ZONE = 'Europe/London';
let open: OpenDatabase;
let visitId: string;
beforeEach(() => {
  open = demoStudio(NOW);
  const made = openVisit(open.db, { bookingId: 'demo-booking-ottilie' }, NOW);
  if (!made.ok) throw new Error(made.error.message);
  ({ visitId } = made.value);
});
afterEach(() => open.close());

const slots = (asked: SlotsAsked = {}): NextSlots => {
  const found = nextSlots(open.db, visitId, asked, NOW);
  if (!found.ok) throw new Error(found.error.message);
  return found.value;
};
const plan = () => {
  const bench = loadBench(open.db, visitId, NOW);
  if (!bench.ok) throw new Error(bench.error.message);
  return bench.value.plan;
};
const hours = (week: WeekHours): void => {
  const studio = readStudio(open.db);
  if (!studio) throw new Error('no studio');
  expect(setSettings(open.db, { ...studio.settings, hours: week }, studio.version)).toBe(true);
};

describe('nextSlots', () => {
  it('offers three free places in the window of what was worked with, on the studio’s wall clock', () => {
    const found = slots();
    const windows = windowsOf(plan());
    expect(windows.length).toBeGreaterThan(0);
    expect(found.slots).toHaveLength(3);
    const wrong = found.slots.filter(
      (s) =>
        windows.some((w) => s.on < w.fromOn || w.toOn < s.on) ||
        clashingBooking(open.db, { personId: 'ines', ...s }) !== undefined ||
        civilDateAt(s.startsAtMs, ZONE) !== s.on,
    );
    expect(wrong).toEqual([]);
    const [first] = found.slots;
    const { hour, minute } = wallTimeAt(first?.startsAtMs ?? 0, ZONE);
    expect(60 * hour + minute).toBe(first?.startMin);
    expect(found.minutes).toBeGreaterThanOrEqual(15);
  });
  it('offers no place that has been taken since', () => {
    const [first] = slots().slots;
    if (!first) throw new Error('no slot');
    const { on, startsAtMs, minutes } = first;
    insertBooking(open.db, { id: 'taken', clientId: 'marit', personId: 'ines', startsAtMs, minutes, zones: [] });
    const again = slots({ about: on });
    const overlaps = [...again.slots, ...(again.asked ? [again.asked] : [])].filter(
      (s) => s.startsAtMs < startsAtMs + minutes * 60_000 && startsAtMs < s.startsAtMs + s.minutes * 60_000,
    );
    expect(overlaps).toEqual([]);
  });
  it('keeps to the studio’s own hours', () => {
    const wednesday = [{ fromMin: 13 * 60, toMin: 17 * 60 }];
    hours([[], [], wednesday, [], [], [], []]);
    const found = slots().slots;
    expect(found.length).toBeGreaterThan(0);
    expect(found.map((s) => [weekdayOf(s.on), s.startMin >= 13 * 60])).toEqual(found.map(() => [2, true]));
  });
  it('gives the best place of a day that is asked for, and none of a day that is closed or past', () => {
    const tuesday = addDays('2027-06-15', 0);
    expect(slots({ about: tuesday }).asked).toMatchObject({ on: tuesday });
    expect(slots({ about: '2027-06-13' }).asked).toBeNull();
    expect(slots({ about: '2027-05-01' }).asked).toBeNull();
  });
  it('works a date that must be smooth backwards to visits', () => {
    const eventOn = '2027-08-28';
    const { smooth } = slots({ smoothOn: eventOn });
    const last = smooth?.visits.at(-1) ?? '';
    expect(daysBetween(last, eventOn)).toBeGreaterThanOrEqual(2);
    expect(daysBetween(last, eventOn)).toBeLessThanOrEqual(Math.min(...plan().regrowth.map((r) => r.smoothDays)));
    expect(slots().smooth).toBeNull();
  });
  it('keeps a slot’s hour over a clock change: nine is nine in winter too', () => {
    hours(Array.from({ length: 7 }, () => [{ fromMin: 9 * 60, toMin: 10 * 60 }]));
    const { asked } = slots({ about: '2027-11-03' });
    expect(asked?.startsAtMs).toBe(instantAt('2027-11-03', 9, 0, ZONE));
    expect(asked?.startsAtMs).toBe(Date.UTC(2027, 10, 3, 9, 0));
  });
  it('knows no visit that is not there', () => expect(nextSlots(open.db, 'nobody', {}, NOW).ok).toBe(false));
});
