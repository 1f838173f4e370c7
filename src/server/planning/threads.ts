// Threads in which plans are made. The bundle is made at build; without one (development, tests) the source itself
// runs.

import 'server-only';
import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Piscina } from 'piscina';
import type { PlanAnswer, PlanQuestion } from './plan.thread';

export interface PlanThreads {
  readonly count: number;
  readonly run: (question: PlanQuestion) => Promise<PlanAnswer>;
  readonly close: () => Promise<void>;
}

/** A plan that takes longer has gone wrong: its thread is ended and the case says so. */
const LONGEST_MS = 120_000;

export const BUNDLE = join('.next', 'strickle', 'plan.thread.mjs');

/** @param root folder of the project */
export function planThreads(
  root = process.cwd(),
  count = Math.max(1, Math.min(4, availableParallelism())),
): PlanThreads {
  const bundle = join(root, BUNDLE);
  const isBuilt = existsSync(bundle) && process.env.NODE_ENV === 'production';
  const begin = (): Piscina =>
    new Piscina({
      filename: pathToFileURL(isBuilt ? bundle : join(root, 'src', 'server', 'planning', 'plan.thread.ts')).href,
      execArgv: isBuilt ? [] : ['--import', 'tsx'],
      // built, all are kept: a thread begun anew is several times slower and remembers nothing
      minThreads: isBuilt ? count : 1,
      maxThreads: count,
      concurrentTasksPerWorker: 1,
      // the queue is ours: what is most pressing goes first
      maxQueue: 'auto',
    });
  // not before the first plan: the first page after a start has the machine for itself
  let pool: Piscina | null = null;
  return {
    count,
    run: (question) => {
      pool ??= begin();
      return pool.run(question, { signal: AbortSignal.timeout(LONGEST_MS) }) as Promise<PlanAnswer>;
    },
    close: async () => pool?.destroy(),
  };
}
