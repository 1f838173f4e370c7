import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase, type OpenDatabase } from '../db/openDatabase';
import { readClient } from '../repos/clientRepo';
import { readPeople, readProducts, readStudio } from '../repos/studioRepo';
import { firstAct, isFirstRun, loadFirstRun, type FirstAct, type FirstRun } from './firstRun';
import { personOfPin } from './pin';
import { setUpStudio } from './setUpStudio';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
beforeEach(() => {
  open = openDatabase(join(mkdtempSync(join(tmpdir(), 'strickle-first-')), 'studio.sqlite'));
  setUpStudio(open.db, 'Europe/London');
});
afterEach(() => open.close());

const act = (does: FirstAct): string => {
  const done = firstAct(open.db, does, NOW);
  return done.ok ? 'ok' : done.error.message;
};
const run = (): FirstRun => {
  const loaded = loadFirstRun(open.db);
  if (!loaded.ok) throw new Error(loaded.error.code);
  return loaded.value;
};

describe('the first run', () => {
  it('keeps each step as it is taken, in any order, and ends once', async () => {
    expect(run().done).toEqual([]);
    expect(act({ shelf: { products: ['film-hard', 'sugar-firm'] } })).toBe('ok');
    expect(act({ name: { name: 'Low Tide', currency: 'GBP' } })).toBe('ok');
    expect(act({ you: { name: 'Mara', pin: '2468' } })).toBe('ok');
    expect(run()).toMatchObject({ studioName: 'Low Tide', currency: 'GBP', person: { name: 'Mara', hasPin: true } });
    expect(readProducts(open.db).map((p) => p.id)).toEqual(['film-hard', 'sugar-firm']);
    expect(await personOfPin(open.db, '2468')).toBe(readPeople(open.db)[0]?.id);
    expect(run().done).toEqual(['shelf', 'name', 'you']);
    expect(isFirstRun(open.db)).toBe(true);
    expect(act({ finish: true })).toBe('ok');
    expect(isFirstRun(open.db)).toBe(false);
    expect(act({ name: { name: 'Other', currency: 'EUR' } })).toContain('over');
    expect(readStudio(open.db)?.name).toBe('Low Tide');
  });
  it('makes one card, however often the name is mended', () => {
    expect(act({ client: { name: 'Ada Finch' } })).toBe('ok');
    expect(act({ client: { name: 'Ada Finsch' } })).toBe('ok');
    const { client } = run();
    expect(client?.name).toBe('Ada Finsch');
    expect(readClient(open.db, client?.id ?? '')?.name).toBe('Ada Finsch');
    expect(open.db.all('select id from clients' as never)).toHaveLength(1);
  });
  it('refuses an empty shelf, a product that is not there, a second PIN, hours that overlap; nothing is half kept', () => {
    expect(act({ shelf: { products: [] } })).toContain('at least one');
    expect(act({ shelf: { products: ['honey'] } })).toContain('honey');
    expect(run().done).toEqual([]);
    expect(readProducts(open.db)).toHaveLength(6);
    act({ you: { name: 'Mara', pin: '2468' } });
    expect(act({ you: { name: 'Someone', pin: '1111' } })).toContain('already');
    expect(run().person.name).toBe('Mara');
    const twice = { fromMin: 600, toMin: 700 };
    expect(act({ hours: [[twice, twice], [], [], [], [], [], []] })).not.toBe('ok');
    expect(run().done).toEqual(['you']);
  });
});
