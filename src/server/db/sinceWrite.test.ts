import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import Database from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type OpenDatabase } from './openDatabase';
import { insertRequest } from '../repos/groundRepo';
import { keptSinceWrite, quietly } from './sinceWrite';

let folder: string;
let open: OpenDatabase;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'strickle-since-'));
  open = openDatabase(join(folder, 'a.sqlite'));
});
afterEach(() => {
  open.close();
  rmSync(folder, { recursive: true, force: true });
});

const addTablet = (of: OpenDatabase, id: string): void => {
  of.db.run(
    sql`insert into tablets (id, first_seen_ms) values (${id}, 1) on conflict (id) do update set first_seen_ms = 2`,
  );
};
const count = (of: OpenDatabase): number => of.db.get<{ n: number }>(sql`select count(*) as n from tablets`).n;

describe('answers kept until something is written', () => {
  it('are read once, and again after any write', () => {
    const kept = keptSinceWrite<number>(9);
    let reads = 0;
    const ask = (): number =>
      kept(open.db, 'all', () => {
        reads++;
        return count(open);
      });
    expect([ask(), ask(), reads]).toEqual([0, 0, 1]);
    addTablet(open, 'a');
    expect([ask(), ask(), reads]).toEqual([1, 1, 2]);
  });
  it('stay over writes told apart as quiet, and go with the next that is not', () => {
    const kept = keptSinceWrite<number>(9);
    let reads = 0;
    const ask = (): number => kept(open.db, 'all', () => ++reads);
    ask();
    quietly(open.db, () => addTablet(open, 'a'));
    insertRequest(open.db, { id: 'r', atMs: 1, what: 'POST /', bodyHash: '0', answer: {} });
    expect(ask()).toBe(1);
    addTablet(open, 'b');
    expect(ask()).toBe(2);
  });
  it('are not kept inside of a transaction: what is taken back was never so', () => {
    const kept = keptSinceWrite<number>(9);
    const ask = (): number => kept(open.db, 'all', () => count(open));
    expect(ask()).toBe(0);
    expect(() =>
      open.db.transaction(() => {
        addTablet(open, 'a');
        expect(ask()).toBe(1);
        throw new Error('taken back');
      }),
    ).toThrow('taken back');
    expect(ask()).toBe(0);
  });
  it('go when another program writes, and two files do not answer for each other', () => {
    const kept = keptSinceWrite<number>(9);
    const ask = (of: OpenDatabase): number => kept(of.db, 'all', () => count(of));
    const second = openDatabase(join(folder, 'b.sqlite'));
    addTablet(second, 'c');
    expect([ask(open), ask(second)]).toEqual([0, 1]);
    const other = new Database(join(folder, 'a.sqlite'));
    other.prepare('insert into tablets (id, first_seen_ms) values (?, 1)').run('x');
    other.close();
    expect([ask(open), ask(second)]).toEqual([1, 1]);
    second.close();
  });
});
