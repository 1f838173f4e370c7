import { sql } from 'drizzle-orm';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { ok } from '../../core/shared';
import { refused } from '../errors';
import type { OpenDatabase } from '../db/openDatabase';
import { readStudio } from '../repos/studioRepo';
import { houseNeeds, tryBackup } from '../services/backupDrill';
import { noteTrail } from '../trail';
import { lookThroughTrail } from '../trailCare';
import { backupFolder, dailyBackup } from './backup';
import { drill, newestBackup } from './drill';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY_MS = 86_400_000;
let open: OpenDatabase;
let file: string;
beforeEach(() => {
  open = demoStudio(NOW);
  ({ file } = open.db.get<{ file: string }>(sql`select file from pragma_database_list where name = 'main'`));
});
afterEach(() => open.close());

const counted = (what: string): number => open.db.get<{ n: number }>(sql`select count(*) as n from ${sql.raw(what)}`).n;
const line = (atMs: number) => ({
  atMs,
  personId: null,
  tablet: null,
  kind: 'write' as const,
  what: 'POST /api/studio',
});

describe('the drill', () => {
  it('puts the newest backup back beside the data, counts it, and leaves nothing behind', async () => {
    expect(newestBackup(file)).toBeNull();
    expect(() => drill(file)).toThrow('no backup yet');
    await dailyBackup(file, '2027-05-08');
    const before = readFileSync(file);
    expect(drill(file)).toEqual({
      name: expect.stringMatching(/^(day|month)-2027-05/) as string,
      clients: counted('clients'),
      visits: counted(`visits where status = 'closed'`),
    });
    expect(counted('clients')).toBeGreaterThan(10);
    expect(readFileSync(file).equals(before)).toBe(true);
    expect(readdirSync(backupFolder(file)).filter((n) => n.startsWith('drill-'))).toEqual([]);
  });
  it('says so where a backup is damaged', async () => {
    await dailyBackup(file, '2027-05-08');
    const at = join(backupFolder(file), 'day-2027-05-09.sqlite');
    const bytes = readFileSync(newestBackup(file) ?? '');
    // a page in the middle is not what it was
    bytes.fill(0x5a, 40 * 4096, 44 * 4096);
    writeFileSync(at, bytes);
    expect(newestBackup(file)).toBe(at);
    expect(() => drill(file)).toThrow(/damaged|put back/);
    expect(readdirSync(backupFolder(file)).filter((n) => n.startsWith('drill-'))).toEqual([]);
  });
});

describe('what the studio needs', () => {
  it('is a drill each month: not in its first, not after one that went well', async () => {
    const needs = (days: number) => houseNeeds(open.db, NOW + days * DAY_MS).map((n) => n.id);
    expect(needs(400)).toEqual([]);
    open.db.transaction((tx) => noteTrail(tx, line(NOW)));
    expect([needs(30), needs(31)]).toEqual([[], ['drill']]);
    const failed = await tryBackup(open.db, NOW + 31 * DAY_MS, () => Promise.resolve(refused('no')));
    expect([failed.ok, needs(31)]).toEqual([false, ['drill']]);
    const well = () => Promise.resolve(ok({ name: 'day', clients: 1, visits: 1 }));
    expect((await tryBackup(open.db, NOW + 31 * DAY_MS, well)).ok).toBe(true);
    expect(readStudio(open.db)?.settings.drilledOn).toBe('2027-06-08');
    expect([needs(31), needs(61), needs(62)]).toEqual([[], [], ['drill']]);
  });
  it('is to be told where the trail is broken', async () => {
    open.db.transaction((tx) => {
      noteTrail(tx, line(NOW));
      noteTrail(tx, line(NOW + 1));
    });
    await lookThroughTrail(open.db);
    expect(houseNeeds(open.db, NOW)).toEqual([]);
    open.db.run(sql`drop trigger trail_no_update`);
    open.db.run(sql`update trail set what = 'something else' where seq = 1`);
    await lookThroughTrail(open.db);
    expect(houseNeeds(open.db, NOW).map((n) => [n.id, n.weight])).toEqual([['trail', 'stop']]);
    open.db.run(sql`update trail set what = 'POST /api/studio' where seq = 1`);
    await lookThroughTrail(open.db);
    expect(houseNeeds(open.db, NOW)).toEqual([]);
  });
});
