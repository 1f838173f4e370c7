// A server of a test's own, on its own data, that can be killed as a machine dies and started again.

import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, openSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A port that nobody listens on: a server left over from an earlier run must never answer for this one. */
const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer()
      .on('error', reject)
      .listen(0, '127.0.0.1', () => {
        const address = probe.address();
        probe.close(() =>
          typeof address === 'object' && address ? resolve(address.port) : reject(new Error('no port')),
        );
      });
  });

const isUp = (base: string): Promise<boolean> =>
  fetch(`${base}/api/health`).then(
    (r) => r.ok,
    () => false,
  );

export interface OwnServer {
  readonly base: string;
  /** What it has printed and logged so far. */
  readonly said: () => string;
  readonly start: () => Promise<void>;
  /** Kill −9, and waits until nothing answers. */
  readonly kill: () => Promise<void>;
}

/**
 * @param mode the invented studio, or an empty one
 * @param flags as on the command line
 */
export async function ownServer(mode: 'demo' | 'start' = 'demo', ...flags: readonly string[]): Promise<OwnServer> {
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const folder = mkdtempSync(join(tmpdir(), 'strickle-own-'));
  const env = {
    ...process.env,
    STRICKLE_DB: join(folder, 'studio.sqlite'),
    STRICKLE_CARE: 'off',
    // everything that there is to be logged
    STRICKLE_LOG: 'trace',
    STRICKLE_DEMO_SENSOR: 'off',
  };
  const saidIn = join(folder, 'said.log');
  const said = openSync(saidIn, 'a');
  let child: ChildProcess | null = null;
  return {
    base,
    said: () => readFileSync(saidIn, 'utf8'),
    start: async () => {
      child = spawn(process.execPath, ['scripts/run.mjs', mode, '--port', String(port), ...flags], {
        env,
        detached: true,
        stdio: ['ignore', said, said],
      });
      for (let k = 0; k < 600; k++) {
        if (await isUp(base)) return;
        await new Promise((r) => setTimeout(r, 200));
      }
      throw new Error('the server did not start');
    },
    kill: async () => {
      try {
        if (child?.pid) process.kill(-child.pid, 'SIGKILL');
      } catch {
        // it is gone already
      }
      for (let k = 0; k < 200 && (await isUp(base)); k++) await new Promise((r) => setTimeout(r, 50));
    },
  };
}
