import { sql } from 'drizzle-orm';
import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { openDatabase, type OpenDatabase } from '../db/openDatabase';
import type { ServiceResult } from '../errors';
import { bookingsOfClient, editsOf, findClients, insertClient, readClient } from '../repos/clientRepo';
import { insertConsent } from '../repos/formRepo';
import { consentsCount, moneyLinesOf } from '../repos/erasingRepo';
import { appendEvents } from '../repos/journalRepo';
import { readStudio } from '../repos/studioRepo';
import { closedVisits } from '../repos/visitRepo';
import { EMPTY_PROFILE } from '../db/upSteps';
import { changeClient } from './clients';
import { clientRecord } from './clientRecord';
import { endKeptConsents, eraseClient, erasedCard, lookAtErasing, sweepFile } from './erase';
import { endConsent } from './consentEnds';
import { mergeCards } from './merge';
import { openVisit } from './openVisit';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY_MS = 86_400_000;
const BY = { byId: 'ines', nowMs: NOW };
/** Words that stand nowhere else in the file. */
const MARKS = [
  'Quillon Vastergard',
  'quagga-byline',
  '07700 900 871',
  'zyzzyva-note',
  'xerophyte-edit',
  'ytterbium-consent',
];
let file: string;
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
  ({ file } = open.db.get<{ file: string }>(sql`select file from pragma_database_list where name = 'main'`));
});
afterEach(() => open.close());

const message = (r: ServiceResult<unknown>): string => (r.ok ? 'ok' : r.error.message);

/** The bytes of the file, its journal and its index of the journal. */
function bytes(): string {
  open.db.run(sql`pragma wal_checkpoint(passive)`);
  const parts = ['', '-wal', '-shm'].flatMap((end) => {
    try {
      return [readFileSync(file + end).toString('latin1')];
    } catch {
      return [];
    }
  });
  return parts.join('\n');
}
const found = (): readonly string[] => {
  const text = bytes().toLowerCase();
  // the search keeps single words, without capitals
  return MARKS.flatMap((m) => [m, m.split(' ')[0] ?? m]).filter((m) => text.includes(m.toLowerCase()));
};

/** Somebody with a word of theirs in every kind of row. */
function somebody(): string {
  const id = 'a-person-to-forget';
  const fields = { name: 'Quillon Vastergard', byline: 'quagga-byline', bornOn: '1990-01-01', phone: '07700 900 871' };
  insertClient(open.db, { id, ...fields, note: 'xerophyte-edit', profile: EMPTY_PROFILE, createdAtMs: NOW - DAY_MS });
  const note = { ...fields, note: 'zyzzyva-note', profile: { ...EMPTY_PROFILE, consentOn: '2027-05-01' } };
  expect(message(changeClient(open.db, id, { version: 1, ...note }, 'ines', NOW - DAY_MS))).toBe('ok');
  const visit = openVisit(open.db, { clientId: id, personId: 'ines', zones: [{ zone: 'chin', side: 'middle' }] }, NOW);
  if (!visit.ok) throw new Error(visit.error.message);
  open.db.run(sql`insert into past_visits (id, client_id, on_date, zones, what, words, import_id)
    values ('past', ${id}, '2026-01-01', '[]', 'xerophyte-edit', 'zyzzyva-note', 'table')`);
  const again = { id: 'another-card', name: 'Quillon Vastergard', phone: '07700 900 871' };
  insertClient(open.db, { ...again, profile: EMPTY_PROFILE, createdAtMs: NOW - DAY_MS });
  expect(message(mergeCards(open.db, id, again.id, { ...BY, nowMs: NOW - DAY_MS }))).toBe('ok');
  expect(message(endConsent(open.db, id, { words: 'ytterbium-consent' }, { ...BY, nowMs: NOW - DAY_MS }))).toBe('ok');
  appendEvents(open.db, visit.value.visitId, [
    { id: 'lay-zyzzyva-note', atMs: NOW - DAY_MS, kind: 'laid', strip: 'zyzzyva-note' },
  ]);
  insertConsent(open.db, {
    ...{ id: 'signed', clientId: id, visitId: visit.value.visitId, textVersion: 1, words: 'ytterbium-consent' },
    ...{
      signedBy: 'client',
      signerName: 'Quillon Vastergard',
      signature: { kind: 'typed', name: 'Quillon Vastergard' },
    },
    atMs: NOW - DAY_MS,
  });
  return id;
}

describe('erasing a person', () => {
  it('leaves no word of theirs in the file, its journal or its free pages', () => {
    const id = somebody();
    expect(new Set(found()).size).toBe(MARKS.length * 2 - 4);
    expect(message(eraseClient(open.db, id, { name: 'Quillon Vastergard', consents: null }, BY))).toBe('ok');
    sweepFile(open.db);
    expect(found()).toEqual([]);
    expect(open.db.all(sql`pragma integrity_check`)).toEqual([{ integrity_check: 'ok' }]);
    expect(open.db.all(sql`pragma foreign_key_check`)).toEqual([]);
    // also not after the file was closed and opened again
    open.close();
    open = openDatabase(file);
    expect(found()).toEqual([]);
    expect(findClients(open.db, 'quillon', 9)).toEqual([]);
    expect(findClients(open.db, 'quillon', 9, true)).toEqual([]);
  });
  it('keeps money without the name, visits as husks, and says what stays until when', () => {
    const visits = closedVisits(open.db, 'ottilie').length;
    const lines = moneyLinesOf(open.db, 'ottilie');
    const name = readClient(open.db, 'ottilie')?.name ?? '';
    expect(visits).toBeGreaterThan(2);
    const look = lookAtErasing(open.db, 'ottilie', visits, NOW);
    expect(look).toMatchObject({ visits, moneyLines: lines, moneyUntil: '2037-12-31' });
    const parts = open.db.all(sql`select count(*) as n from visit_parts`);
    expect(message(eraseClient(open.db, 'ottilie', { name, consents: null }, BY))).toBe('ok');
    expect(moneyLinesOf(open.db, 'ottilie')).toBe(lines);
    expect(open.db.all(sql`select count(*) as n from visit_parts`)).toEqual(parts);
    expect(closedVisits(open.db, 'ottilie').every((v) => v.consult.facts.length === 0 && v.planHash === null)).toBe(
      true,
    );
    for (const table of ['charts', 'readings', 'table_journal', 'worked', 'care_told', 'home_care']) {
      const left = open.db.all(
        sql`select 1 from ${sql.identifier(table)} where visit_id in (select id from visits where client_id = 'ottilie')`,
      );
      expect([table, left]).toEqual([table, []]);
    }
    // today's visit was not opened: nobody comes
    expect(bookingsOfClient(open.db, 'ottilie').map((b) => b.status)).toContain('cancelled');
    expect(bookingsOfClient(open.db, 'ottilie').some((b) => b.status === 'booked' && b.startsAtMs > NOW)).toBe(false);
    const card = erasedCard(open.db, 'ottilie');
    expect(card).toMatchObject({ on: '2027-05-08', by: 'Ines' });
    expect(card?.kept.join(' ')).toContain('Backups made before');
    expect(clientRecord(open.db, 'ottilie', NOW).ok).toBe(true);
    expect(message(eraseClient(open.db, 'ottilie', { name, consents: null }, BY))).toContain('already');
    expect(erasedCard(open.db, 'teodora')).toBeNull();
  });
  it('stands in the history of the card as all that is left of it', () => {
    const id = somebody();
    expect(editsOf(open.db, id).length).toBeGreaterThan(0);
    expect(message(eraseClient(open.db, id, { name: 'Quillon Vastergard', consents: null }, BY))).toBe('ok');
    expect(editsOf(open.db, id).map((e) => [e.personId, e.changes])).toEqual([
      [BY.byId, [{ field: 'card', from: 'in use', to: 'erased' }]],
    ]);
  });
  it('keeps signed consents where a law is named, and lets go of them on that day', () => {
    const id = somebody();
    const consents = { until: '2030-05-08', why: 'claims lapse after three years' };
    const wanted = { name: 'Quillon Vastergard', consents };
    const late = { ...wanted, consents: { ...consents, until: '2027-05-08' } };
    expect(message(eraseClient(open.db, id, late, BY))).toContain('a day ahead');
    expect(consentsCount(open.db, id)).toBe(1);
    expect(message(eraseClient(open.db, id, wanted, BY))).toBe('ok');
    expect(consentsCount(open.db, id)).toBe(1);
    expect(erasedCard(open.db, id)?.kept.join(' ')).toContain('8 May 2030: claims lapse after three years');
    expect(endKeptConsents(open.db, Date.UTC(2030, 4, 7, 12))).toBe(false);
    expect(endKeptConsents(open.db, Date.UTC(2030, 4, 8, 12))).toBe(true);
    sweepFile(open.db);
    expect(consentsCount(open.db, id)).toBe(0);
    expect(found()).toEqual([]);
  });
  it('wants the name as it stands, and no visit under way; nothing is touched where it refuses', () => {
    const id = somebody();
    expect(message(eraseClient(open.db, id, { name: 'Quillon', consents: null }, BY))).toContain('not the name');
    expect(message(eraseClient(open.db, 'nobody', { name: 'x', consents: null }, BY))).toContain('No such');
    const visit = open.db.get<{ id: string }>(sql`select id from visits where client_id = ${id}`);
    appendEvents(open.db, visit.id, [{ id: 'now', atMs: NOW - 60_000, kind: 'laid', strip: 's1' }]);
    expect(message(eraseClient(open.db, id, { name: 'Quillon Vastergard', consents: null }, BY))).toContain(
      'under way',
    );
    expect(readClient(open.db, id)?.note).toBe('zyzzyva-note');
  });
  it('takes nothing else out of what is append-only', () => {
    const id = somebody();
    const other = closedVisits(open.db, 'ottilie', 1)[0]?.id ?? '';
    appendEvents(open.db, other, [{ id: 'hers', atMs: NOW, kind: 'laid', strip: 's1' }]);
    eraseClient(open.db, id, { name: 'Quillon Vastergard', consents: null }, BY);
    expect(() => open.db.run(sql`delete from table_journal`)).toThrow();
    expect(() => open.db.run(sql`delete from client_edits`)).toThrow();
    expect(() => open.db.run(sql`update ledger_entries set amount_minor = 1`)).toThrow();
    expect(open.db.all(sql`select * from erasing`)).toEqual([]);
  });
  it('of a large file waits with the sweeping until the next start', () => {
    const id = somebody();
    eraseClient(open.db, id, { name: 'Quillon Vastergard', consents: null }, BY);
    open.db.run(sql`create table ballast as select randomblob(25000000) as b`);
    sweepFile(open.db);
    expect(readStudio(open.db)?.settings.sweepDue).toBe(true);
    sweepFile(open.db, true);
    expect(readStudio(open.db)?.settings.sweepDue).toBeUndefined();
    expect(found()).toEqual([]);
  });
});
