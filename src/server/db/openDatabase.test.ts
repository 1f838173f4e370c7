import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
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
  it('refuses a damaged, a foreign and a newer file in a plain sentence and touches nothing', () => {
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
    for (const [path, words] of [
      [damaged, 'damaged'],
      [foreign, 'not Strickle'],
      [newer, 'newer'],
    ] as const) {
      const before = readFileSync(path);
      expect(() => openDatabase(path)).toThrow(DatabaseRefused);
      expect(() => openDatabase(path)).toThrow(words);
      expect(readFileSync(path).equals(before)).toBe(true);
    }
  });
});
