// A studio of twenty years: 20 000 clients, 150 000 visits, one client with 240 of them, a day of 24 bookings. Grown
// from the demo: charts, readings, plans and journals are its own ones, under new names and dates. Invented like the
// demo. `node --import tsx --conditions=react-server bench/grow.ts FILE [SHARE]`, SHARE = 1 for the whole, 0.1 for a
// tenth.

import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import type BetterSqlite3 from 'better-sqlite3';
import Database from 'better-sqlite3';
import { liveGroups } from '../src/core/plan';
import { fillOutlooks } from '../src/server/repos/outlookRepo';
import { addDays, daysBetween, seededRandom } from '../src/core/shared';
import { loadDemo } from '../src/demo/loadDemo';
import { civilDateAt, instantAt } from '../src/server/clock';
import { openDatabase, type Db } from '../src/server/db/openDatabase';
import { readPlan } from '../src/server/repos/planRepo';

const TIME_ZONE = 'Europe/London';
const [CLIENTS, VISITS, LONG] = [20_000, 150_000, 240];
const DAYS = 20 * 365;
/** Share of visits whose plan was kept: those of before the planner kept plans have none. */
const WITH_PLAN = 0.6;
const FIRST = [
  'Ada',
  'Bo',
  'Cleo',
  'Dov',
  'Edda',
  'Finn',
  'Gwen',
  'Hale',
  'Ivo',
  'Juno',
  'Kit',
  'Lior',
  'Mina',
  'Noor',
];
const LAST = ['Arden', 'Brook', 'Carrow', 'Dell', 'Eyre', 'Fenn', 'Garth', 'Holm', 'Isley', 'Jett', 'Kerr', 'Lund'];

type Row = Record<string, string | number | Buffer | null>;

/** One visit of the demo with everything that hangs on it. */
interface Template {
  readonly visit: Row;
  readonly charts: readonly Row[];
  readonly readings: readonly Row[];
  readonly worked: readonly Row[];
  /** What its services took, and the ledger's lines of what came for them. */
  readonly parts: readonly Row[];
  readonly lines: readonly Row[];
  readonly plan: Row | undefined;
  /** Acts as the plan's own schedule has them: kind and data, ms from the start. */
  readonly acts: readonly { readonly kind: string; readonly atMs: number; readonly data: string }[];
}

function actsOf(db: Db, planHash: string): Template['acts'] {
  const plan = readPlan(db, planHash);
  if (!plan) return [];
  const wrists = liveGroups(plan).map((g) => ({
    kind: 'wrist',
    atMs: 0,
    data: JSON.stringify({ product: g.product }),
  }));
  const acts = plan.schedule.events.flatMap((e) => {
    if (e.strip === null || (e.do !== 'lay' && e.do !== 'pull')) return [];
    const kind = e.do === 'lay' ? 'laid' : 'pulled';
    return [{ kind, atMs: 1000 * (e.atS + e.forS), data: JSON.stringify({ strip: e.strip }) }];
  });
  return [...wrists, ...acts];
}

function templates(raw: BetterSqlite3.Database, db: Db): readonly Template[] {
  const of = (table: string, id: unknown): Row[] =>
    raw.prepare(`select * from ${table} where visit_id = ?`).all(id) as Row[]; // rows of our own tables
  const done = raw.prepare("select * from visits where status = 'closed' and ended_as is null").all() as Row[];
  return done.map((visit) => ({
    visit,
    charts: of('charts', visit['id']),
    readings: of('readings', visit['id']),
    worked: of('worked', visit['id']),
    parts: of('visit_parts', visit['id']),
    lines: of('ledger_entries', visit['id']),
    plan: raw.prepare('select * from plans where case_hash = ?').get(visit['plan_hash'] ?? '') as Row | undefined,
    acts: typeof visit['plan_hash'] === 'string' ? actsOf(db, visit['plan_hash']) : [],
  }));
}

/** Writes rows of one table, its columns as they come. */
function writer(raw: BetterSqlite3.Database, table: string): (row: Row) => void {
  let statement: BetterSqlite3.Statement | null = null;
  return (row) => {
    const names = Object.keys(row);
    statement ??= raw.prepare(`insert into ${table} (${names.join()}) values (${names.map((n) => `@${n}`).join()})`);
    statement.run(row);
  };
}

/** Dates of what was worked, as far from this visit as from the one that it is a copy of. */
function movedTo(row: Row, on: string): Row {
  const was = row['planned_on'];
  if (typeof was !== 'string') return {};
  const days = daysBetween(was, on);
  const moved = (date: Row[string] | undefined): string | null =>
    typeof date === 'string' ? addDays(date, days) : null;
  return { planned_on: on, ready_from: moved(row['ready_from']), ready_to: moved(row['ready_to']) };
}

export function grow(file: string, share: number, nowMs: number): void {
  if (existsSync(file)) throw new Error(`${file} is there already`);
  const { db, close } = openDatabase(file);
  if (!loadDemo(db, nowMs).ok) throw new Error('the demo did not load');
  const raw = new Database(file);
  raw.pragma('synchronous = OFF');
  raw.pragma('cache_size = -400000');
  const random = seededRandom(2027);
  const found = templates(raw, db);
  const planned = found.filter((t) => t.plan);
  const one = <T>(list: readonly T[]): T => list[random.whole(0, list.length - 1)] as T; // none of them is empty
  const card = raw.prepare("select * from clients where id = 'ottilie'").get() as Row;
  const people = (raw.prepare('select id from people').all() as Row[]).map((p) => String(p['id']));
  const put = Object.fromEntries(
    [
      ...['clients', 'visits', 'charts', 'readings', 'worked', 'plans', 'table_journal', 'bookings'],
      ...['visit_parts', 'ledger_entries'],
    ].map((t) => [t, writer(raw, t)]),
  );
  const today = civilDateAt(nowMs, TIME_ZONE);
  const clients = Math.round(CLIENTS * share);
  let visits = 0;
  const visit = (clientId: string, t: Template, on: string): void => {
    const id = `g${visits++}`;
    const atMs = instantAt(on, 9 + (visits % 8), 15, TIME_ZONE);
    const hash = t.plan && random.next() < WITH_PLAN / (planned.length / found.length) ? randomUUID() : null;
    const own = { visit_id: id };
    if (hash && t.plan) put['plans']?.({ ...t.plan, case_hash: hash, visit_id: id, seq: visits, computed_at_ms: atMs });
    const closed = { created_at_ms: atMs, closed_at_ms: atMs + 2_400_000, booking_id: null, plan_hash: hash };
    put['visits']?.({ ...t.visit, id, client_id: clientId, on_date: on, ...closed });
    for (const row of t.charts) put['charts']?.({ ...row, ...own });
    for (const row of t.readings) put['readings']?.({ ...row, ...own });
    for (const row of t.worked) put['worked']?.({ ...row, ...own, ...movedTo(row, on) });
    for (const row of t.parts) put['visit_parts']?.({ ...row, ...own });
    t.lines.forEach((row, i) => {
      if (row['kind'] !== 'service' || row['act'] !== 'taken' || row['paid'] === 'credit') return;
      // without a number of its own the file gives it the next one
      const line = { seq: null, id: `${id}-l${i}`, on_date: on, at_ms: atMs + 2_460_000, client_id: clientId };
      put['ledger_entries']?.({ ...row, ...own, ...line });
    });
    if (hash === null) return;
    t.acts.forEach(({ kind, atMs: offset, data }, i) =>
      put['table_journal']?.({ id: `${id}-${i}`, visit_id: id, at_ms: atMs + offset, kind, data }),
    );
  };
  const course: { readonly id: string; readonly on: string; readonly t: Template }[] = [];
  const perClient = (Math.round(VISITS * share) - LONG) / clients;
  raw.transaction(() => {
    for (let c = 0; c < clients; c++) {
      const id = `c${c}`;
      const name = `${one(FIRST)} ${one(LAST)} ${c}`;
      put['clients']?.({ ...card, id, name, phone: `0${700_000 + c}`, created_at_ms: nowMs - 86_400_000 * DAYS });
      const count = c === 0 ? LONG : random.whole(1, Math.round(2 * perClient - 1));
      const from = c === 0 ? DAYS - 40 : random.whole(60, DAYS - 40);
      for (let v = 0; v < count; v++) {
        const on = addDays(today, -Math.max(2, Math.round((from * (count - v)) / count)));
        course.push({ id, on, t: random.next() < 0.9 ? one(planned) : one(found) });
      }
    }
    // written day by day, as a studio writes: what lies together in time lies together in the file
    for (const { id, on, t } of course.sort((a, b) => a.on.localeCompare(b.on))) visit(id, t, on);
    raw
      .prepare("delete from bookings where status = 'booked' and starts_at_ms >= ?")
      .run(instantAt(today, 0, 0, TIME_ZONE));
    const zones = JSON.stringify([
      { zone: 'underarm', side: 'left' },
      { zone: 'underarm', side: 'right' },
    ]);
    for (let b = 0; b < 24; b++) {
      const starts = instantAt(today, 8 + Math.floor(b / 3), 0, TIME_ZONE);
      const person = people[b % people.length] ?? '';
      const booking = { client_id: `c${b}`, person_id: person, starts_at_ms: starts, minutes: 45, zones };
      put['bookings']?.({ id: `g-booking-${b}`, status: 'booked', version: 1, ...booking });
    }
  })();
  fillOutlooks(db);
  raw.exec('analyze');
  raw.close();
  close();
}

const [file, share = '1'] = process.argv.slice(2);
if (file !== undefined && process.argv[1]?.endsWith('grow.ts')) {
  const from = performance.now();
  grow(file, Number(share), Date.now());
  console.log(`grown in ${((performance.now() - from) / 1000).toFixed(0)} s`);
}
