import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { faultOf } from './fileFaults';
import { holdFile } from './oneServer';
import { DatabaseRefused, openDatabase } from './openDatabase';

const file = (): string => join(mkdtempSync(join(tmpdir(), 'strickle-')), 'studio.sqlite');

describe('openDatabase', () => {
  it('creates, migrates and opens again, with WAL and foreign keys', () => {
    const path = file();
    openDatabase(path).close();
    const { db, close } = openDatabase(path);
    expect(db.get<{ foreign_keys: number }>(sql`pragma foreign_keys`)).toEqual({ foreign_keys: 1 });
    expect(db.get(sql`pragma journal_mode`)).toEqual({ journal_mode: 'wal' });
    expect(() =>
      db.run(
        sql`insert into bookings (id, client_id, person_id, starts_at_ms, minutes, zones) values ('b', 'nobody', 'nobody', 0, 30, '[]')`,
      ),
    ).toThrow();
    close();
  });
  it('keeps the table journal append-only', () => {
    const { db, close } = openDatabase(file());
    db.run(sql`pragma foreign_keys = off`);
    db.run(sql`insert into table_journal (id, visit_id, at_ms, kind, data) values ('e', 'v', 1, 'laid', '{}')`);
    expect(() => db.run(sql`update table_journal set kind = 'x'`)).toThrow();
    expect(() => db.run(sql`delete from table_journal`)).toThrow();
    close();
  });
  it('makes files that only their owner may read, also beside the data file', () => {
    const path = file();
    const { db, close } = openDatabase(path);
    db.run(sql`create table t (a)`);
    const modes = ['', '-wal', '-shm'].filter((end) => existsSync(path + end)).map((end) => statSync(path + end).mode);
    expect(modes.length).toBeGreaterThan(1);
    expect(modes.map((m) => m & 0o777)).toEqual(modes.map(() => 0o600));
    close();
  });
  it('leaves one whole file when it is closed: nothing waits in a log beside it', () => {
    const path = file();
    const { db, close } = openDatabase(path);
    db.run(sql`create table kept (a)`);
    db.run(sql`insert into kept values (7)`);
    close();
    const copy = file();
    writeFileSync(copy, readFileSync(path));
    const alone = new Database(copy, { readonly: true });
    expect(alone.prepare('select a from kept').pluck().get()).toBe(7);
    alone.close();
  });
  it('refuses what must not be used in a plain sentence that names the fault, and touches nothing', () => {
    const damaged = file();
    writeFileSync(damaged, Buffer.concat([Buffer.from('SQLite format 3\0'), Buffer.alloc(5000, 7)]));
    const foreign = file();
    const other = new Database(foreign);
    other.exec('create table notes (a)');
    other.close();
    const newer = file();
    openDatabase(newer).close();
    const raw = new Database(newer);
    raw.exec("insert into __drizzle_migrations (hash, created_at) values ('from the future', 9999999999999)");
    raw.pragma('wal_checkpoint(TRUNCATE)');
    raw.close();
    const empty = file();
    writeFileSync(empty, '');
    const cases = [
      [damaged, 'damaged'],
      [foreign, 'not Strickle'],
      [newer, 'newer'],
      [empty, 'empty'],
    ] as const;
    for (const [path, words] of cases) {
      const before = readFileSync(path);
      expect(() => openDatabase(path)).toThrow(DatabaseRefused);
      expect(() => openDatabase(path)).toThrow(words);
      expect(readFileSync(path).equals(before)).toBe(true);
    }
    expect(cases).toHaveLength(4);
  });
  it('says that another program holds the file, not that it is damaged', () => {
    const path = file();
    openDatabase(path).close();
    const holder = new Database(path);
    holder.pragma('journal_mode = DELETE');
    holder.exec('BEGIN EXCLUSIVE');
    expect(() => openDatabase(path)).toThrow('Another program holds');
    holder.exec('ROLLBACK');
    holder.close();
    openDatabase(path).close();
  });
  it('makes a copy before it migrates an older file, and none for a new or a present one', () => {
    const path = file();
    const copied: string[] = [];
    const beforeMigration = (from: string): void => {
      copied.push(from);
    };
    openDatabase(path, { beforeMigration }).close();
    openDatabase(path, { beforeMigration }).close();
    expect(copied).toEqual([]);
    const old = file();
    const first = join(mkdtempSync(join(tmpdir(), 'strickle-drizzle-')), 'drizzle');
    mkdirSync(join(first, 'meta'), { recursive: true });
    const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as { entries: { tag: string }[] };
    const [entry] = journal.entries;
    writeFileSync(join(first, 'meta', '_journal.json'), JSON.stringify({ ...journal, entries: [entry] }));
    writeFileSync(join(first, `${entry?.tag}.sql`), readFileSync(`drizzle/${entry?.tag}.sql`));
    openDatabase(old, { folder: first }).close();
    openDatabase(old, { beforeMigration }).close();
    expect(copied).toEqual([old]);
  });
  it('rebuilds a table that others point to, and keeps all that is in it', () => {
    const path = file();
    const old = join(mkdtempSync(join(tmpdir(), 'strickle-drizzle-')), 'drizzle');
    mkdirSync(join(old, 'meta'), { recursive: true });
    const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as { entries: { tag: string }[] };
    const entries = journal.entries.slice(
      0,
      journal.entries.findIndex((e) => e.tag.startsWith('0014')),
    );
    writeFileSync(join(old, 'meta', '_journal.json'), JSON.stringify({ ...journal, entries }));
    for (const { tag } of entries) writeFileSync(join(old, `${tag}.sql`), readFileSync(`drizzle/${tag}.sql`));
    const before = openDatabase(path, { folder: old });
    before.db.run(sql`insert into products (id, data) values ('film-hard', '{"v":1,"product":{}}')`);
    before.db.run(
      sql`insert into pots (id, product_id, wax_g, sensor, channel) values ('p', 'film-hard', 310, 'none', 1)`,
    );
    before.db.run(sql`insert into pot_notes (pot_id, at_ms, kind, temp_c) values ('p', 5, 'measured', 57)`);
    before.db.run(sql`insert into pot_heats (pot_id, at_ms, temp_c) values ('p', 5, 57)`);
    before.close();
    const { db, close } = openDatabase(path);
    expect(db.all(sql`select wax_g, heater_w, lid, school, lot from pots`)).toEqual([
      { wax_g: 310, heater_w: 100, lid: 1, school: 'steady', lot: '' },
    ]);
    expect(db.all(sql`select kind, temp_c, felt, grams from pot_notes`)).toEqual([
      { kind: 'measured', temp_c: 57, felt: null, grams: null },
    ]);
    expect(db.all(sql`select temp_c from pot_heats`)).toEqual([{ temp_c: 57 }]);
    expect(db.all(sql`pragma foreign_key_check`)).toEqual([]);
    expect(() => db.run(sql`delete from pot_notes`)).toThrow();
    expect(db.all(sql`select seq from pot_notes`)).toHaveLength(1);
    close();
  });
  it('tells faults of the disk and of rights from damage', () => {
    const coded = (code: string): Error => Object.assign(new Error('x'), { code });
    expect(
      ['SQLITE_READONLY', 'EROFS', 'SQLITE_FULL', 'EACCES', 'SQLITE_CORRUPT_VTAB'].map((c) => faultOf(coded(c))),
    ).toEqual(['read-only', 'read-only', 'no-room', 'not-readable', 'damaged']);
    expect(faultOf(new Error('another'))).toBeNull();
  });
});

describe('holdFile', () => {
  it('lets one process hold a file, another none, and lets go', () => {
    const path = file();
    const held = holdFile(path);
    expect(() => holdFile(path)).toThrow('Another Strickle');
    expect(statSync(`${path}.held`).mode & 0o777).toBe(0o600);
    held.release();
    holdFile(path).release();
  });
  it('is free again when the process that held it was killed', async () => {
    const path = file();
    const script = `const D = require('better-sqlite3'); const l = new D(${JSON.stringify(`${path}.held`)}); l.exec('BEGIN EXCLUSIVE'); console.log('held'); setInterval(() => 0, 1000);`;
    const other = spawn(process.execPath, ['-e', script], { stdio: ['ignore', 'pipe', 'inherit'] });
    await new Promise((resolve) => other.stdout.once('data', resolve));
    expect(() => holdFile(path)).toThrow('Another Strickle');
    const gone = new Promise((resolve) => other.once('exit', resolve));
    other.kill('SIGKILL');
    await gone;
    holdFile(path).release();
  });
});
