import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addDays } from '../../core/shared';
import { demoStudio } from '../../demo/studioForTests';
import { itemWords } from '../../formats/trayWords';
import { civilDateAt, instantAt, timeInWords } from '../clock';
import type { OpenDatabase } from '../db/openDatabase';
import { clashingBooking, readBooking } from '../repos/clientRepo';
import { changeBooking } from './bookings';
import { insertPotHeat, readPots } from '../repos/potRepo';
import { loadToday, type TodayVisit } from './today';
import { todayPots } from './todayPots';
import { trayCard } from './trayCard';
import { trayCardPdf } from './trayCardPdf';

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
const visitOf = (clientId: string): TodayVisit => {
  const found = value(loadToday(open.db, NOW)).visits.find((v) => v.clientId === clientId);
  if (!found) throw new Error(`no visit of ${clientId}`);
  return found;
};

describe('the board of the day', () => {
  it('offers a remedy with what needs a word: the form where consent is missing, a later day where hair is short', () => {
    expect(visitOf('jory').words[0]).toMatchObject({ weight: 'stop', short: 'no consent', remedy: { kind: 'form' } });
    const marit = visitOf('marit');
    const [word] = marit.words;
    expect(word?.short).toBe('hair too short');
    const { remedy } = word ?? {};
    if (remedy?.kind !== 'move') throw new Error('no day to move to');
    // the remedy’s day is not before the one that the words name
    const named = /(\d{4}-\d{2}-\d{2})/.exec(word?.text ?? '')?.[1] ?? '';
    expect(named).not.toBe('');
    expect(remedy.on >= named).toBe(true);
    expect(civilDateAt(remedy.startsAtMs, ZONE)).toBe(remedy.on);
    expect(timeInWords(remedy.startsAtMs, ZONE)).toBe(timeInWords(marit.startsAtMs, ZONE));
    const { personId, minutes, version, bookingId } = marit;
    expect(clashingBooking(open.db, { personId, startsAtMs: remedy.startsAtMs, minutes })).toBeUndefined();
    const moved = { version, personId, minutes, startsAtMs: remedy.startsAtMs };
    expect(changeBooking(open.db, bookingId, moved, NOW).ok).toBe(true);
    expect(readBooking(open.db, bookingId)?.startsAtMs).toBe(remedy.startsAtMs);
  });
  it('knows what each visit wants of which pot, and the heats of the day as they were written down', () => {
    const wants = visitOf('ottilie').pots;
    expect(wants.length).toBeGreaterThan(0);
    const [first] = wants;
    expect((first?.minC ?? 0) < (first?.targetC ?? 0) && (first?.targetC ?? 0) < (first?.maxC ?? 0)).toBe(true);
    expect(first?.grams).toBeGreaterThan(5);
    const [pot] = readPots(open.db);
    const start = instantAt('2027-05-08', 0, 0, ZONE);
    for (const [minute, tempC] of [
      [-10, 30],
      [400, 40],
      [401, 41],
      [406, 46],
    ] as const) {
      insertPotHeat(open.db, { potId: pot?.pot.id ?? '', atMs: start + minute * 60_000, tempC });
    }
    const { pots, roomC } = todayPots(open.db, '2027-05-08', NOW);
    expect(roomC).toBe(22);
    // yesterday’s is not drawn, and of two in five minutes one is
    expect(pots[0]?.heats.map(([, c]) => c)).toEqual([40, 46]);
  });
  it('shows another day by its date, with what is booked there', () => {
    const on = addDays('2027-05-08', 1);
    const day = value(loadToday(open.db, NOW, on));
    expect(day).toMatchObject({ date: on, today: '2027-05-08' });
    expect(day.visits.every((v) => civilDateAt(v.startsAtMs, ZONE) === on)).toBe(true);
    expect(value(loadToday(open.db, NOW)).visits.length).toBeGreaterThan(3);
  });
});

describe('the tray card', () => {
  it('has first name and initial, heat, strips and minutes, whole grams, and one A5 page', async () => {
    value(loadToday(open.db, NOW));
    const card = value(trayCard(open.db, 'demo-booking-ottilie', NOW));
    expect(card.name).toBe('Ottilie B.');
    expect(card.strips).toBeGreaterThan(3);
    expect(card.heats[0]?.tempC).toBeGreaterThan(45);
    expect(card.items.some((i) => /^\d+ g$/.test(i.amount))).toBe(true);
    expect(JSON.stringify(card)).not.toMatch(/Brandvik|rosin|aspirin/i);
    const pdf = Buffer.from(await new Response(trayCardPdf(card)).arrayBuffer()).toString('latin1');
    expect(pdf).toContain('/MediaBox [0 0 419.53 595.28]');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
    expect(trayCard(open.db, 'nobody', NOW).ok).toBe(false);
  });
  it('says amounts as one lays them out', () => {
    expect(itemWords({ item: 'gloves', amount: 2, unit: 'pair' })).toEqual({ name: 'Gloves', amount: '2 pairs' });
    expect(itemWords({ item: 'film-hard', amount: 79.2, unit: 'g' })).toEqual({
      name: 'Film hard wax',
      amount: '80 g',
    });
    expect(itemWords({ item: 'own-wax', amount: 3, unit: 'piece' })).toEqual({ name: 'Own wax', amount: '3' });
  });
});
