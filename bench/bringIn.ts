// A table of 20 000 clients with 200 000 past visits on its way in and out again, and the whole studio as one file:
// how long it takes and how long the thread that answers is held. `npm run bench -- --bring-in`.

import { createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { bringIn } from '../src/server/archive/readArchive';
import { writeArchive } from '../src/server/archive/writeArchive';
import { openDatabase, type Db } from '../src/server/db/openDatabase';
import { loadDemo } from '../src/demo/loadDemo';
import { giveUpImport, takeIn } from '../src/server/services/imports';
import { lookAtPast, putDownPast, startPast } from '../src/server/services/pastVisits';

const CLIENTS = 20_000;
const VISITS = 200_000;
const DAY_MS = 86_400_000;
const two = (n: number): string => String(n).padStart(2, '0');

function line(i: number): string {
  const c = i % CLIENTS;
  const on = new Date(Date.UTC(2015, 0, 1) + (i % 3900) * DAY_MS);
  const born = `${two(1 + (c % 28))}/0${1 + (c % 9)}/19${60 + (c % 39)}`;
  const day = `${two(on.getUTCDate())}/${two(on.getUTCMonth() + 1)}/${on.getUTCFullYear()}`;
  return `Person Number ${c};${born};${day};Underarms, upper lip;hard wax;20;18,00;calm ${i}`;
}
const table = (): string =>
  ['client;born;date;service;product;minutes;paid;note', ...Array.from({ length: VISITS }, (_, i) => line(i))].join(
    '\n',
  );

interface Held {
  readonly what: string;
  readonly s: number;
  readonly heldMs: number;
}
async function held(what: string, run: () => Promise<unknown>): Promise<Held> {
  const loop = monitorEventLoopDelay({ resolution: 5 });
  loop.enable();
  const from = performance.now();
  await run();
  loop.disable();
  return { what, s: (performance.now() - from) / 1000, heldMs: loop.percentile(99) / 1e6 };
}

function must<T>(result: { readonly ok: true; readonly value: T } | { readonly ok: false }): T {
  if (!result.ok) throw new Error('refused');
  return result.value;
}

async function taken(db: Db, csv: string): Promise<{ readonly id: string; readonly lines: readonly Held[] }> {
  let guess = must(await putDownPast(db, 'name;date;service\nA;2020-01-01;x\n', Date.now()));
  const down = await held('put down', async () => {
    guess = must(await putDownPast(db, csv, Date.now()));
  });
  const { id, columns, lengths, times } = guess;
  const mapping = { columns, lengths, times, dates: 'dmy' as const };
  let look = await lookAtPast(db, id, mapping);
  const looked = await held('looked through', async () => {
    look = await lookAtPast(db, id, mapping);
  });
  const inside = await held('taken in', async () => {
    must(startPast(db, id, mapping, look));
    await takeIn(db, id);
  });
  return { id, lines: [down, looked, inside] };
}

export async function benchBringIn(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'strickle-bench-'));
  const file = join(folder, 'studio.sqlite');
  const open = openDatabase(file);
  must(loadDemo(open.db, Date.now()));
  const { lines } = await taken(open.db, table());
  const zip = join(folder, 'studio.zip');
  const out = await held('the studio out', () => writeArchive(file, createWriteStream(zip), new Date().toISOString()));
  const into = await held('into an empty one', () => bringIn(zip, join(folder, 'new.sqlite')));
  const second = must(await putDownPast(open.db, table().replaceAll('Person', 'Other'), Date.now()));
  const mapping = { columns: second.columns, dates: 'dmy' as const, lengths: second.lengths, times: second.times };
  must(startPast(open.db, second.id, mapping, await lookAtPast(open.db, second.id, mapping)));
  const taking = takeIn(open.db, second.id);
  await new Promise((resolve) => setTimeout(resolve, 15_000));
  const gone = await held('given up after 15 s, out again', async () => {
    must(giveUpImport(open.db, second.id));
    await taking;
    await takeIn(open.db, second.id);
  });
  console.log(`\n${CLIENTS} clients with ${VISITS} past visits (aim: in within 120 s, thread held ≤ 50 ms)`);
  for (const { what, s, heldMs } of [...lines, out, into, gone]) {
    console.log(`${what.padEnd(34)} ${s.toFixed(1).padStart(7)} s   held p99 ${heldMs.toFixed(0).padStart(4)} ms`);
  }
  console.log(`the file: ${(statSync(zip).size / 1e6).toFixed(1)} MB`);
  open.close();
  rmSync(folder, { recursive: true, force: true });
}
