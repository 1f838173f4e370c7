// Visits of before this book: out of a table of anybody's, onto the cards, all of them or none.

import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { code, value } from '../../demo/formForTests';
import { demoStudio } from '../../demo/studioForTests';
import type { PastMapping } from '../../formats/pastCsv';
import type { OpenDatabase } from '../db/openDatabase';
import { EMPTY_PROFILE } from '../db/upSteps';
import { insertClient, readClient } from '../repos/clientRepo';
import { chartsOf, readVisit } from '../repos/visitRepo';
import { partsOf } from './bench';
import { clientRecord } from './clientRecord';
import { loadClientCard } from './clients';
import { giveUpImport, importProgress, resumeImports, takeIn } from './imports';
import { openVisit } from './openVisit';
import { buildCase } from './planCase';
import { lookAtPast, putDownPast, startPast } from './pastVisits';
import { recordBlocks } from './recordBlocks';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const MAPPING: PastMapping = {
  columns: { client: 0, born: 1, on: 2, what: 3, minutes: 4, paid: 5, words: 6 },
  ...{ dates: 'dmy', lengths: 'mm', times: 'min' },
};
const HEADING = 'name;born;date;service;minutes;paid;note\n';
const counted = (what: string): number => open.db.get<{ n: number }>(sql`select count(*) as n from ${sql.raw(what)}`).n;
const putDown = async (lines: string): Promise<string> => value(await putDownPast(open.db, HEADING + lines, NOW)).id;
const look = async (id: string) => value(await lookAtPast(open.db, id, MAPPING));
const take = async (id: string): Promise<void> => {
  value(startPast(open.db, id, MAPPING, await lookAtPast(open.db, id, MAPPING)));
  await takeIn(open.db, id);
};
const nell = (name = 'Nell Ashgrove', bornOn: string | null = '1990-02-01', id = 'nell'): void =>
  insertClient(open.db, { id, name, bornOn, profile: EMPTY_PROFILE, createdAtMs: NOW });

describe('a table of past visits', () => {
  it('comes onto the cards that are there and onto new ones, as it was told', async () => {
    nell();
    const id = await putDown(
      'nell ashgrove;01.02.1990;10.04.2027;Underarms;20;18,50;calm\n' +
        'Otto Vane;;11.04.2027;Holiday special;;;\nOtto Vane;;03.05.2027;upper lip;15;12;\n',
    );
    expect(await look(id)).toMatchObject({ good: 3, bad: 0, newCards: 1, onlyWords: ['Holiday special'] });
    expect(counted('past_visits')).toBe(0);
    await take(id);
    expect(value(importProgress(open.db, id))).toEqual({ id, state: 'taken', taken: 3, total: 3 });
    const card = value(loadClientCard(open.db, 'nell', NOW));
    expect(card.before.map((b) => [b.on, b.words])).toEqual([
      ['2027-04-10', 'Underarms · 20 min · paid €18.50 · calm'],
    ]);
    expect(card.visits).toEqual([]);
    const [row] = open.db.all<{ paid: number; zones: string }>(
      sql`select paid_minor as paid, zones from past_visits where client_id = 'nell'`,
    );
    expect(row?.paid).toBe(1850);
    const [otto] = open.db.all<{ id: string }>(sql`select id from clients where name = 'Otto Vane'`);
    expect(value(loadClientCard(open.db, otto?.id ?? '', NOW)).beforeCount).toBe(2);
    const words = [...recordBlocks(value(clientRecord(open.db, 'nell', NOW)))].flatMap((b) =>
      'text' in b ? [b.text] : [],
    );
    expect(words).toContain('2027-04-10: Underarms · 20 min · paid €18.50 · calm');
  });
  it('makes the next visit no first time: the hair is as long as four weeks after a wax', async () => {
    nell();
    await take(await putDown('Nell Ashgrove;;10.04.2027;Underarms;20;;\n'));
    const zones = [
      { zone: 'underarm' as const, side: 'left' as const },
      { zone: 'chin' as const, side: 'middle' as const },
    ];
    const { visitId } = value(openVisit(open.db, { clientId: 'nell', personId: 'ines', zones }, NOW));
    const [underarm, chin] = chartsOf(open.db, visitId).map((c) => c.data);
    expect(chin?.hair).toMatchObject({ history: 'first', lengthMm: 6 });
    expect(underarm?.hair.history).toBe('regular');
    // by hand: 28 days less a fortnight's lag, 0.3 mm a day: some millimetres, not the longest
    expect(underarm?.hair.lengthMm).toBeGreaterThan(2);
    expect(underarm?.hair.lengthMm).toBeLessThan(9);
    expect(underarm?.confirmed).toBe(false);
    // and the plan is told of it, of that zone alone
    const visit = readVisit(open.db, visitId);
    const parts = visit && partsOf(open.db, visit)?.parts;
    expect(parts && buildCase(parts).zones.map((z) => z.hair.lastWaxOn)).toEqual(['2027-04-10', undefined]);
  });
  it('is refused whole where a line is bad, is there already, or could be of two people', async () => {
    nell();
    nell('Nell Ashgrove', '1971-01-01', 'nell-the-elder');
    await take(await putDown('Nell Ashgrove;01.02.1990;10.04.2027;Underarms;;;\n'));
    const id = await putDown(
      'Nell Ashgrove;01.02.1990;10.04.2027;Underarms;;;\nNell Ashgrove;;11.04.2027;Chin;;;\n' +
        'Otto Vane;;31.04.2027;Chin;;;\nOtto Vane;;30.04.2027;Chin;;;\nOtto Vane;;30.04.2027;Chin;;;\n',
    );
    const seen = await look(id);
    expect([seen.good, seen.bad]).toEqual([1, 4]);
    expect(seen.lines.map((l) => [l.line, l.faults[0]?.slice(0, 30)])).toEqual([
      [2, 'This visit stands on the card '],
      [3, 'Client: 2 cards have this name'],
      [4, 'Day of the visit: “31.04.2027”'],
      [6, 'The same visit as on line 5.'],
    ]);
    expect(code(startPast(open.db, id, MAPPING, await lookAtPast(open.db, id, MAPPING)))).toBe('refused');
    expect([counted('past_visits'), counted(`clients where name = 'Otto Vane'`)]).toEqual([1, 0]);
    expect(value(giveUpImport(open.db, id)).state).toBe('left');
    expect(counted('imports')).toBe(1);
  });
  const many = (n: number): string =>
    Array.from(
      { length: n },
      (_, i) => `Taken ${i % 90};;0${1 + (i % 9)}.0${1 + (i % 4)}.202${i % 7};Underarms ${i};;;`,
    ).join('\n');
  it('goes on to the end where the server stopped in between, with the same cards', async () => {
    const id = await putDown(many(350));
    value(startPast(open.db, id, MAPPING, await lookAtPast(open.db, id, MAPPING)));
    // a stop after the first hundred: what is written is written, `taken` says so
    const first = takeIn(open.db, id);
    await expect.poll(() => value(importProgress(open.db, id)).taken, { interval: 1 }).toBeGreaterThanOrEqual(100);
    await Promise.all([first, takeIn(open.db, id)]);
    expect(value(importProgress(open.db, id)).state).toBe('taken');
    expect(counted('past_visits')).toBe(350);
    expect(counted(`clients where name like 'Taken %'`)).toBe(90);
    expect(counted('(select distinct client_id, on_date, what from past_visits)')).toBe(350);
  });
  it('leaves nothing where it is given up on the way, but a card that somebody has used since', async () => {
    const before = counted('clients');
    const searched = counted('client_search');
    const id = await putDown(many(400));
    value(startPast(open.db, id, MAPPING, await lookAtPast(open.db, id, MAPPING)));
    const taking = takeIn(open.db, id);
    await expect.poll(() => value(importProgress(open.db, id)).taken, { interval: 1 }).toBeGreaterThanOrEqual(100);
    const [used] = open.db.all<{ id: string }>(sql`select id from clients where name like 'Taken %' limit 1`);
    const zones = [{ zone: 'chin' as const, side: 'middle' as const }];
    value(openVisit(open.db, { clientId: used?.id ?? '', personId: 'ines', zones }, NOW));
    expect(value(giveUpImport(open.db, id)).state).toBe('leaving');
    await taking;
    await takeIn(open.db, id);
    expect([counted('past_visits'), counted('imports')]).toEqual([0, 0]);
    expect(counted('clients') - before).toBe(1);
    expect(counted('client_search') - searched).toBe(1);
    expect(readClient(open.db, used?.id ?? '')?.importId).toBeNull();
  });
  it('that is in wholly is not given up, and a second one waits for the first', async () => {
    const [first, second] = [await putDown(many(120)), await putDown('Otto Vane;;01.04.2027;Chin;;;\n')];
    value(startPast(open.db, first, MAPPING, await lookAtPast(open.db, first, MAPPING)));
    expect(code(startPast(open.db, second, MAPPING, await lookAtPast(open.db, second, MAPPING)))).toBe('refused');
    await takeIn(open.db, first);
    expect(code(giveUpImport(open.db, first))).toBe('refused');
    expect(code(giveUpImport(open.db, 'no-such'))).toBe('not-found');
    expect(counted('past_visits')).toBe(120);
  });
  it('that nobody went on with is dropped after a day', async () => {
    await putDown('Otto Vane;;01.04.2027;Chin;;;\n');
    resumeImports(open.db, NOW + 3_600_000);
    expect(counted('imports')).toBe(1);
    resumeImports(open.db, NOW + 25 * 3_600_000);
    expect(counted('imports')).toBe(0);
  });
  it('without a visit in it is refused', async () => {
    expect(code(await putDownPast(open.db, HEADING, NOW))).toBe('refused');
    expect(code(await putDownPast(open.db, '', NOW))).toBe('refused');
  });
});
