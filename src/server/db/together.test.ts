import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { demoStudio } from '../../demo/studioForTests';
import { ok } from '../../core/shared';
import { refused } from '../errors';
import type { OpenDatabase } from './openDatabase';
import { together } from './together';

let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(Date.UTC(2027, 4, 14, 7, 5));
});
afterEach(() => open.close());

const note = (id: string): void => {
  open.db.run(sql`update clients set note = note || ${id} where id = 'ottilie'`);
};
const noted = (): string =>
  open.db.get<{ note: string }>(sql`select note from clients where id = 'ottilie'`)?.note.replace(/^.*?(?=#|$)/s, '') ??
  '';

describe('writes in one commit', () => {
  it('stand in the order in which they came; a refusal and a fault take back their own only', async () => {
    const all = await Promise.allSettled([
      together(open.db, () => (note('#a'), ok('a'))),
      together(open.db, () => (note('#b'), refused('no', 'b'))),
      together(open.db, () => {
        note('#c');
        throw new Error('c broke');
      }),
      together(open.db, () => (note('#d'), ok('d'))),
    ]);
    expect(all.map((r) => (r.status === 'fulfilled' ? r.value.ok : (r.reason as Error).message))).toEqual([
      true,
      false,
      'c broke',
      true,
    ]);
    expect(noted()).toBe('#a#d');
  });
  it('are none of them acknowledged where the commit does not stand', async () => {
    open.db.run(sql`create table at_commit (id integer references clients(id) deferrable initially deferred)`);
    const all = await Promise.allSettled([
      together(open.db, () => (note('#e'), ok('e'))),
      together(open.db, () => {
        open.db.run(sql`insert into at_commit values (987654)`);
        return ok('f');
      }),
    ]);
    expect(all.map((r) => r.status)).toEqual(['rejected', 'rejected']);
    expect(noted()).toBe('');
    const later = await together(open.db, () => (note('#g'), ok('g')));
    expect(later.ok).toBe(true);
    expect(noted()).toBe('#g');
  });
});
