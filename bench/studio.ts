// Server time of every page and API on the twenty-year studio, the built app in front: medians over a few asks, the
// first apart. Then the table: tablets that write acts at a steady pace, and how long each waited. Bounded in count and
// time, to this machine only. `node --import tsx bench/studio.ts FILE`, FILE from bench/grow.ts; `npm run bench --
// --studio FILE` runs it after the engines.

import { spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const PORT = 4177;
const BASE = `http://127.0.0.1:${PORT}`;
const COOKIE = 'strickle-tablet=the-tablet-of-the-bench-0123456789abcdef';
const headers = { cookie: COOKIE, 'content-type': 'application/json' };
const ASKS = 9;
const AIM_MS = 150;

const get = (path: string): Promise<Response> => fetch(BASE + path, { headers });
const send = (method: string, path: string, body: unknown): Promise<Response> =>
  fetch(BASE + path, { method, headers, body: JSON.stringify(body) });
const json = async <T>(answer: Promise<Response>): Promise<T> => (await (await answer).json()) as T;

async function started(file: string): Promise<{ readonly child: ChildProcess; readonly ms: number }> {
  const env = { ...process.env, STRICKLE_DB: file, STRICKLE_CARE: 'off' };
  const from = performance.now();
  const child = spawn(process.execPath, ['scripts/run.mjs', 'start', '--port', String(PORT)], {
    env,
    stdio: 'ignore',
    detached: true,
  });
  for (let k = 0; k < 2000; k++) {
    const up = await get('/').then(
      (r) => r.ok,
      () => false,
    );
    if (up) return { child, ms: performance.now() - from };
    await new Promise((r) => setTimeout(r, 20));
  }
  throw new Error('the server did not start');
}

interface Timed {
  readonly what: string;
  readonly firstMs: number;
  readonly medianMs: number;
}

async function timed(what: string, ask: () => Promise<Response>): Promise<Timed> {
  const times: number[] = [];
  for (let k = 0; k <= ASKS; k++) {
    const from = performance.now();
    const answer = await ask();
    await answer.arrayBuffer();
    times.push(performance.now() - from);
    if (answer.status >= 400) throw new Error(`${what}: ${answer.status}`);
  }
  const [firstMs = 0, ...rest] = times;
  return { what, firstMs, medianMs: rest.sort((a, b) => a - b)[Math.floor(rest.length / 2)] ?? 0 };
}

interface Bench {
  readonly visit: { readonly id: string; readonly version: number; readonly consult: object };
  readonly zones: readonly { readonly zone: string; readonly side: string; readonly data: object }[];
  readonly plan: { readonly zones: readonly { readonly strips: readonly { readonly id: string }[] }[] };
  readonly planHash: string;
}

async function opened(clientId: string): Promise<Bench> {
  const zones = [{ zone: 'underarm', side: 'left' }];
  const { visitId } = await json<{ visitId: string }>(send('POST', '/api/visits', { clientId, zones }));
  return json<Bench>(get(`/api/visits/${visitId}?plan=wait`));
}

async function pages(): Promise<readonly Timed[]> {
  const bench = await opened('c0');
  const at = `/visits/${bench.visit.id}`;
  const [zone] = bench.zones;
  if (!zone) throw new Error('a zone');
  let { version } = bench.visit;
  const chart = async (): Promise<Response> => {
    const path = `/api${at}/charts/${zone.zone}/${zone.side}`;
    const answer = await send('PUT', path, { version, data: zone.data });
    const saved = (await answer.clone().json()) as Bench;
    version = saved.visit.version;
    return answer;
  };
  const stations = ['consult', 'chart', 'match', 'strips', 'work', 'read', 'return'];
  const csv = 'name\nOne New Client\n';
  return [
    await timed('Today, 24 bookings', () => get('/')),
    await timed('Clients', () => get('/clients')),
    await timed('search', () => fetch(`${BASE}/api/clients`, { headers: { ...headers, 'x-search': 'ada br' } })),
    await timed('card, 240 visits', () => get('/clients/c0')),
    ...(await inTurn(stations.map((s) => () => timed(`${s}, 240 visits`, () => get(`${at}/${s}`))))),
    await timed('bench, 240 visits', () => get(`/api${at}`)),
    await timed('PUT chart, 240 visits', chart),
    await timed('put-off proposal', () => get(`/api${at}/put-off`)),
    await timed('strips PDF', () => get(`/api${at}/strips`)),
    await timed('record JSON, 240 visits', () => get('/api/clients/c0/record')),
    await timed('record PDF, 240 visits', () => get('/api/clients/c0/record?as=pdf')),
    await timed('rules', () => get('/rules')),
    await timed('products', () => get('/products')),
    await timed('prices', () => get('/prices')),
    await timed('import, preview of one line', () => send('POST', '/api/clients/import', { csv, commit: false })),
    await timed('export CSV', () => get('/api/clients/export')),
  ];
}

async function inTurn<T>(runs: readonly (() => Promise<T>)[]): Promise<readonly T[]> {
  const out: T[] = [];
  for (const run of runs) out.push(await run());
  return out;
}

interface Pace {
  readonly acts: number;
  readonly p50: number;
  readonly p99: number;
  readonly lost: number;
  readonly doubled: number;
}

/** Tablets that send one act each at a steady pace, whether or not the last one is answered. */
async function table(tablets: number, perS: number, forS: number): Promise<Pace> {
  const benches: Bench[] = [];
  // a client whose hair is too short has no strips to mark
  for (let c = 100; benches.length < tablets; c++) {
    const bench = await opened(`c${c}`);
    if (bench.plan.zones[0]?.strips[0]) benches.push(bench);
  }
  const waits: number[] = [];
  const sent: Promise<void>[] = [];
  const start = performance.now();
  for (let k = 0; k < perS * forS; k++) {
    const due = start + (1000 * k) / perS;
    await new Promise((r) => setTimeout(r, Math.max(0, due - performance.now())));
    benches.forEach(({ visit, plan, planHash }, t) => {
      const strip = plan.zones[0]?.strips[0]?.id;
      const events = [
        { id: `b${tablets}-${perS}-${t}-${k}`, atMs: 1_800_000_000_000 + k, kind: 'mark', strip, mark: 'clean' },
      ];
      const from = performance.now();
      const body = { events, plan: planHash, after: Number.MAX_SAFE_INTEGER };
      sent.push(
        send('POST', `/api/visits/${visit.id}/journal`, body).then(async (r) => {
          await r.arrayBuffer();
          if (r.ok) waits.push(performance.now() - from);
        }),
      );
    });
  }
  await Promise.all(sent);
  let [lost, doubled] = [0, 0];
  for (const [t, { visit }] of benches.entries()) {
    const { entries } = await json<{ entries: { event: { id: string } }[] }>(get(`/api/visits/${visit.id}/journal`));
    const ids = entries.map((e) => e.event.id);
    doubled += ids.length - new Set(ids).size;
    lost += Array.from({ length: perS * forS }, (_, k) => `b${tablets}-${perS}-${t}-${k}`).filter(
      (id) => !ids.includes(id),
    ).length;
  }
  waits.sort((a, b) => a - b);
  const at = (share: number): number => waits[Math.min(waits.length - 1, Math.floor(share * waits.length))] ?? 0;
  return { acts: waits.length, p50: at(0.5), p99: at(0.99), lost, doubled };
}

export async function benchStudio(grown: string): Promise<void> {
  if (!existsSync(grown)) {
    throw new Error(`${grown} is not there: node --import tsx --conditions=react-server bench/grow.ts ${grown}`);
  }
  const file = join(mkdtempSync(join(tmpdir(), 'strickle-bench-')), 'studio.sqlite');
  copyFileSync(grown, file);
  const { child, ms } = await started(file);
  try {
    console.log(
      `\nThe twenty-year studio\n  start to the first page ${(ms / 1000).toFixed(1)} s, the build's own check included`,
    );
    for (const t of await pages()) {
      const mark = t.medianMs <= AIM_MS ? '' : `  OVER ${AIM_MS}`;
      console.log(
        `  ${t.what.padEnd(30)} ${t.medianMs.toFixed(0).padStart(6)} ms  first ${t.firstMs.toFixed(0)}${mark}`,
      );
    }
    for (const [tablets, perS] of [
      [1, 20],
      [20, 5],
      [20, 10],
    ] as const) {
      const pace = await table(tablets, perS, 20);
      console.log(
        `  ${tablets} tablets × ${perS} acts/s: ${pace.acts} acts, half within ${pace.p50.toFixed(0)} ms, 99 of 100 within ${pace.p99.toFixed(0)} ms, ${pace.lost} lost, ${pace.doubled} doubled`,
      );
    }
  } finally {
    if (child.pid) process.kill(-child.pid, 'SIGTERM');
  }
}

const [own, grown] = process.argv.slice(1);
if (own?.endsWith('studio.ts') && grown !== undefined) await benchStudio(grown);
