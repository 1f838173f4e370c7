// Every route asked in every odd way: methods, hosts, origins, cookies, broken addresses, bodies that are no JSON, of
// the wrong shape, deep, long, with numbers and words that no field takes. Seeded, bounded, to this machine only.
// Nothing may answer 5xx, hang, or write behind a refusal. `node --import tsx bench/fuzz.ts [COUNT] [--network]`; with
// `--network` everybody signs in and all of it comes by HTTPS from a second device.

import { spawn } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative, sep } from 'node:path';
import { seededRandom, type Random } from '../src/core/shared';
import { askAt, comeInByNetwork, type Door } from './throughDoor';

const PORT = 4178;
const HOST = `127.0.0.1:${PORT}`;
const TABLET = 'strickle-tablet=the-tablet-of-the-fuzzing-0123456789abc';
const AT_ONCE = 8;
const APP = join('src', 'app');

/** Paths of all routes and pages, their parameters as `[name]`. */
function pathsBelow(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) => {
    const at = join(folder, e.name);
    if (e.isDirectory()) return pathsBelow(at);
    if (e.name !== 'route.ts' && e.name !== 'page.tsx') return [];
    const parts = relative(APP, folder).split(sep);
    return [`/${parts.filter((p) => p !== '' && !p.startsWith('(')).join('/')}`];
  });
}

const METHODS = ['GET', 'GET', 'POST', 'POST', 'PUT', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD', 'TRACE'];
const ODD = [
  '',
  ' ',
  '%',
  '%00',
  '%E0%A4%A',
  '..',
  '%2e%2e',
  "'; drop table clients",
  '\u202e',
  'null',
  '-1',
  'a'.repeat(3000),
];
const WORDS = [
  '\u0000a',
  '\ud800',
  '=1+1',
  '<script>',
  '🪒'.repeat(50),
  'x'.repeat(5000),
  '',
  ' ',
  '__proto__',
  '2027-02-30',
];

interface Asked {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: string | null;
}

/** What fields of ours are called, so that some of it gets past the first look. */
const FIELDS = [
  'version',
  'consult',
  'data',
  'zones',
  'events',
  'plan',
  'after',
  'name',
  'profile',
  'pin',
  'next',
  'as',
  'words',
  'post',
  'product',
  'csv',
  'commit',
  'text',
  'sheetCm',
  'hair',
  'marks',
  'strokes',
  'bookingId',
  'clientId',
  'personId',
  'weights',
  'money',
  'code',
  'reason',
  'waitDays',
  'archived',
  'lay',
  'read',
];

function oddValue(random: Random, depth = 0): unknown {
  const kind = random.whole(0, depth > 3 ? 5 : 7);
  if (kind === 0) return null;
  if (kind === 1) return random.next() < 0.5;
  if (kind === 2) return [0, -1, 1, 1.5, 1e308, -1e308, 2 ** 53, 500][random.whole(0, 7)];
  if (kind <= 5) return WORDS[random.whole(0, WORDS.length - 1)];
  if (kind === 6) return Array.from({ length: random.whole(0, 6) }, () => oddValue(random, depth + 1));
  return oddObject(random, depth + 1);
}
function oddObject(random: Random, depth = 0): Record<string, unknown> {
  const entries = Array.from({ length: random.whole(0, 8) }, (): [string, unknown] => [
    FIELDS[random.whole(0, FIELDS.length - 1)] ?? 'version',
    oddValue(random, depth),
  ]);
  return Object.fromEntries(entries);
}

function bodyOf(random: Random, good: readonly string[]): string {
  const kind = random.whole(0, 9);
  if (kind === 0) return '';
  if (kind === 1) return '{"version":';
  if (kind === 2) return '['.repeat(20_000);
  if (kind === 3) return JSON.stringify('x'.repeat(random.whole(1, 400_000)));
  if (kind === 4) return good[random.whole(0, good.length - 1)] ?? '{}';
  if (kind === 5) {
    // a good one with one letter changed
    const text = good[random.whole(0, good.length - 1)] ?? '{}';
    const at = random.whole(0, Math.max(0, text.length - 1));
    return text.slice(0, at) + 'x' + text.slice(at + 1);
  }
  return JSON.stringify(oddObject(random));
}

function headersOf(random: Random, { host, cookie }: Door): Record<string, string> {
  const headers: Record<string, string> = { host, cookie, 'content-type': 'application/json' };
  const kind = random.whole(0, 24);
  if (kind === 0) headers['host'] = 'evil.example:4178';
  if (kind === 1) headers['origin'] = 'null';
  if (kind === 2) headers['origin'] = 'garbage';
  if (kind === 3) headers['origin'] = '';
  if (kind === 4) headers['cookie'] = 'strickle-tablet=%E0%A4%A; strickle-person=%';
  if (kind === 5) headers['x-search'] = '%';
  if (kind === 6) headers['sec-fetch-site'] = 'cross-site';
  if (kind === 7) headers['x-request-id'] = '%%%';
  if (kind === 8) headers['content-type'] = 'application/x-www-form-urlencoded';
  if (kind === 9) headers['rsc'] = '1';
  if (kind === 10) headers['next-action'] = 'deadbeef';
  if (kind === 11) headers['last-event-id'] = 'x.y.z';
  if (kind === 12) headers['x-search'] = 'a_%';
  if (kind === 13) headers['transfer-encoding'] = 'chunked';
  return headers;
}

const pause = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));
/** Too much at once is told to wait: the same is asked again, so that every request is really looked at. */
async function send(door: Door, asked: Asked): Promise<number> {
  for (;;) {
    const { status } = await askAt(door, asked);
    if (status !== 429) return status;
    await pause(150);
  }
}

export async function fuzz(count: number, byNetwork: boolean): Promise<number> {
  let door: Door = { host: HOST, isSecure: false, cookie: TABLET };
  const env = { ...process.env, STRICKLE_DB: join(mkdtempSync(join(tmpdir(), 'strickle-fuzz-')), 'studio.sqlite') };
  const child = spawn(
    process.execPath,
    ['scripts/run.mjs', 'demo', '--port', String(PORT), ...(byNetwork ? ['--lan'] : [])],
    {
      env: { ...env, STRICKLE_CARE: 'off' },
      stdio: 'ignore',
      detached: true,
    },
  );
  const json = async <T>(method: string, path: string, body: object | null): Promise<T> => {
    const headers = { origin: `${door.isSecure ? 'https' : 'http'}://${door.host}` };
    const asked = { method, path, headers, body: body && JSON.stringify(body) };
    return JSON.parse((await askAt(door, asked)).text) as T; // our own routes
  };
  try {
    for (let k = 0; k < 1500; k++) {
      if ((await askAt(door, { method: 'GET', path: '/api/health' })).status === 200) break;
      await pause(200);
    }
    if (byNetwork) door = await comeInByNetwork(door);
    const { visitId } = await json<{ visitId: string }>('POST', '/api/visits', { bookingId: 'demo-booking-ottilie' });
    const bench = await json<{
      visit: { version: number; consult: unknown };
      zones: { zone: string; side: string; data: unknown }[];
      planHash: string;
    }>('GET', `/api/visits/${visitId}?plan=wait`, null);
    const good = [
      { version: bench.visit.version, consult: bench.visit.consult },
      { version: bench.visit.version, data: bench.zones[0]?.data },
      { version: bench.visit.version, zones: bench.zones.map(({ zone, side }) => ({ zone, side })) },
      { events: [{ id: 'f1', atMs: 1, kind: 'wrist', product: 'soft' }], plan: bench.planHash, after: 0 },
      { version: 1, next: null },
      { csv: 'name\nAnn\n', commit: false },
      { text: '<svg><metadata>{}</metadata></svg>', sheetCm: [9, 13] },
    ].map((b) => JSON.stringify(b));
    const paths = pathsBelow(APP);
    const random = seededRandom(19);
    const one = (list: readonly string[]): string => list[random.whole(0, list.length - 1)] ?? '';
    const known: Readonly<Record<string, readonly string[]>> = {
      '[zone]': ['underarm', ...ODD],
      '[side]': ['left', 'middle', ...ODD],
      '[...rest]': ['x', 'x/y', ...ODD],
    };
    const pathOf = (): string =>
      one(paths).replace(/\[[^\]]+\]/g, (name) =>
        random.next() < 0.6
          ? name === '[id]'
            ? one([visitId, 'ottilie', 'soft'])
            : (known[name]?.[0] ?? 'x')
          : encodeURI(one(known[name] ?? ODD)).replaceAll('%25', '%'),
      ) + one(['', '', '', '?plan=wait', '?as=pdf', '?after=-1', '?after=x', '?zone=%', '?rsc=1', '//']);
    const counts = new Map<string, number>();
    let bad = 0;
    let left = count;
    const worker = async (): Promise<void> => {
      while (left-- > 0) {
        const method = one(METHODS);
        const asked: Asked = {
          method,
          path: pathOf(),
          headers: headersOf(random, door),
          body: method === 'GET' || method === 'HEAD' || method === 'TRACE' ? null : bodyOf(random, good),
        };
        const status = await send(door, asked);
        const kind = status < 0 ? 'hung' : `${Math.floor(status / 100)}xx`;
        counts.set(kind, (counts.get(kind) ?? 0) + 1);
        if (status < 0 || status >= 500) {
          bad++;
          const shown = `${(asked.body ?? '').slice(0, 80)} ${JSON.stringify({ ...asked.headers, cookie: asked.headers['cookie']?.slice(0, 24) })}`;
          if (bad <= 25) console.log(`${status} ${asked.method} ${asked.path.slice(0, 120)} ${shown}`);
        }
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, worker));
    console.log(
      `${count} requests: ${[...counts]
        .sort()
        .map(([k, n]) => `${n} ${k}`)
        .join(', ')}; ${bad} bad`,
    );
    return bad;
  } finally {
    if (child.pid) process.kill(-child.pid, 'SIGTERM');
  }
}

if (process.argv[1]?.endsWith('fuzz.ts')) {
  const [count = '13500'] = process.argv.slice(2).filter((a) => !a.startsWith('--'));
  process.exitCode = (await fuzz(Number(count), process.argv.includes('--network'))) === 0 ? 0 : 1;
}
