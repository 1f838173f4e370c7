// Two cards of one person put together and parted; consent taken back; terms of keeping; own words of messages.

import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { code, value } from '../../demo/formForTests';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import type { ClientProfile } from '../db/schema';
import { EMPTY_PROFILE } from '../db/upSteps';
import type { ServiceResult } from '../errors';
import { bookingsOfClient, editsOf, insertClient, readClient } from '../repos/clientRepo';
import { consentsOf, insertConsent, insertMessage, messagesOf } from '../repos/formRepo';
import { appendEvents } from '../repos/journalRepo';
import { readStudio } from '../repos/studioRepo';
import { closedVisits, readVisit } from '../repos/visitRepo';
import { alertsOf } from './alerts';
import { changeClient, loadClientCard } from './clients';
import { endConsent } from './consentEnds';
import { eraseClient, erasedCard } from './erase';
import { dropOldMessages, dueCount, eraseDue, loadKeeping, setKeeping } from './keeping';
import { lookAtMerge, mergeCards, partCards } from './merge';
import { openVisit } from './openVisit';
import { readyList } from './outlook';
import { saveMessageText } from './ownMessages';
import { writeReminders } from './postBox';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY_MS = 86_400_000;
const BY = { byId: 'ines', nowMs: NOW };
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const message = (r: ServiceResult<unknown>): string => (r.ok ? 'ok' : r.error.message);
const card = (id: string) => {
  const row = readClient(open.db, id);
  if (!row) throw new Error('no such card');
  return row;
};
const second = (more: Partial<ClientProfile> = {}, fields: object = {}): void =>
  insertClient(open.db, {
    ...{ id: 'ottilie-again', name: 'O. Brandvik', phone: '020 555', note: 'came by the bridge', createdAtMs: NOW },
    ...fields,
    profile: { ...EMPTY_PROFILE, ...more },
  });
/** Everything of a card that another card could have taken over. */
const all = (id: string) => ({
  card: { ...card(id), version: 0 },
  bookings: bookingsOfClient(open.db, id).map((b) => b.id),
  visits: closedVisits(open.db, id).map((v) => v.id),
  messages: messagesOf(open.db, id).map((m) => m.id),
  consents: consentsOf(open.db, id).map((c) => c.id),
  ready: readyList(open.db, NOW, [id]).lines.map((l) => [l.what, l.fromOn, l.toOn]),
});

describe('two cards of one person', () => {
  it('are one afterwards: rows, warnings and the more careful skin; parted they are as they were', () => {
    second({ sensitivity: 5, ingrownProne: true, standing: [{ fact: 'diabetes' }], statureCm: 170 });
    const [kept, gone] = [all('ottilie'), all('ottilie-again')];
    expect(kept.visits.length).toBeGreaterThan(2);
    // the other way round: the card with all the visits is the one that goes
    const { id } = value(mergeCards(open.db, 'ottilie-again', 'ottilie', BY));
    const after = all('ottilie-again');
    expect([after.visits, after.bookings, after.ready]).toEqual([kept.visits, kept.bookings, kept.ready]);
    expect(after.card.profile).toMatchObject({ sensitivity: 5, ingrownProne: true, statureCm: 170 });
    expect(after.card.profile.standing.map((f) => f.fact)).toContain('diabetes');
    expect(after.card.profile.standing).toHaveLength(1 + kept.card.profile.standing.length);
    expect(after.card.note).toContain('came by the bridge');
    expect(after.card.note).toContain(kept.card.note);
    expect(after.card.bornOn).toBe(kept.card.bornOn);
    expect(all('ottilie').visits).toEqual([]);
    expect(card('ottilie').archivedAtMs).toBe(NOW);
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).together).toMatchObject([{ isKept: false, canPart: false }]);
    expect(value(partCards(open.db, 'ottilie-again', id, BY))).toEqual({ changedSince: false });
    expect([all('ottilie'), all('ottilie-again')]).toEqual([kept, gone]);
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).together).toEqual([]);
    expect(code(partCards(open.db, 'ottilie-again', id, BY))).toBe('not-found');
  });
  it('take append-only rows with them, which take no other change', () => {
    second();
    const visit = value(openVisit(open.db, { clientId: 'ottilie-again', personId: 'ines', zones: [] }, NOW));
    insertConsent(open.db, {
      ...{ id: 'signed', clientId: 'ottilie-again', visitId: visit.visitId, textVersion: 1, words: 'yes', atMs: NOW },
      ...{ signedBy: 'client', signerName: 'O. Brandvik', signature: { kind: 'typed', name: 'O. Brandvik' } },
    });
    const before = editsOf(open.db, 'ottilie').length;
    value(mergeCards(open.db, 'ottilie', 'ottilie-again', BY));
    expect(consentsOf(open.db, 'ottilie').map((c) => c.id)).toContain('signed');
    expect(editsOf(open.db, 'ottilie')).toHaveLength(before + 1);
    const refused = (table: string): unknown => {
      try {
        return open.db.run(sql`update ${sql.identifier(table)} set client_id = 'marit'`);
      } catch (error) {
        return String((error as Error).cause);
      }
    };
    expect(refused('consents')).toContain('append-only');
    expect(refused('client_edits')).toContain('append-only');
  });
  it('keep what was done since where they are parted, and say so', () => {
    second();
    const { id } = value(mergeCards(open.db, 'ottilie', 'ottilie-again', BY));
    const { name, byline, bornOn, phone, profile, version } = card('ottilie');
    const fields = { name, byline, bornOn, phone, profile };
    value(changeClient(open.db, 'ottilie', { ...fields, note: 'since then', version }, 'ines', NOW));
    const { visitId } = value(openVisit(open.db, { clientId: 'ottilie', personId: 'ines', zones: [] }, NOW));
    expect(value(partCards(open.db, 'ottilie', id, BY))).toEqual({ changedSince: true });
    expect(card('ottilie').note).toBe('since then');
    expect(readVisit(open.db, visitId)?.clientId).toBe('ottilie');
    expect(card('ottilie-again')).toMatchObject({ note: 'came by the bridge', archivedAtMs: null });
  });
  it('are parted in the order in which they came', () => {
    second();
    insertClient(open.db, { id: 'third', name: 'Ottilie', profile: EMPTY_PROFILE, createdAtMs: NOW });
    const first = value(mergeCards(open.db, 'ottilie', 'ottilie-again', BY)).id;
    const last = value(mergeCards(open.db, 'ottilie', 'third', { ...BY, nowMs: NOW + 1 })).id;
    expect(code(partCards(open.db, 'ottilie', first, BY))).toBe('refused');
    value(partCards(open.db, 'ottilie', last, BY));
    value(partCards(open.db, 'ottilie', first, BY));
    expect(card('third').archivedAtMs).toBeNull();
  });
  it('stay two where they are two people, the same card, at the table, or erased', () => {
    second({}, { bornOn: '1971-01-01' });
    expect(value(lookAtMerge(open.db, 'ottilie', 'ottilie-again', NOW)).fault).toContain('days of birth differ');
    expect(message(mergeCards(open.db, 'ottilie', 'ottilie-again', BY))).toContain('days of birth differ');
    expect(message(mergeCards(open.db, 'ottilie', 'ottilie', BY))).toContain('this very card');
    expect(code(mergeCards(open.db, 'ottilie', 'nobody', BY))).toBe('not-found');
    second({}, { id: 'a-second' });
    const zones = [{ zone: 'chin' as const, side: 'middle' as const }];
    const { visitId } = value(openVisit(open.db, { clientId: 'a-second', personId: 'ines', zones }, NOW));
    appendEvents(open.db, visitId, [{ id: 'lay', atMs: NOW - 60_000, kind: 'laid', strip: 's1' }]);
    expect(message(mergeCards(open.db, 'ottilie', 'a-second', BY))).toContain('under way');
    expect(message(mergeCards(open.db, 'ottilie', 'a-second', { ...BY, nowMs: NOW + DAY_MS }))).toBe('ok');
    expect(message(mergeCards(open.db, 'marit', 'a-second', BY))).toContain('already');
    expect(message(eraseClient(open.db, 'a-second', { name: 'O. Brandvik', consents: null }, BY))).toContain(
      'erase that',
    );
    const erased = { name: card('ottilie').name, consents: null };
    expect(message(eraseClient(open.db, 'ottilie', erased, { ...BY, nowMs: NOW + 2 * DAY_MS }))).toBe('ok');
    // the card that was put together with it is of the same person
    expect(card('a-second')).toMatchObject({ name: card('ottilie').name, phone: '', note: '' });
    expect(erasedCard(open.db, 'a-second')).not.toBeNull();
    expect(open.db.all(sql`select 1 from merges`)).toEqual([]);
    expect(message(mergeCards(open.db, 'marit', 'ottilie', BY))).toContain('erased');
  });
  it('warn of a fact as the card that warns more: longer, in more places, cleared only where both say so', () => {
    const cleared = { by: 'Dr Hale', on: '2027-01-02' };
    const standing = (id: string, lastOn: string, zone: string, more: object): void => {
      const facts = JSON.stringify([{ fact: 'retinoid', lastOn, zones: [zone], since: lastOn, ...more }]);
      open.db.run(sql`update clients set profile = json_set(profile, '$.standing', json(${facts})) where id = ${id}`);
    };
    second();
    standing('ottilie', '2027-01-01', 'chin', { clearance: cleared });
    standing('ottilie-again', '2027-05-01', 'upper-lip', {});
    value(mergeCards(open.db, 'ottilie', 'ottilie-again', BY));
    expect(card('ottilie').profile.standing).toEqual([
      { fact: 'retinoid', lastOn: '2027-05-01', since: '2027-01-01', zones: ['chin', 'upper-lip'] },
    ]);
  });
  it('count a consent that was taken back on either', () => {
    second({ consentEndedOn: '2027-05-01', guardianConsentOn: '2027-03-01' });
    value(changeConsent('2027-04-01'));
    value(mergeCards(open.db, 'ottilie', 'ottilie-again', BY));
    expect(card('ottilie').profile).toMatchObject({
      ...{ consentOn: null, consentEndedOn: '2027-05-01', guardianConsentOn: null },
    });
  });
  const changeConsent = (consentOn: string) => {
    const { name, byline, bornOn, phone, note, profile, version } = card('ottilie');
    const fields = { name, byline, bornOn, phone, note, version };
    return changeClient(open.db, 'ottilie', { ...fields, profile: { ...profile, consentOn } }, 'ines', NOW);
  };
});

describe('a consent that is taken back', () => {
  it('counts at no visit that is open, warns on the card, and is over with the next that is given', () => {
    const { visitId } = value(openVisit(open.db, { bookingId: 'demo-booking-ottilie' }, NOW));
    expect(readVisit(open.db, visitId)?.consult.consent).toBe(true);
    value(endConsent(open.db, 'ottilie', { words: ' by phone this morning ' }, BY));
    expect(readVisit(open.db, visitId)?.consult).toMatchObject({ consent: false, confirmedAtMs: null });
    expect(card('ottilie').profile.consentOn).toBeNull();
    const warns = 'Consent taken back on 8 May 2027: nothing is done before it is given anew.';
    expect(alertsOf(card('ottilie'), '2027-05-08')).toContain(warns);
    // also at a visit, which asks for consent by itself
    expect(alertsOf(card('ottilie'), '2027-05-08', false)).toContain(warns);
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).consentEnds).toMatchObject([
      { words: 'by phone this morning' },
    ]);
    expect(message(endConsent(open.db, 'ottilie', { words: 'once more' }, BY))).toContain('no consent on the card');
    const given = { ...card('ottilie'), profile: { ...card('ottilie').profile, consentOn: '2027-05-08' } };
    expect(alertsOf(given, '2027-05-08')).not.toContain(warns);
  });
  it('waits until the table is done', () => {
    const { visitId } = value(openVisit(open.db, { bookingId: 'demo-booking-ottilie' }, NOW));
    appendEvents(open.db, visitId, [{ id: 'lay', atMs: NOW - 60_000, kind: 'laid', strip: 's1' }]);
    expect(message(endConsent(open.db, 'ottilie', { words: 'stop' }, BY))).toContain('under way');
    expect(card('ottilie').profile.consentOn).not.toBeNull();
  });
});

describe('terms of keeping', () => {
  const terms = (cardYears: number | null, messageMonths: number | null = null) =>
    value(setKeeping(open.db, { version: readStudio(open.db)?.version ?? 0, cardYears, messageMonths }));
  const old = (id: string, on: string): void => {
    insertClient(open.db, {
      id,
      name: `Gone ${id}`,
      profile: EMPTY_PROFILE,
      createdAtMs: Date.parse(`${on}T10:00:00Z`),
    });
  };
  it('name who has not come for so long, and erase only those, by their number', async () => {
    old('long-ago', '2020-01-01');
    old('edge', '2024-05-07');
    old('inside', '2024-05-09');
    expect(value(loadKeeping(open.db, NOW)).due).toEqual([]);
    terms(3);
    expect(value(loadKeeping(open.db, NOW)).due.map((d) => d.id)).toEqual(['long-ago', 'edge']);
    expect(dueCount(open.db, NOW)).toBe(2);
    const erase = (ids: string[], count: number) => eraseDue(open.db, { ids, count }, BY);
    expect(message(await erase(['long-ago', 'edge'], 3))).toContain('not how many');
    expect(message(await erase(['inside'], 1))).toContain('not past its term');
    expect(value(await erase(['long-ago', 'edge'], 2))).toEqual({ erased: 2 });
    expect(dueCount(open.db, NOW)).toBe(0);
    expect([card('long-ago').name, card('inside').name]).toEqual(['Erased on 8 May 2027', 'Gone inside']);
  });
  it('count a booking ahead and a visit of before this book', () => {
    terms(3);
    old('booked', '2020-01-01');
    old('came', '2020-01-01');
    open.db.run(sql`insert into bookings (id, client_id, person_id, starts_at_ms, minutes, zones)
      values ('ahead', 'booked', 'ines', ${NOW + DAY_MS}, 30, '[]')`);
    open.db.run(sql`insert into past_visits (id, client_id, on_date, zones, import_id)
      values ('p', 'came', '2026-01-01', '[]', 'i')`);
    expect(dueCount(open.db, NOW)).toBe(0);
    open.db.run(sql`update past_visits set on_date = '2023-01-01'`);
    expect(value(loadKeeping(open.db, NOW)).due).toMatchObject([{ id: 'came', lastOn: '2023-01-01' }]);
  });
  it('let messages go after their months, and none without a term', () => {
    const put = (id: string, atMs: number): void =>
      insertMessage(open.db, { id, clientId: 'marit', kind: 'reminder', words: id, createdAtMs: atMs });
    const before = messagesOf(open.db, 'marit').length;
    put('old', NOW - 200 * DAY_MS);
    put('new', NOW - 100 * DAY_MS);
    expect(dropOldMessages(open.db, NOW)).toBe(false);
    terms(null, 6);
    expect(dropOldMessages(open.db, NOW)).toBe(true);
    expect(messagesOf(open.db, 'marit').map((m) => m.id)).toContain('new');
    expect(messagesOf(open.db, 'marit')).toHaveLength(before + 1);
  });
});

describe('the studio’s own words of a message', () => {
  it('are written to those whose card names no other language, with what to leave before it', () => {
    const by = { atMs: NOW, personId: 'ines' };
    expect(message(saveMessageText(open.db, { kind: 'reminder', words: 'See you {when}.' }, by))).toContain('{before}');
    value(saveMessageText(open.db, { kind: 'reminder', words: 'Dear {name}: {when}, {who}.\n{before}' }, by));
    open.db.run(sql`update clients set profile = json_set(profile, '$.language', 'de') where id = 'corwin'`);
    open.db.run(sql`delete from messages where kind = 'reminder'`);
    open.db.run(sql`update bookings set starts_at_ms = starts_at_ms + ${7 * DAY_MS} where id like 'demo-booking-%'`);
    expect(value(writeReminders(open.db, NOW)).count).toBeGreaterThan(2);
    const words = (id: string): string => messagesOf(open.db, id).find((m) => m.kind === 'reminder')?.words ?? '';
    expect(words('ottilie')).toMatch(/^Dear Ottilie: Saturday,? .*\n.+/);
    expect(words('corwin')).not.toContain('Dear');
    expect(words('corwin').length).toBeGreaterThan(20);
    // the shipped words again
    value(saveMessageText(open.db, { kind: 'reminder', words: '' }, by));
    open.db.run(sql`delete from messages where kind = 'reminder'`);
    value(writeReminders(open.db, NOW));
    expect(words('ottilie')).not.toContain('Dear');
  });
});
