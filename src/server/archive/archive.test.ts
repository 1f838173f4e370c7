import { createHash } from 'node:crypto';
import { createWriteStream, existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import Database from 'better-sqlite3';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import yazl from 'yazl';
import { planVisit } from '../../core/plan';
import { demoStudio } from '../../demo/studioForTests';
import { openDatabase, type Db, type OpenDatabase } from '../db/openDatabase';
import { openVisitsOf, readVisit } from '../repos/visitRepo';
import { partsOf } from '../services/bench';
import { searchClients } from '../services/clientSearch';
import { openVisit } from '../services/openVisit';
import { buildCase } from '../services/planCase';
import { bringIn, fileOfArchive } from './readArchive';
import { archivedTables } from './tables';
import { writeArchive } from './writeArchive';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const AT = '2027-05-08T08:00:00.000Z';
let folder: string;
let open: OpenDatabase & { readonly file: string };
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'strickle-archive-'));
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const at = (name: string): string => join(folder, name);
const archived = (name = 'studio.zip', from = open.file) => writeArchive(from, createWriteStream(at(name)), AT);
/** An empty studio as the first start makes it. */
function emptyStudio(name = 'new.sqlite'): string {
  openDatabase(at(name)).close();
  return at(name);
}

/** Every row of every table of the studio, as text; secrets and what is this machine's left out. */
function rowsOf(file: string): Readonly<Record<string, string>> {
  const raw = new Database(file, { readonly: true });
  const found = archivedTables(raw).map((table) => {
    const rows = raw.prepare(`select * from "${table}" order by rowid`).all() as Record<string, unknown>[];
    const lines = rows.map((r) => JSON.stringify({ ...r, pin_hash: null, pass_hash: null, feed_hash: null }));
    return [table, `${rows.length} ${createHash('sha256').update(lines.join('\n')).digest('hex')}`] as const;
  });
  raw.close();
  return Object.fromEntries(found);
}

/** Cases and plans of the visits that are open, by the hashes of both. */
function planHashes(db: Db, ids: readonly string[]): readonly string[] {
  return ids.map((id) => {
    const visit = readVisit(db, id);
    const parts = visit && partsOf(db, visit)?.parts;
    if (!parts) throw new Error('no such visit');
    const visitCase = buildCase(parts);
    const plan = planVisit(visitCase);
    return createHash('sha256')
      .update(JSON.stringify([visitCase, plan]))
      .digest('hex');
  });
}

describe('an archive', () => {
  it('brings the whole studio into an empty one: every row, and the same plans', async () => {
    const booked = open.db.all<{ id: string }>(sql`select id from bookings where starts_at_ms > ${NOW} limit 3`);
    for (const { id } of booked) openVisit(open.db, { bookingId: id }, NOW);
    const ids = open.db.all<{ id: string }>(sql`select id from visits where status = 'open'`).map((v) => v.id);
    expect(ids).toHaveLength(3);
    const before = planHashes(open.db, ids);
    await archived();
    const file = emptyStudio();
    const { tables } = await bringIn(at('studio.zip'), file);
    expect(tables['clients']?.rows).toBe(open.db.get<{ n: number }>(sql`select count(*) as n from clients`).n);
    const [there, here] = [rowsOf(open.file), rowsOf(file)];
    // settings are compared below: who signs in is left out of them
    expect({ ...here, studio: '' }).toEqual({ ...there, studio: '' });
    expect(Object.keys(here).length).toBeGreaterThan(35);
    const brought = openDatabase(file);
    expect(planHashes(brought.db, ids)).toEqual(before);
    expect(searchClients(brought.db, 'ottil', NOW).map((c) => c.name)).toEqual(
      searchClients(open.db, 'ottil', NOW).map((c) => c.name),
    );
    expect(openVisitsOf(brought.db, 'nobody')).toEqual([]);
    brought.close();
  });
  it('reaches a server that has the empty studio open, and the next look is at the new one', async () => {
    await archived();
    const file = emptyStudio();
    const running = openDatabase(file);
    expect(searchClients(running.db, '', NOW)).toEqual([]);
    await bringIn(at('studio.zip'), file);
    expect(searchClients(running.db, '', NOW).length).toBeGreaterThan(5);
    running.close();
  });
  it('holds nothing that opens a door, and leaves who signs in to the new machine', async () => {
    open.db.run(sql`update people set pin_hash = 'secret-pin', pass_hash = 'secret-pass', feed_hash = 'secret-feed'`);
    open.db.run(sql`update studio set settings = json_set(settings, '$.signsIn', json('true'))`);
    await archived();
    const file = emptyStudio();
    await bringIn(at('studio.zip'), file);
    const raw = new Database(file, { readonly: true });
    expect(raw.prepare('select distinct pin_hash, pass_hash, feed_hash from people').all()).toEqual([
      { pin_hash: null, pass_hash: null, feed_hash: null },
    ]);
    expect(raw.prepare("select json_extract(settings, '$.signsIn') from studio").pluck().get()).toBeNull();
    expect(raw.prepare("select json_extract(settings, '$.roomC') from studio").pluck().get()).toBeGreaterThan(10);
    raw.close();
  });
  it('goes into no studio that has clients, and leaves that as it is', async () => {
    await archived();
    const other = demoStudio(NOW);
    other.close();
    const before = rowsOf(other.file);
    await expect(bringIn(at('studio.zip'), other.file)).rejects.toThrow('There are clients in this studio already');
    expect(rowsOf(other.file)).toEqual(before);
    expect(existsSync(`${other.file}.arriving`)).toBe(false);
  });
  it('is refused whole where a byte of it was changed, where it is none, where it is newer', async () => {
    await archived();
    const bytes = readFileSync(at('studio.zip'));
    bytes[Math.floor(bytes.length / 3)] = (bytes[Math.floor(bytes.length / 3)] ?? 0) ^ 0x5a;
    writeFileSync(at('changed.zip'), bytes);
    writeFileSync(at('none.zip'), 'this is no zip');
    const file = emptyStudio();
    const before = rowsOf(file);
    await expect(bringIn(at('changed.zip'), file)).rejects.toThrow('Nothing was brought in.');
    await expect(bringIn(at('none.zip'), file)).rejects.toThrow('no archive that can be read');
    await expect(bringIn(at('missing.zip'), file)).rejects.toThrow('There is no file');
    expect(rowsOf(file)).toEqual(before);
    open.db.run(sql`insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)`);
    await archived('newer.zip');
    await expect(bringIn(at('newer.zip'), file)).rejects.toThrow('made by a newer Strickle');
    expect(existsSync(`${file}.arriving`)).toBe(false);
  });
  it('of an earlier time is brought up by the migrations that came since', async () => {
    // as the 26th migration left them: no card knew what it was brought in with
    const line =
      '{"id":"vesna","name":"Vesna Orlic","byline":"","profile":"{\\"v\\":2}","created_at_ms":1,"version":1}\n';
    const row = line.replace('}\n', ',"phone":"","note":""}\n');
    const zip = new yazl.ZipFile();
    const head = { format: 'strickle-archive', version: 1, madeAt: AT, migrations: 26, studio: '' };
    const tables = { clients: { rows: 1, sha256: createHash('sha256').update(row).digest('hex') } };
    zip.addBuffer(Buffer.from(row), 'tables/clients.jsonl');
    zip.addBuffer(Buffer.from(JSON.stringify({ ...head, tables })), 'archive.json');
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(at('old.zip')));
    await fileOfArchive(at('old.zip'), at('brought.sqlite'));
    const raw = new Database(at('brought.sqlite'), { readonly: true });
    expect(raw.prepare('select id, name, import_id from clients').all()).toEqual([
      { id: 'vesna', name: 'Vesna Orlic', import_id: null },
    ]);
    expect(raw.prepare('select count(*) from past_visits').pluck().get()).toBe(0);
    raw.close();
  });
});
