// The twenty-year studio with the built app in front: server time of every page and API (medians over a few asks, the
// first apart), how long exports, imports and planning hold the thread that answers, the table's acts, memory. Bounded,
// to this machine only. `node --import tsx bench/studio.ts FILE [MINUTES]`, FILE from bench/grow.ts; with MINUTES mixed
// use goes on for so long and memory is read at its tenths.

import { existsSync } from 'node:fs';
import { at, get, json, ownApp, pause, send, type OwnApp } from './ownApp';

const ASKS = 9;
const AIM_MS = 150;
const HELD_AIM_MS = 50;

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

const UNDERARM = [{ zone: 'underarm', side: 'left' }];
async function opened(clientId: string, zones: readonly object[] = UNDERARM): Promise<Bench> {
  const { visitId } = await json<{ visitId: string }>(send('POST', '/api/visits', { clientId, zones }));
  return json<Bench>(get(`/api/visits/${visitId}?plan=wait`));
}

async function pages(): Promise<readonly Timed[]> {
  const bench = await opened('c0');
  const here = `/visits/${bench.visit.id}`;
  const [zone] = bench.zones;
  if (!zone) throw new Error('a zone');
  let { version } = bench.visit;
  const chart = async (): Promise<Response> => {
    const path = `/api${here}/charts/${zone.zone}/${zone.side}`;
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
    await timed('who is ready when', () => get('/ready')),
    await timed('week', () => get('/week')),
    await timed('post box', () => get('/post')),
    await timed('progress, 240 visits', () => get('/clients/c0/progress')),
    await timed('free places, 240 visits', () => get(`/api${here}/slots`)),
    await timed('search', () => get('/api/clients', { 'x-search': 'ada br' })),
    await timed('card, 240 visits', () => get('/clients/c0')),
    ...(await inTurn(stations.map((s) => () => timed(`${s}, 240 visits`, () => get(`${here}/${s}`))))),
    await timed('bench, 240 visits', () => get(`/api${here}`)),
    await timed('PUT chart, 240 visits', chart),
    await timed('put-off proposal', () => get(`/api${here}/put-off`)),
    await timed('strips PDF', () => get(`/api${here}/strips`)),
    await timed('shelf', () => get('/shelf')),
    await timed('pots', () => get('/pots')),
    await timed('kitchen', () => get('/kitchen')),
    await timed('ledger, sums of half a year', () => get('/ledger')),
    await timed('ledger, a day', () => get('/ledger/day')),
    await timed('ledger, the book', () => get('/ledger/book')),
    await timed('settings', () => get('/studio/people')),
    await timed('rules', () => get('/rules')),
    await timed('products', () => get('/products')),
    await timed('prices', () => get('/prices')),
    await timed('import, look at one line', () => send('POST', '/api/clients/import/look', { csv })),
  ];
}

async function inTurn<T>(runs: readonly (() => Promise<T>)[]): Promise<readonly T[]> {
  const out: T[] = [];
  for (const run of runs) out.push(await run());
  return out;
}

/** What goes out and comes in piece by piece: how long it takes, and how long it holds the thread meanwhile. */
async function streams(app: OwnApp): Promise<void> {
  const lines = Array.from({ length: 5000 }, (_, i) => `New Client ${Date.now()} ${i},1990-05-31,0555 ${i}`);
  const csv = `name,born_on,phone\n${lines.join('\n')}\n`;
  const whole = async (answer: Promise<Response>): Promise<void> => {
    const r = await answer;
    await r.arrayBuffer();
    if (!r.ok) throw new Error(String(r.status));
  };
  const takeIn = async (): Promise<void> => {
    let p = await json<{ id: string; taken: number; total: number }>(send('POST', '/api/clients/import', { csv }));
    while (p.taken < p.total) {
      await pause(100);
      p = await json(get(`/api/clients/import/${p.id}`));
    }
  };
  const runs: readonly (readonly [string, () => Promise<void>])[] = [
    ['who is ready when, with sugar', () => whole(get('/api/ready?with=sugar'))],
    ['record JSON, 240 visits', () => whole(get('/api/clients/c0/record'))],
    ['record PDF, 240 visits', () => whole(get('/api/clients/c0/record?as=pdf'))],
    ['export CSV, every client', () => whole(get('/api/clients/export'))],
    ['import, look at 5000 lines', () => whole(send('POST', '/api/clients/import/look', { csv }))],
    ['import, 5000 lines', takeIn],
    ['plans of six large visits', planning],
  ];
  for (const [what, run] of runs) {
    const from = performance.now();
    await app.held();
    await run();
    const { p99Ms, maxMs } = await app.held();
    const mark = p99Ms <= HELD_AIM_MS ? '' : `  OVER ${HELD_AIM_MS}`;
    const ms = (performance.now() - from).toFixed(0).padStart(6);
    console.log(
      `  ${what.padEnd(30)} ${ms} ms  thread held ${p99Ms.toFixed(0)} (99 %), ${maxMs.toFixed(0)} at most${mark}`,
    );
  }
}

async function planning(): Promise<void> {
  const zones = ['upper-back', 'chest', 'abdomen'].map((zone) => ({ zone, side: 'middle' }));
  await Promise.all([1, 2, 3, 4, 5, 6].map((k) => opened(`c${700 + k}`, zones)));
}

interface Pace {
  readonly acts: number;
  readonly p50: number;
  readonly p99: number;
  readonly lost: number;
  readonly wrong: number;
  readonly cpuMs: number;
}

/** Tablets at a steady pace; each sends what waits, one request at a time, as the pages do. */
async function table(app: OwnApp, tablets: number, perS: number, forS: number): Promise<Pace> {
  const benches: Bench[] = [];
  // a client whose hair is too short has no strips to mark
  for (let c = 100; benches.length < tablets; c++) {
    const bench = await opened(`c${c}`);
    if (bench.plan.zones[0]?.strips[0]) benches.push(bench);
  }
  const waits: number[] = [];
  const cpuBefore = app.cpuMs();
  const start = performance.now();
  const idOf = (t: number, k: number): string => `b${tablets}-${perS}-${t}-${k}`;
  const acts = perS * forS;
  const dueMs = (k: number): number => start + (1000 * k) / perS;
  const tablet = async ({ visit, plan, planHash }: Bench, t: number): Promise<void> => {
    const strip = plan.zones[0]?.strips[0]?.id;
    for (let k = 0; k < acts;) {
      await pause(Math.max(0, dueMs(k) - performance.now()));
      const due = Array.from({ length: acts - k }, (_, i) => k + i).filter((i) => dueMs(i) <= performance.now());
      const events = due.map((i) => ({
        id: idOf(t, i),
        atMs: 1_800_000_000_000 + i,
        kind: 'mark',
        strip,
        mark: 'clean',
      }));
      const body = { events, plan: planHash, after: Number.MAX_SAFE_INTEGER };
      const answer = await send('POST', `/api/visits/${visit.id}/journal`, body);
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`an act was refused: ${answer.status}`);
      waits.push(...due.map((i) => performance.now() - dueMs(i)));
      k += due.length;
    }
  };
  await Promise.all(benches.map((b, t) => tablet(b, t)));
  const cpuMs = (app.cpuMs() - cpuBefore) / waits.length;
  let [lost, wrong] = [0, 0];
  for (const [t, { visit }] of benches.entries()) {
    const { entries } = await json<{ entries: { event: { id: string } }[] }>(get(`/api/visits/${visit.id}/journal`));
    const ids = entries.map((e) => e.event.id);
    const wanted = Array.from({ length: acts }, (_, k) => idOf(t, k));
    lost += wanted.filter((id) => !ids.includes(id)).length;
    wrong += ids.length - new Set(ids).size + ids.filter((id, i) => wanted.includes(id) && id !== wanted[i]).length;
  }
  waits.sort((a, b) => a - b);
  return { acts: waits.length, p50: at(waits, 0.5), p99: at(waits, 0.99), lost, wrong, cpuMs };
}

/** A day's mixture, again and again; memory at its tenths. */
async function mixedUse(app: OwnApp, minutes: number): Promise<void> {
  const end = performance.now() + minutes * 60_000;
  const seen: number[] = [];
  for (let k = 0; performance.now() < end; k++) {
    const { visit } = await opened(`c${1000 + (k % 5000)}`);
    const asked = ['/', '/clients', `/clients/c${k % 9000}`, `/visits/${visit.id}/match`, `/visits/${visit.id}/work`];
    for (const path of asked) await (await get(path)).arrayBuffer();
    await (await get(`/api/clients/c${k % 9000}/record`)).arrayBuffer();
    if (performance.now() > end - minutes * 60_000 + ((seen.length + 1) * minutes * 60_000) / 10) {
      seen.push(app.residentMb());
    }
  }
  console.log(`  ${minutes} min of mixed use, memory in MB: ${seen.map((mb) => mb.toFixed(0)).join(' ')}`);
}

export async function benchStudio(grown: string, minutes = 0): Promise<void> {
  if (!existsSync(grown)) {
    throw new Error(`${grown} is not there: node --import tsx --conditions=react-server bench/grow.ts ${grown}`);
  }
  const app = await ownApp(grown);
  try {
    const start = (app.startedMs / 1000).toFixed(1);
    console.log(`\nThe twenty-year studio\n  start to the first page ${start} s, the build's own check included`);
    for (const t of await pages()) {
      const mark = t.medianMs <= AIM_MS ? '' : `  OVER ${AIM_MS}`;
      console.log(
        `  ${t.what.padEnd(30)} ${t.medianMs.toFixed(0).padStart(6)} ms  first ${t.firstMs.toFixed(0)}${mark}`,
      );
    }
    await streams(app);
    for (const [tablets, perS, forS] of [
      [1, 20, 10],
      [20, 5, 20],
      [20, 10, 60],
    ] as const) {
      const p = await table(app, tablets, perS, forS);
      const waits = `half within ${p.p50.toFixed(0)} ms, 99 of 100 within ${p.p99.toFixed(0)} ms`;
      const whole = `${p.lost} lost, ${p.wrong} doubled or out of order, ${p.cpuMs.toFixed(1)} ms of the thread an act`;
      console.log(`  ${tablets} tablets × ${perS} acts/s for ${forS} s: ${p.acts} acts, ${waits}; ${whole}`);
    }
    console.log(`  memory ${app.residentMb().toFixed(0)} MB`);
    if (minutes > 0) await mixedUse(app, minutes);
  } finally {
    app.stop();
  }
}

const [own, grown, minutes] = process.argv.slice(1);
if (own?.endsWith('studio.ts') && grown !== undefined) await benchStudio(grown, Number(minutes ?? 0));
