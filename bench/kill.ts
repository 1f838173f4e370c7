// Kill −9 again and again: in a stream of acts of eight writers, and inside close, put-off, sign, import and backup.
// What was acknowledged must be there once and in order; what was not must be there whole or not at all. Bounded, to
// this machine only. `node --import tsx bench/kill.ts [STREAMS] [INSIDE] [--network]`, 50 and 100 if not said; with
// `--network` everybody signs in and all of it comes by HTTPS from a second device.

import { spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { seededRandom } from '../src/core/shared';
import { answered, signing } from '../src/demo/formForTests';
import { askAt, comeInByNetwork, cookiesAfter, type Door } from './throughDoor';

const PORT = 4179;
const TABLET = 'strickle-tablet=the-tablet-of-the-killing-0123456789ab';
const byNetwork = process.argv.includes('--network');
let door: Door = { host: `127.0.0.1:${PORT}`, isSecure: false, cookie: TABLET };
const WRITERS = 8;
const random = seededRandom(9);
const folder = mkdtempSync(join(tmpdir(), 'strickle-kill-'));
const file = join(folder, 'studio.sqlite');
const pause = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));

/** Too much at once is told to wait; a line that broke is thrown, as by `fetch`. */
async function ask(method: string, path: string, body: unknown = null, id?: string) {
  const headers = {
    origin: `${door.isSecure ? 'https' : 'http'}://${door.host}`,
    ...(id === undefined ? {} : { 'x-request-id': id }),
  };
  for (;;) {
    const asked = { method, path, headers, body: body === null ? null : JSON.stringify(body) };
    const answer = await askAt(door, asked);
    const { status, text } = answer;
    if (status <= 0) throw new Error('the line broke');
    // whoever takes a tablet back from a client has signed in there anew
    door.cookie = cookiesAfter(door.cookie, answer);
    if (status !== 429) return { ok: status < 300, json: () => JSON.parse(text) as unknown };
    await pause(150);
  }
}
const get = (path: string) => ask('GET', path);
const post = (path: string, body: unknown, id?: string) => ask('POST', path, body, id);

const PIN = '2468';
/** The last form that this tablet was handed over with: until its PIN is given it does nothing else. */
let withClient: string | null = null;
let child: ChildProcess | null = null;
async function start(): Promise<void> {
  const env = { ...process.env, STRICKLE_DB: file, STRICKLE_CARE: 'off' };
  child = spawn(
    process.execPath,
    ['scripts/run.mjs', 'demo', '--port', String(PORT), ...(byNetwork ? ['--lan'] : [])],
    {
      env,
      stdio: 'ignore',
      detached: true,
    },
  );
  for (let k = 0; k < 1500; k++) {
    const here = { host: `127.0.0.1:${PORT}`, isSecure: false, cookie: TABLET };
    const up = (await askAt(here, { method: 'GET', path: '/api/health' }, 2_000)).status === 200;
    if (up) {
      if (withClient !== null) await post(`/api/forms/${withClient}/unlock`, { pin: PIN });
      return;
    }
    await pause(40);
  }
  throw new Error('the server did not start');
}
async function kill(): Promise<void> {
  if (!child?.pid) return;
  const gone = new Promise((r) => child?.once('exit', r));
  process.kill(-child.pid, 'SIGKILL');
  await gone;
}
/** Looks at the file itself, with the server gone. */
function look<T>(sql: string, ...values: unknown[]): T[] {
  const raw = new Database(file, { readonly: true });
  try {
    return raw.prepare(sql).all(...values) as T[]; // rows of the query given
  } finally {
    raw.close();
  }
}
const whole = (): boolean => look<{ integrity_check: string }>('pragma integrity_check')[0]?.integrity_check === 'ok';

interface Bench {
  readonly visit: { readonly id: string; readonly version: number; readonly consult: object };
  readonly plan: { readonly zones: readonly { readonly strips: readonly { readonly id: string }[] }[] };
  readonly planHash: string;
}
async function opened(): Promise<Bench> {
  const zones = [{ zone: 'underarm', side: 'left' }];
  const { visitId } = (await post('/api/visits', { clientId: 'ottilie', zones })).json() as { visitId: string };
  return (await get(`/api/visits/${visitId}?plan=wait`)).json() as Bench;
}

let bad = 0;
const fault = (words: string): void => {
  bad++;
  console.log(words);
};

async function stream(round: number): Promise<number> {
  const { visit, plan, planHash } = await opened();
  const strip = plan.zones[0]?.strips[0]?.id;
  const acknowledged = new Map<number, string[]>();
  let stopped = false;
  const writer = async (w: number): Promise<void> => {
    const own: string[] = [];
    acknowledged.set(w, own);
    for (let k = 0; !stopped; k++) {
      const id = `k${round}-${w}-${k}`;
      const events = [{ id, atMs: 1_800_000_000_000 + k, kind: 'mark', strip, mark: 'clean' }];
      const sent = await post(`/api/visits/${visit.id}/journal`, { events, plan: planHash }).catch(() => null);
      if (!sent) return;
      if (sent.ok) own.push(id);
    }
  };
  const writing = Array.from({ length: WRITERS }, (_, w) => writer(w));
  await pause(300 + random.between(0, 900));
  await kill();
  stopped = true;
  await Promise.all(writing);
  const ids = look<{ id: string }>('select id from table_journal where visit_id = ? order by seq', visit.id).map(
    (r) => r.id,
  );
  if (new Set(ids).size !== ids.length) fault(`round ${round}: an act is there twice`);
  for (const [w, own] of acknowledged) {
    const there = ids.filter((id) => id.startsWith(`k${round}-${w}-`));
    if (own.some((id, i) => there[i] !== id)) fault(`round ${round}: writer ${w} lost an act or its order`);
  }
  if (!whole()) fault(`round ${round}: the file is damaged`);
  return [...acknowledged.values()].reduce((n, own) => n + own.length, 0);
}

/** One use case, killed somewhere in it; what must then hold. */
type Inside = () => Promise<{ readonly run: () => Promise<unknown>; readonly check: () => string | null }>;

const both = (visitId: string, change: () => boolean, rest: () => boolean): string | null => {
  const closed = look<{ status: string }>('select status from visits where id = ?', visitId)[0]?.status === 'closed';
  return closed === rest() && (closed || !change()) ? null : 'half written';
};
const count = (sql: string, ...values: unknown[]): number => look<{ n: number }>(sql, ...values)[0]?.n ?? 0;

const CONSENTS = `select count(*) as n from consents where client_id = 'ottilie'`;
const CASES: readonly Inside[] = [
  async () => {
    const { visit } = await opened();
    const startsAtMs = Date.now() + 86_400_000 * random.whole(30, 4000);
    const booked = (): boolean => count('select count(*) as n from bookings where starts_at_ms = ?', startsAtMs) === 1;
    const told = (): boolean => count('select count(*) as n from care_told where visit_id = ?', visit.id) > 0;
    const body = { version: visit.version, next: { startsAtMs, minutes: 30 } };
    return {
      run: () => post(`/api/visits/${visit.id}/close`, body),
      check: () => both(visit.id, told, booked),
    };
  },
  async () => {
    const { visit } = await opened();
    const words = (): boolean => count('select count(*) as n from messages where visit_id = ?', visit.id) === 1;
    const body = { version: visit.version, as: 'declined', next: null, words: 'Not today.', post: false };
    return {
      run: () => post(`/api/visits/${visit.id}/put-off`, body),
      check: () => both(visit.id, words, words),
    };
  },
  async () => {
    const { visit } = await opened();
    const body = { personId: 'ines', ...(withClient === null ? { newPin: PIN } : {}) };
    const { formId } = (await post(`/api/visits/${visit.id}/form`, body)).json() as { formId: string };
    withClient = formId;
    const before = count(CONSENTS);
    const signed = (): boolean =>
      count(`select count(*) as n from forms where id = ? and state = 'signed'`, formId) === 1;
    const consent = (): boolean => count(CONSENTS) === before + 1;
    return {
      run: () => post(`/api/forms/${formId}/sign`, signing(1, answered())),
      check: () => (signed() === consent() ? null : 'signed by halves'),
    };
  },
  async () => {
    const names = Array.from({ length: 300 }, (_, i) => `Killed ${random.whole(0, 1e9)} ${i}`);
    const before = count('select count(*) as n from clients');
    const takenBefore = count('select coalesce(sum(taken), 0) as n from imports');
    return {
      run: () => post('/api/clients/import', { csv: `name\n${names.join('\n')}\n` }),
      // what is written down whole is taken in to the end after the next start
      check: () => {
        const taken = count('select coalesce(sum(taken), 0) as n from imports') - takenBefore;
        return count('select count(*) as n from clients') - before === taken ? null : 'cards beside the table';
      },
    };
  },
  async () => {
    const to = join(folder, `backup-${random.whole(0, 1e9)}.sqlite`);
    await Promise.resolve();
    return {
      run: () => {
        const flags = ['--import', 'tsx', '--conditions=react-server', 'scripts/backup.ts', to];
        const backup = spawn(process.execPath, flags, { env: { ...process.env, STRICKLE_DB: file }, stdio: 'ignore' });
        setTimeout(() => backup.kill('SIGKILL'), 400 + random.between(0, 1500));
        return new Promise((r) => backup.once('exit', r));
      },
      check: () => {
        const made = readdirSync(folder).find((n) => join(folder, n) === to);
        if (made === undefined) return null;
        const raw = new Database(to, { readonly: true });
        const ok = raw.pragma('integrity_check', { simple: true }) === 'ok';
        raw.close();
        rmSync(to);
        return ok ? null : 'a backup that is half a file';
      },
    };
  },
];

async function inside(round: number): Promise<void> {
  const make = CASES[round % CASES.length];
  if (!make) return;
  const { run, check } = await make();
  const running = run().catch(() => null);
  await pause(random.between(0, 60));
  await kill();
  await running;
  const found = check();
  if (found !== null) fault(`round ${round}, case ${round % CASES.length}: ${found}`);
  if (!whole()) fault(`round ${round}: the file is damaged`);
}

const [streams = 50, insides = 100] = process.argv
  .slice(2)
  .filter((a) => !a.startsWith('--'))
  .map(Number);
await start();
if (byNetwork) door = await comeInByNetwork(door);
await kill();
copyFileSync(file, `${file}.first`);
let acts = 0;
for (let k = 0; k < streams; k++) {
  await start();
  acts += await stream(k);
}
console.log(`${streams} × kill −9 in a stream of ${WRITERS} writers: ${acts} acts acknowledged, ${bad} faults`);
for (let k = 0; k < insides; k++) {
  await start();
  await inside(k);
}
console.log(`${insides} × kill −9 inside close, put-off, sign, import, backup: ${bad} faults in all`);
process.exitCode = bad === 0 ? 0 : 1;
