import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { demoStudio } from '../demo/studioForTests';
import { keptSinceWrite } from './db/sinceWrite';
import type { OpenDatabase } from './db/openDatabase';
import { trailAfter } from './repos/trailRepo';
import { loadTrail, trailCsv } from './services/trailView';
import { isHealthRead, noteRead, noteTrail, noteWrite, trailFault } from './trail';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const as = (person: string): Request =>
  new Request('http://studio/', {
    headers: { cookie: `strickle-person=${person}; strickle-tablet=${'a'.repeat(40)}` },
  });
const lines = () => trailAfter(open.db, 0, 1000);

describe('the trail', () => {
  it('notes who, on which tablet, what; a person that there is not is nobody', () => {
    noteWrite(open.db, as('ines'), 'POST /api/clients');
    noteWrite(open.db, as('made-up'), 'PUT /api/clients/saoirse');
    expect(lines().map((l) => [l.seq, l.personId, l.kind, l.what])).toEqual([
      [1, 'ines', 'write', 'POST /api/clients'],
      [2, null, 'write', 'PUT /api/clients/saoirse'],
    ]);
    expect(lines()[0]?.tablet).toMatch(/^[0-9a-f]{12}$/);
  });
  it('looks at the same notes are one look for a while, another person’s is another', () => {
    for (const who of ['ines', 'ines', 'bao']) noteRead(open.db, as(who), 'GET /clients/teodora');
    expect(lines().map((l) => l.personId)).toEqual(['ines', 'bao']);
    const paths = ['/api/clients/saoirse', '/api/visits/x/case', '/api/forms/y', '/api/pots', '/api/clients'];
    expect(paths.map(isHealthRead)).toEqual([true, true, true, false, false]);
  });
  it('cannot be changed; what is changed past that is noticed, wherever it stands', async () => {
    for (let k = 0; k < 30; k++) noteWrite(open.db, as('ines'), `PUT /api/clients/c${k}`);
    expect(await trailFault(open.db)).toBeNull();
    expect(() => open.db.run(sql`update trail set what = 'x' where seq = 7`)).toThrow();
    expect(() => open.db.run(sql`delete from trail where seq = 7`)).toThrow();
    open.db.run(sql`drop trigger trail_no_update`);
    open.db.run(sql`drop trigger trail_no_delete`);
    open.db.run(sql`update trail set person_id = 'bao' where seq = 7`);
    expect(await trailFault(open.db)).toEqual({ seq: 7 });
    open.db.run(sql`update trail set person_id = 'ines' where seq = 7`);
    expect(await trailFault(open.db)).toBeNull();
    // the last lines too, before and after others have come
    open.db.run(sql`delete from trail where seq > 28`);
    expect(await trailFault(open.db)).toEqual({ seq: 29 });
    noteWrite(open.db, as('ines'), 'PUT /api/clients/later');
    expect(await trailFault(open.db)).toEqual({ seq: 29 });
    open.db.run(sql`delete from trail where seq = 12`);
    expect(await trailFault(open.db)).toEqual({ seq: 12 });
  });
  it('is written with what it tells of, or not at all', () => {
    expect(() =>
      open.db.transaction((tx) => {
        noteWrite(tx, as('ines'), 'POST /api/clients');
        throw new Error('taken back');
      }),
    ).toThrow('taken back');
    expect(lines()).toEqual([]);
  });
  it('lets go of nothing that pages keep', () => {
    let made = 0;
    const kept = keptSinceWrite<number>(2);
    const ask = (): number => kept(open.db, 'a', () => ++made);
    ask();
    noteWrite(open.db, as('ines'), 'POST /api/pots');
    expect([ask(), made]).toEqual([1, 1]);
  });
  it('is looked through by person, kind, day and client, a client’s visits with her; and goes out as a table', () => {
    const at = (days: number): number => NOW - days * 86_400_000;
    const line = (atMs: number, personId: string | null, kind: 'read' | 'write', what: string): void =>
      noteTrail(open.db, { atMs, personId, tablet: null, kind, what });
    const visit = open.db.get<{ id: string }>(sql`select id from visits where client_id = 'saoirse' limit 1`);
    line(at(2), 'ines', 'read', 'GET /clients/saoirse');
    line(at(1), 'bao', 'write', `PUT /api/visits/${visit.id}/consult`);
    line(at(0), 'ines', 'write', 'PUT /api/clients/teodora');
    const seen = (asked: Parameters<typeof loadTrail>[1]): readonly number[] =>
      loadTrail(open.db, asked).lines.map((l) => l.seq);
    expect(seen({})).toEqual([3, 2, 1]);
    expect(seen({ person: 'ines' })).toEqual([3, 1]);
    expect(seen({ kind: 'read' })).toEqual([1]);
    expect(seen({ on: '2027-05-07' })).toEqual([2]);
    expect(seen({ client: 'saoirse' })).toEqual([2, 1]);
    expect(seen({ before: 3 })).toEqual([2, 1]);
    expect(loadTrail(open.db, { kind: 'read' }).lines[0]).toMatchObject({
      person: 'Ines',
      what: expect.stringMatching(/^Card looked at: S/) as string,
    });
    const rows = [...trailCsv(open.db, { person: 'bao' })].join('').trim().split('\n');
    expect(rows.length).toBe(2);
    expect(rows[1]).toContain('consult');
  });
});
