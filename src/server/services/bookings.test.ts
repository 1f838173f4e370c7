import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { readBooking } from '../repos/clientRepo';
import { book, changeBooking, type NewBooking } from './bookings';
import { openVisit } from './openVisit';
import { loadWeek, type Week, type WeekBooking } from './week';

/** Saturday 8 May 2027, 09:00 in London: before the first visit of the demo. */
const NOW = Date.UTC(2027, 4, 8, 6, 0);
const at = (day: number, hour: number, minute = 0): number => Date.UTC(2027, 4, day, hour - 1, minute);
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const week = (on?: string): Week => {
  const loaded = loadWeek(open.db, on, NOW);
  if (!loaded.ok) throw new Error(loaded.error.message);
  return loaded.value;
};
const of = (id: string, on?: string): WeekBooking => {
  const found = week(on).bookings.find((b) => b.id === id);
  if (!found) throw new Error(id);
  return found;
};
const wanted: NewBooking = { clientId: 'marit', personId: 'ines', startsAtMs: at(12, 10), minutes: 45 };
const made = (body: NewBooking = wanted): string => {
  const booked = book(open.db, body, NOW);
  if (!booked.ok) throw new Error(booked.error.message);
  return booked.value.id;
};

describe('the week', () => {
  it('begins on Monday, with the hours of each day and every booking on its wall clock', () => {
    const { fromOn, days, bookings } = week();
    expect(fromOn).toBe('2027-05-03');
    expect(days.map((d) => d.open.length)).toEqual([1, 1, 1, 1, 1, 1, 0]);
    expect(bookings.find((b) => b.id === 'demo-booking-ottilie')).toMatchObject({ on: '2027-05-08', startMin: 555 });
    expect(week('2027-05-12').fromOn).toBe('2027-05-10');
  });
});

describe('booking ahead', () => {
  it('books a client for what they last came for', () => {
    const id = made();
    expect(of(id, '2027-05-12')).toMatchObject({ on: '2027-05-12', startMin: 600, minutes: 45, state: 'booked' });
    expect(readBooking(open.db, id)?.zones.length).toBeGreaterThan(0);
  });
  it('refuses what clashes and names the nearest free place; touching ends are no clash', () => {
    made();
    const clash = book(open.db, { ...wanted, clientId: 'hedda', startsAtMs: at(12, 10, 30), minutes: 30 }, NOW);
    expect(clash).toMatchObject({
      ok: false,
      error: { code: 'refused', details: [{ path: 'startsAtMs', message: String(at(12, 10, 45)) }] },
    });
    expect(clash.ok ? '' : clash.error.message).toBe('10:30 meets Marit’s visit. 10:45 is free.');
    expect(book(open.db, { ...wanted, clientId: 'hedda', startsAtMs: at(12, 10, 45) }, NOW).ok).toBe(true);
    expect(book(open.db, { ...wanted, clientId: 'hedda', personId: 'bao' }, NOW).ok).toBe(true);
  });
  it('offers no place of today that is past already', () => {
    made({ ...wanted, minutes: 120 });
    const later = { ...wanted, clientId: 'hedda', startsAtMs: at(12, 10, 30), minutes: 30 };
    const offered = (nowMs: number) => {
      const refused = book(open.db, later, nowMs);
      return refused.ok ? null : Number(refused.error.details[0]?.message);
    };
    // half past nine is nearer than noon, as long as it is ahead
    expect([offered(NOW), offered(at(12, 10, 20))]).toEqual([at(12, 9, 30), at(12, 12)]);
  });
  it('refuses the past and who is not on file', () => {
    expect(book(open.db, { ...wanted, startsAtMs: NOW - 1 }, NOW)).toMatchObject({ error: { code: 'refused' } });
    expect(book(open.db, { ...wanted, clientId: 'nobody' }, NOW)).toMatchObject({ error: { code: 'not-found' } });
    expect(book(open.db, { ...wanted, personId: 'nobody' }, NOW)).toMatchObject({ error: { code: 'not-found' } });
  });
  it('moves a booking, not into itself as a clash, not over one that another tablet has moved', () => {
    const id = made();
    const to = { version: 1, personId: 'ines', startsAtMs: at(12, 10, 15), minutes: 45 };
    expect(changeBooking(open.db, id, to, NOW).ok).toBe(true);
    expect(of(id, '2027-05-12').startMin).toBe(615);
    expect(changeBooking(open.db, id, { ...to, startsAtMs: at(13, 9) }, NOW)).toMatchObject({
      error: { code: 'stale' },
    });
    expect(of(id, '2027-05-12').startMin).toBe(615);
  });
  it('leaves one whose visit was opened where it is', () => {
    openVisit(open.db, { bookingId: 'demo-booking-ottilie' }, NOW);
    const to = { version: 1, personId: 'ines', startsAtMs: at(12, 9), minutes: 45 };
    expect(changeBooking(open.db, 'demo-booking-ottilie', to, NOW)).toMatchObject({ error: { code: 'refused' } });
    expect(of('demo-booking-ottilie').state).toBe('open');
  });
  it('gives up, notes that nobody came, and takes that back unless the place is taken', () => {
    const id = made();
    const missed = { version: 1, status: 'missed' } as const;
    // a table is kept for who is awaited, none for who did not come
    expect(week('2027-05-12').tables).toContain(of(id, '2027-05-12').table);
    expect(changeBooking(open.db, id, missed, NOW)).toMatchObject({ error: { code: 'refused' } });
    expect(changeBooking(open.db, id, missed, at(12, 10, 20)).ok).toBe(true);
    expect(of(id, '2027-05-12')).toMatchObject({ state: 'missed', table: null });
    const other = made({ ...wanted, clientId: 'hedda' });
    expect(changeBooking(open.db, id, { version: 2, status: 'booked' }, NOW)).toMatchObject({
      error: { code: 'refused' },
    });
    expect(changeBooking(open.db, other, { version: 1, status: 'cancelled' }, NOW).ok).toBe(true);
    expect(week('2027-05-12').bookings.some((b) => b.id === other)).toBe(false);
    expect(changeBooking(open.db, id, { version: 2, status: 'booked' }, NOW).ok).toBe(true);
  });
});
