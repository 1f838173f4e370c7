import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { instantAt } from '../clock';
import type { OpenDatabase } from '../db/openDatabase';
import { insertClient, readBooking, readClient } from '../repos/clientRepo';
import { bookingWanted } from './bookingWanted';
import { book } from './bookings';
import { loadHours, saveHours } from './hours';
import { loadPostBox } from './postBox';
import { loadToday } from './today';
import { addWaiting, offerPlace, waitingList } from './waiting';
import { loadWeek } from './week';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
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
const at = (on: string, hour: number, minute = 0): number => instantAt(on, hour, minute, 'Europe/London');
/** A Wednesday. */
const DAY = '2027-05-19';
/** Somebody who was never here. */
function newcomer(standing: readonly { readonly fact: 'earlier-reaction' }[] = []): string {
  const known = readClient(open.db, 'corwin');
  if (!known) throw new Error('no demo');
  const { profile } = known;
  const fields = { byline: '', phone: '', note: '', createdAtMs: NOW };
  insertClient(open.db, { ...fields, id: 'nia', name: 'Nia Quill', profile: { ...profile, standing, reactions: [] } });
  return 'nia';
}

describe('treatment tables', () => {
  it('keep a third visit out while both are taken, wherever a place is looked for, and say so', () => {
    const start = at(DAY, 10);
    value(book(open.db, { clientId: 'corwin', personId: 'ines', startsAtMs: start, minutes: 60 }, NOW));
    value(book(open.db, { clientId: 'marit', personId: 'bao', startsAtMs: start, minutes: 60 }, NOW));
    const third = { clientId: 'hedda', personId: 'rook', startsAtMs: at(DAY, 10, 30), minutes: 30 };
    expect(refusal(book(open.db, third, NOW))).toBe('10:30 finds both tables taken. 11:00 is free.');
    expect(book(open.db, { ...third, startsAtMs: at(DAY, 11) }, NOW).ok).toBe(true);
    const week = value(loadWeek(open.db, DAY, NOW));
    const tables = week.bookings.filter((b) => b.on === DAY).map((b) => [b.clientId, b.table]);
    expect(tables).toEqual([
      ['corwin', 'Window'],
      ['marit', 'Back room'],
      ['hedda', 'Window'],
    ]);
  });
  it('set no limit while none is named', () => {
    const { studioVersion, hours, closed } = value(loadHours(open.db));
    value(saveHours(open.db, { version: studioVersion, hours, closed, tables: [] }));
    const three = ['ines', 'bao', 'rook'].map((personId, i) =>
      book(open.db, { clientId: ['corwin', 'marit', 'hedda'][i] ?? '', personId, startsAtMs: at(DAY, 10) }, NOW),
    );
    expect(three.map((r) => r.ok)).toEqual([true, true, true]);
    expect(value(loadWeek(open.db, DAY, NOW)).bookings.map((b) => b.table)).not.toContain('Window');
  });
});

describe('what is booked', () => {
  const wanted = (services: readonly string[], clientId = 'corwin') =>
    value(bookingWanted(open.db, { clientId, personId: 'ines', services }));
  it('are the services that were chosen, as long as the list says, with the talk of a first visit', () => {
    const lip = wanted(['lip', 'brows']);
    expect(lip.zones.map((z) => z.zone)).toEqual(['upper-lip', 'between-brows', 'brow', 'brow']);
    expect(lip.words).toMatch(/^30 min by the list/);
    const nia = newcomer();
    const first = wanted(['lip', 'brows'], nia);
    expect(first.words).toMatch(/10 more for the talk of a first visit/);
    expect(first.minutes - lip.minutes).toBeGreaterThanOrEqual(5);
    const made = value(
      book(open.db, { clientId: nia, personId: 'ines', startsAtMs: at(DAY, 15), services: ['lip'] }, NOW),
    );
    expect(readBooking(open.db, made.id)?.zones).toEqual([{ zone: 'upper-lip', side: 'middle' }]);
  });
  it('is what they came for last where nothing is chosen; a service that is not there is refused', () => {
    expect(wanted([]).what).toBe('both lower legs, front');
    expect(bookingWanted(open.db, { clientId: 'corwin', personId: 'ines', services: ['nonsense'] }).ok).toBe(false);
    expect(bookingWanted(open.db, { clientId: 'nobody', personId: 'ines' }).ok).toBe(false);
  });
  it('is without zones for a patch test, with a word on it', () => {
    const body = { clientId: 'corwin', personId: 'ines', startsAtMs: at(DAY, 15), minutes: 10 };
    const made = value(book(open.db, { ...body, withoutZones: true, note: 'patch test' }, NOW));
    expect(readBooking(open.db, made.id)).toMatchObject({ zones: [], note: 'patch test', minutes: 10 });
    expect(value(loadWeek(open.db, DAY, NOW)).bookings.find((b) => b.id === made.id)?.what).toBe('patch test');
  });
});

describe('an offer to somebody who waits', () => {
  it('is a message in the post box, said on the list, and keeps no place', () => {
    const body = { clientId: 'wilhelmina', personId: null, weekdays: [2], fromMin: 0, toMin: 1440, words: '' };
    value(addWaiting(open.db, body, NOW));
    const offer = { personId: 'ines', startsAtMs: at(DAY, 15), minutes: 30 };
    value(offerPlace(open.db, 'wilhelmina', offer, NOW + 1000));
    const [message] = value(loadPostBox(open.db, NOW)).messages;
    expect(message).toMatchObject({ kind: 'offer', subject: 'A place has come free' });
    expect(message?.words).toContain('Wednesday 19 May at 15:00, with Ines, 30 minutes');
    expect(waitingList(open.db, NOW).find((w) => w.clientId === 'wilhelmina')?.offeredAtMs).toBe(NOW + 1000);
    value(book(open.db, { ...offer, clientId: 'corwin' }, NOW));
    expect(refusal(offerPlace(open.db, 'wilhelmina', offer, NOW))).toBe('That time meets Corwin’s visit.');
    expect(offerPlace(open.db, 'corwin', offer, NOW).ok).toBe(false);
  });
});

describe('a patch test that is due', () => {
  it('is asked for before a visit where all is new to reactive skin, with ten minutes two days before', () => {
    const nia = newcomer([{ fact: 'earlier-reaction' }]);
    value(book(open.db, { clientId: nia, personId: 'ines', startsAtMs: at(DAY, 15), services: ['shins'] }, NOW));
    const words = value(loadToday(open.db, NOW, DAY)).visits.find((v) => v.clientId === nia)?.words ?? [];
    const due = words.find((w) => w.short === 'patch test first');
    expect(due?.remedy).toEqual({ kind: 'patch', startsAtMs: at('2027-05-17', 15) });
    expect(words.map((w) => w.short)).not.toContain('hair too short');
    // one that comes after the visit helps nothing
    const tooLate = { clientId: nia, personId: 'ines', minutes: 10, withoutZones: true };
    value(book(open.db, { ...tooLate, startsAtMs: at('2027-05-20', 15) }, NOW));
    const still = value(loadToday(open.db, NOW, DAY)).visits.find((v) => v.clientId === nia)?.words ?? [];
    expect(still.find((w) => w.short === 'patch test first')?.remedy?.kind).toBe('patch');
    // booked, it is not offered again
    const body = { clientId: nia, personId: 'ines', startsAtMs: at('2027-05-17', 15), minutes: 10, withoutZones: true };
    value(book(open.db, body, NOW));
    const after = value(loadToday(open.db, NOW, DAY)).visits.find((v) => v.clientId === nia)?.words ?? [];
    expect(after.find((w) => w.short === 'patch test first')?.remedy).toEqual({ kind: 'form' });
  });
});
