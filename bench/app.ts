// The built app on a fresh demo database of its own, for what is measured in a real Chromium.

import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const PORT = 4188;
export const BASE = `http://127.0.0.1:${PORT}`;
export const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? 0;

const answers = (): Promise<boolean> =>
  fetch(`${BASE}/api/health`).then(
    (r) => r.ok,
    () => false,
  );

/** Starts it; gives the function that stops it. */
export async function started(): Promise<() => void> {
  // one that was stopped a moment ago may still answer
  for (let k = 0; k < 40 && (await answers()); k++) await new Promise((r) => setTimeout(r, 250));
  const db = join(mkdtempSync(join(tmpdir(), 'strickle-bench-')), 'comb.sqlite');
  const server = spawn(process.execPath, ['scripts/run.mjs', 'test-server', '--port', String(PORT)], {
    env: { ...process.env, STRICKLE_DB: db },
    stdio: 'ignore',
    detached: true,
  });
  for (let k = 0; k < 1200; k++) {
    if (await answers()) {
      return () => {
        if (server.pid) process.kill(-server.pid, 'SIGKILL');
      };
    } // its data are thrown away, and one that winds down still answers
    await new Promise((r) => setTimeout(r, 500));
  }
  throw new Error('the app did not start');
}
