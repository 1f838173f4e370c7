// The thread in which the studio's ready windows are worked out: started when first asked for, ended when idle.

import 'server-only';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Piscina } from 'piscina';
import type { Forecast, ForecastItem } from './forecast.thread';

const IDLE_MS = 60_000;
const LONGEST_MS = 60_000;

let pool: Piscina | null = null;

function threadPool(): Piscina {
  if (pool) return pool;
  const bundle = join(process.cwd(), '.next', 'strickle', 'forecast.thread.mjs');
  const isBuilt = existsSync(bundle) && process.env.NODE_ENV === 'production';
  const source = join(process.cwd(), 'src', 'server', 'planning', 'forecast.thread.ts');
  pool = new Piscina({
    filename: pathToFileURL(isBuilt ? bundle : source).href,
    execArgv: isBuilt ? [] : ['--import', 'tsx'],
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
  });
  return pool;
}

/** Windows in the order of the items. */
export const forecastBeside = (items: readonly ForecastItem[]): Promise<readonly Forecast[]> =>
  threadPool().run(items, { signal: AbortSignal.timeout(LONGEST_MS) }) as Promise<readonly Forecast[]>;
