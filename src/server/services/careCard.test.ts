import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { careMessage } from '../../formats/careCard';
import { instantAt } from '../clock';
import type { OpenDatabase } from '../db/openDatabase';
import { insertBooking } from '../repos/clientRepo';
import { loadBench } from './bench';
import { closeVisit } from './closeVisit';
import { careCard, postCareCard } from './careCard';
import { careCardPdf } from './careCardPdf';
import { openVisit } from './openVisit';
import { loadPostBox, messageAsEml, writeReminders } from './postBox';
import { windowsOf } from './nextSlots';

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

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};

describe('the care card', () => {
  it('counts from the end of the visit by the clock, and backwards from the date that is booked', () => {
    const startsAtMs = instantAt('2027-06-12', 10, 0, ZONE);
    insertBooking(open.db, { id: 'next', clientId: 'ottilie', personId: 'ines', startsAtMs, minutes: 45, zones: [] });
    const card = value(careCard(open.db, visitId, NOW));
    // nothing was done at the table yet: it counts from now, Saturday 8 May, nine in London
    expect(card.zones).toBe('both underarms');
    // common practice (no source): deodorant after a day, heat and sun after two
    const when = (words: RegExp): string | undefined => card.after.find((l) => words.test(l.what))?.when;
    expect(when(/deodorant/)).toBe('Sunday 09:00');
    expect(when(/sauna/)).toBe('Monday 09:00');
    expect(card.next).toEqual({ when: 'Saturday 12 June at 10:00', who: 'Ines', minutes: 45 });
    // peels and acids stop seven days before (common practice, no source)
    expect(card.before.find((l) => /peels/.test(l.what))?.when).toBe('5 June');
    expect(card.weeksMm).toHaveLength(6);
    expect(card.weeksMm).toEqual([...card.weeksMm].sort((a, b) => a - b));
    const { plan } = value(loadBench(open.db, visitId, NOW));
    expect(windowsOf(plan).length).toBe(2);
    expect(card.readyFrom).toMatch(/^\w+ \d+ (May|June)$/);
  });
  it('is a message without name and health words, and a PDF of one A5 page where nothing is booked', async () => {
    const card = value(careCard(open.db, visitId, NOW));
    const words = careMessage(card);
    expect(words).toContain('Still red the day after, or a blister: get in touch.');
    expect(words).not.toMatch(/Ottilie|Brandvik|aspirin|pine|rosin/i);
    const pdf = Buffer.from(await new Response(careCardPdf(card)).arrayBuffer()).toString('latin1');
    expect(pdf.startsWith('%PDF-1.')).toBe(true);
    // A5 is 148 × 210 mm (ISO 216): 419.53 × 595.28 pt
    expect(pdf).toContain('/MediaBox [0 0 419.53 595.28]');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
    expect(careCard(open.db, 'nobody', NOW).ok).toBe(false);
  });
});

describe('from when the care counts', () => {
  it('is the end of the visit however late the card is made; nothing is called finished that goes on', () => {
    expect(value(careCard(open.db, visitId, NOW)).counted).toBe('counted from Saturday 8 May at 09:00');
    const bench = value(loadBench(open.db, visitId, NOW));
    value(closeVisit(open.db, visitId, { version: bench.visit.version, next: null }, NOW));
    const dayAfter = value(careCard(open.db, visitId, NOW + 86_400_000));
    expect(dayAfter.counted).toBe('finished Saturday 8 May at 09:00');
    expect(dayAfter.after.find((l) => /deodorant/.test(l.what))?.when).toBe('Sunday 09:00');
  });
});

describe('the simulated post box', () => {
  it('keeps what was posted, latest first, and gives it out as an e-mail file with dead addresses', async () => {
    const { id } = value(postCareCard(open.db, visitId, NOW));
    const box = value(loadPostBox(open.db, NOW));
    expect(box.messages[0]).toMatchObject({ id, subject: 'After your wax', name: 'Ottilie Brandvik' });
    const eml = value(await messageAsEml(open.db, id)).toString('utf8');
    const [head = '', ...body] = eml.split('\r\n\r\n');
    const header = (name: string): string => new RegExp(`^${name}: (.*)$`, 'mi').exec(head)?.[1] ?? '';
    expect(header('Subject')).toBe('After your wax');
    // addresses of the reserved domain reach nobody (RFC 2606)
    expect([header('From'), header('To')].every((h) => /@strickle\.invalid>$/.test(h))).toBe(true);
    expect(Date.parse(header('Date'))).toBe(NOW);
    // quoted-printable, decoded by hand (RFC 2045 §6.7)
    const text = Buffer.from(
      body
        .join('\r\n\r\n')
        .replace(/=\r\n/g, '')
        .replace(/=([0-9A-F]{2})/g, (_, hex: string) => String.fromCharCode(parseInt(hex, 16))),
      'latin1',
    ).toString('utf8');
    expect(text.replaceAll('\r\n', '\n').trim()).toBe(box.messages[0]?.words.trim());
    expect((await messageAsEml(open.db, 'nobody')).ok).toBe(false);
  });
  it('writes each reminder once, with what is still to be done before the visit', () => {
    const startsAtMs = NOW + 3 * 86_400_000;
    insertBooking(open.db, { id: 'soon', clientId: 'idris', personId: 'ines', startsAtMs, minutes: 30, zones: [] });
    const before = value(loadPostBox(open.db, NOW)).due;
    expect(before.map((d) => d.bookingId)).toContain('soon');
    expect(value(writeReminders(open.db, NOW)).count).toBe(before.length);
    const box = value(loadPostBox(open.db, NOW));
    expect(box.due).toEqual([]);
    const words = box.messages.find((m) => m.clientId === 'idris')?.words ?? '';
    expect(words).toContain('Your visit: Tuesday 11 May at 09:00.');
    expect(words).toContain('no coffee, alcohol');
    // seven days before is past
    expect(words).not.toContain('peels');
    expect(words).toContain('Never stop a medicine for it.');
    expect(value(writeReminders(open.db, NOW)).count).toBe(0);
  });
});
