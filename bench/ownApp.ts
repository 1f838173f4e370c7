// The built app in front of a copy of a grown studio, for the benches: started on this machine only, asked with one
// tablet's cookie, its processor time and memory read from the system.

import { spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const PORT = 4177;
const BASE = `http://127.0.0.1:${PORT}`;
const COOKIE = 'strickle-tablet=the-tablet-of-the-bench-0123456789abcdef';
const headers = { cookie: COOKIE, 'content-type': 'application/json' };

export const get = (path: string, more: Readonly<Record<string, string>> = {}): Promise<Response> =>
  fetch(BASE + path, { headers: { ...headers, ...more } });
export const send = (method: string, path: string, body: unknown): Promise<Response> =>
  fetch(BASE + path, { method, headers, body: JSON.stringify(body) });
export const json = async <T>(answer: Promise<Response>): Promise<T> => (await (await answer).json()) as T;
export const pause = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));

export interface OwnApp {
  readonly startedMs: number;
  readonly stop: () => void;
  /** Processor time of the thread that answers requests, ms. */
  readonly cpuMs: () => number;
  /** How long the thread that answers was held since this was last asked, ms. */
  readonly held: () => Promise<{ readonly p99Ms: number; readonly maxMs: number }>;
  /** Memory in use, MB. */
  readonly residentMb: () => number;
}

/** The serving process: a child of the one that was started. */
function serverOf(pid: number): number {
  const children = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ');
  return Number(children.find((c) => readFileSync(`/proc/${c}/cmdline`, 'utf8').includes('serve.mjs')) ?? pid);
}

/** The first task of a process is its main thread: the one that answers requests. */
function cpuOf(pid: number): number {
  const tick = 10; // 100 ticks a second on Linux
  const [first] = readdirSync(`/proc/${pid}/task`);
  const fields =
    readFileSync(`/proc/${pid}/task/${first ?? pid}/stat`, 'utf8')
      .split(') ')[1]
      ?.split(' ') ?? [];
  return tick * (Number(fields[11]) + Number(fields[12]));
}

export async function ownApp(grown: string): Promise<OwnApp> {
  const folder = mkdtempSync(join(tmpdir(), 'strickle-bench-'));
  const file = join(folder, 'studio.sqlite');
  copyFileSync(grown, file);
  const loopFile = join(folder, 'loop.json');
  const env = {
    ...process.env,
    STRICKLE_DB: file,
    STRICKLE_CARE: 'off',
    STRICKLE_LOOP_FILE: loopFile,
    NODE_OPTIONS: `--import ${pathToFileURL('bench/loopDelay.mjs').href}`,
  };
  const from = performance.now();
  const child: ChildProcess = spawn(process.execPath, ['scripts/run.mjs', 'start', '--port', String(PORT)], {
    env,
    stdio: 'ignore',
    detached: true,
  });
  for (let k = 0; k < 2000; k++) {
    const up = await get('/').then(
      (r) => r.ok,
      () => false,
    );
    if (up && child.pid) {
      const server = serverOf(child.pid);
      const group = child.pid;
      return {
        startedMs: performance.now() - from,
        stop: () => process.kill(-group, 'SIGTERM'),
        cpuMs: () => cpuOf(server),
        held: async () => {
          rmSync(loopFile, { force: true });
          process.kill(server, 'SIGUSR2');
          for (let k = 0; k < 500 && !existsSync(loopFile); k++) await pause(4);
          await pause(20);
          // written by bench/loopDelay.mjs
          return JSON.parse(readFileSync(loopFile, 'utf8')) as { p99Ms: number; maxMs: number };
        },
        residentMb: () =>
          Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server}/status`, 'utf8'))?.[1] ?? 0) / 1024,
      };
    }
    await pause(20);
  }
  if (child.pid) process.kill(-child.pid, 'SIGKILL');
  throw new Error('the server did not start');
}

export const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
