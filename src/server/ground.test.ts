// What an outside check once found wrong with the ground, each so that it shows when it comes back.

import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { eq, sql } from 'drizzle-orm';
import { demoStudio } from '../demo/studioForTests';
import { readChartFile } from '../formats/chartFile';
import { readClientCsv } from '../formats/clientCsv';
import { atomically } from './db/atomically';
import type { OpenDatabase } from './db/openDatabase';
import { bookings, studio, visits } from './db/schema';
import { EMPTY_PROFILE } from './db/upSteps';
import { notFound, refused } from './errors';
import { bookingsOfClient, readClient, updateClient } from './repos/clientRepo';
import { readForm, updateForm } from './repos/formRepo';
import { readVisit, updateVisit } from './repos/visitRepo';
import { loadBench, type Bench } from './services/bench';
import { handOver } from './services/clientForm';
import { changeClient, createClient, loadClientCard } from './services/clients';
import { searchClients } from './services/clientSearch';
import { exportClients, readImport } from './services/clientsCsv';
import { clientRecord } from './services/clientRecord';
import { closeVisit } from './services/closeVisit';
import { recordBlocks } from './services/recordBlocks';
import { loadRules, changeRule } from './services/consultRules';
import { zonePasts } from './services/history';
import { openVisit } from './services/openVisit';
import { buildCase } from './services/planCase';
import { partsOf } from './services/bench';
import { patchTest } from './services/patchTests';
import { loadToday } from './services/today';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { code: string; message: string } }): T => {
  if (!result.ok) throw new Error(`${result.error.code}: ${result.error.message}`);
  return result.value;
};
const opened = (client: string): Bench => {
  const { visitId } = value(openVisit(open.db, { bookingId: `demo-booking-${client}` }, NOW));
  return value(loadBench(open.db, visitId, NOW));
};
const fields = (name: string) => ({ name, byline: '', bornOn: null, phone: '', note: '', profile: EMPTY_PROFILE });

describe('a refusal', () => {
  it('takes back what was written before it', () => {
    const before = searchClients(open.db, '', NOW).length;
    const result = atomically(open.db, () => {
      value(createClient(open.db, fields('Half Written'), NOW));
      return refused('no');
    });
    expect(result.ok).toBe(false);
    expect(searchClients(open.db, '', NOW)).toHaveLength(before);
  });
  it('inside another use case takes back its own part alone', () => {
    const result = atomically(open.db, () => {
      value(createClient(open.db, fields('Outer'), NOW));
      expect(
        atomically(open.db, () => {
          value(createClient(open.db, fields('Inner'), NOW));
          return notFound('thing');
        }).ok,
      ).toBe(false);
      return { ok: true, value: null } as const;
    });
    expect(result.ok).toBe(true);
    expect(searchClients(open.db, 'outer', NOW)).toHaveLength(1);
    expect(searchClients(open.db, 'inner', NOW)).toHaveLength(0);
  });
});

describe('a version that no longer stands', () => {
  it('writes nothing, whatever it is a version of', () => {
    const { visit } = opened('ottilie');
    const wrong = visit.version + 1;
    expect(updateVisit(open.db, visit.id, wrong, { status: 'closed' })).toBe(false);
    expect(readVisit(open.db, visit.id)?.status).toBe('open');
    const client = readClient(open.db, 'ottilie');
    expect(updateClient(open.db, 'ottilie', (client?.version ?? 0) + 1, { name: 'X' })).toBe(false);
    expect(readClient(open.db, 'ottilie')?.name).toBe(client?.name);
    const person = visit.personId;
    const { formId } = value(handOver(open.db, visit.id, { personId: person, newPin: '2468' }, NOW));
    expect(updateForm(open.db, formId, 99, { state: 'signed' })).toBe(false);
    expect(readForm(open.db, formId)?.state).toBe('filling');
  });
  it('closes a visit once and books one next visit, however often it is asked', () => {
    const { visit } = opened('ottilie');
    const next = { startsAtMs: NOW + 30 * 86_400_000, minutes: 30 };
    const before = bookingsOfClient(open.db, 'ottilie').length;
    expect(closeVisit(open.db, visit.id, { version: visit.version, next }, NOW).ok).toBe(true);
    expect(closeVisit(open.db, visit.id, { version: visit.version, next }, NOW).ok).toBe(false);
    expect(bookingsOfClient(open.db, 'ottilie')).toHaveLength(before + 1);
  });
});

describe('the day on paper', () => {
  it('is the studio’s, not that of Greenwich: signed at nine in the morning in Auckland', () => {
    open.db.update(studio).set({ timeZone: 'Pacific/Auckland' }).where(eq(studio.id, 1)).run();
    const morning = Date.UTC(2027, 4, 13, 21, 0);
    value(changeRule(open.db, { code: 'skin.acid', waitDays: 10, reason: 'as agreed here' }, null, morning));
    expect(loadRules(open.db).changes[0]?.on).toBe('2027-05-14');
    const card = readClient(open.db, 'ottilie');
    if (!card) throw new Error('demo client');
    value(changeClient(open.db, 'ottilie', { ...card, name: 'Ottilie A' }, null, morning));
    const record = value(clientRecord(open.db, 'ottilie', morning));
    expect(record.head.timeZone).toBe('Pacific/Auckland');
    const lines = [...recordBlocks(record)].map((b) => ('text' in b ? b.text : ''));
    expect(lines.some((l) => l.startsWith('2027-05-14: name:'))).toBe(true);
    expect(lines.some((l) => l.includes('record as of 2027-05-14'))).toBe(true);
    expect(lines.filter((l) => l.includes('2027-05-13'))).toEqual([]);
  });
});

describe('a table of clients', () => {
  it('goes out and comes in again without a change and without a new client', async () => {
    for (const name of ['=Ann', '+49 Bea', '-Cleo', '@Dee', "'=Eve", 'Fay']) {
      value(createClient(open.db, { ...fields(name), phone: '+44 20', note: '-5 mm\nasked' }, NOW));
    }
    const csv = [...exportClients(open.db)].join('');
    const read = await readClientCsv(csv, '2027-05-08');
    expect(read.faults).toEqual([]);
    const back = new Map(read.lines.map((l) => [l.name, l.client]));
    for (const name of ['=Ann', '+49 Bea', '-Cleo', '@Dee', "'=Eve", 'Fay']) {
      expect(back.get(name)).toMatchObject({ name, phone: '+44 20', note: '-5 mm\nasked' });
    }
    const again = (await readImport(open.db, csv, NOW)).preview;
    expect(again.good).toBe(0);
    expect(again.lines.length).toBeGreaterThan(5);
    expect(again.lines.every((l) => l.faults[0]?.includes('already'))).toBe(true);
  });
});

describe('a damaged row', () => {
  const damage = (table: string, column: string, id: string): void => {
    open.db.run(sql.raw(`update ${table} set ${column} = '{"v":2,"sta' where id = '${id}'`));
  };
  it('is shown as damaged in the card index; all others are found, and go out in the table', () => {
    const before = searchClients(open.db, '', NOW);
    damage('clients', 'profile', 'ottilie');
    const after = searchClients(open.db, '', NOW);
    expect(after.map((c) => c.id)).toEqual(before.map((c) => c.id));
    expect(after.find((c) => c.id === 'ottilie')?.alerts).toEqual([
      'This card is damaged in the data file: a backup has it whole.',
    ]);
    expect(searchClients(open.db, 'ott', NOW)).toHaveLength(1);
    expect([...exportClients(open.db)].join('').split('\n').length).toBeGreaterThanOrEqual(before.length);
    // nothing is written over what a backup could still be compared with
    expect(() => changeClient(open.db, 'ottilie', { ...fields('X'), version: 1 }, null, NOW)).toThrow('cannot be read');
  });
  it('does not take the day down: its booking stands there with a word', () => {
    const before = value(loadToday(open.db, NOW)).visits;
    damage('clients', 'profile', 'ottilie');
    damage('bookings', 'zones', 'demo-booking-corwin');
    const after = value(loadToday(open.db, NOW)).visits;
    expect(after.map((v) => v.bookingId)).toEqual(before.map((v) => v.bookingId));
    const words = (client: string) => after.find((v) => v.clientId === client)?.words[0]?.text ?? '';
    expect(words('ottilie')).toContain('damaged');
    expect(words('corwin')).toContain('damaged');
  });
  it('among a client’s visits is said on the card, and the card opens', () => {
    const done = value(loadClientCard(open.db, 'ottilie', NOW)).visits;
    damage('visits', 'consult', done[0]?.id ?? '');
    const card = value(loadClientCard(open.db, 'ottilie', NOW));
    expect(card.visits).toHaveLength(done.length - 1);
    expect(card.alerts.some((a) => a.includes('1 earlier visits cannot be read'))).toBe(true);
  });
});

describe('a file from elsewhere', () => {
  it('of a drawing that opens its data again and again is refused, in a time that grows with its length only', () => {
    // a pattern that begins anew at each of them would be at it for half an hour
    const text = `<svg>${'<metadata'.repeat(200_000)}`;
    const read = readChartFile(text, { zone: 'underarm', side: 'left', sheetCm: [9, 13] });
    expect(read.ok).toBe(false);
  });
});

describe('what earlier visits tell', () => {
  it('is of earlier days: a visit of the same day is not past', () => {
    const { visit, client } = opened('ottilie');
    const pasts = (): number => zonePasts(open.db, client.id, { onDate: visit.onDate }).size;
    expect(pasts()).toBeGreaterThan(0);
    open.db.update(visits).set({ onDate: visit.onDate }).where(eq(visits.clientId, client.id)).run();
    expect(pasts()).toBe(0);
  });
  it('of a patch test that reacted keeps the product out of the case', () => {
    const { client, visit } = opened('ottilie');
    const laid = value(patchTest(open.db, client.id, { lay: { product: 'soft', place: 'forearm' } }, null, NOW));
    const id = laid.patchTests.at(-1)?.id ?? '';
    const reactedTo = (): readonly string[] | undefined => {
      const row = readVisit(open.db, visit.id);
      const found = row && partsOf(open.db, row);
      return found && buildCase(found.parts).client.reactedTo;
    };
    expect(reactedTo() ?? []).not.toContain('soft');
    value(patchTest(open.db, client.id, { read: { id, result: 'reacted' } }, null, NOW));
    expect(reactedTo()).toContain('soft');
    const bench = value(loadBench(open.db, visit.id, NOW));
    const soft = bench.plan.zones[0]?.options.filter((o) => o.product === 'soft') ?? [];
    expect(soft.length).toBeGreaterThan(0);
    expect(soft.every((o) => !o.eligible)).toBe(true);
  });
});

describe('a taken hour', () => {
  it('is free again where its booking was given up, and up to the minute before and after it', () => {
    const { visit } = opened('ottilie');
    const [{ id = '', startsAtMs = 0, minutes = 0, personId = '' } = {}] = open.db
      .select()
      .from(bookings)
      .where(eq(bookings.personId, visit.personId))
      .orderBy(sql`starts_at_ms desc`)
      .all();
    expect(personId).toBe(visit.personId);
    open.db
      .update(bookings)
      .set({ startsAtMs: NOW + 5 * 86_400_000 })
      .where(eq(bookings.id, id))
      .run();
    expect(startsAtMs).toBeGreaterThan(0);
    const at = NOW + 5 * 86_400_000;
    const tries = (offsetMin: number, long: number): boolean =>
      closeVisit(
        open.db,
        visit.id,
        { version: visit.version, next: { startsAtMs: at + offsetMin * 60_000, minutes: long } },
        NOW,
      ).ok;
    expect([tries(0, 10), tries(minutes - 1, 10), tries(-10, 11)]).toEqual([false, false, false]);
    expect(tries(-10, 10)).toBe(true);
  });
});
