// Loaded into the server under the bench (NODE_OPTIONS): how long its thread was held, written to a file at each
// SIGUSR2 and counted anew from there.

import { writeFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

const to = process.env.STRICKLE_LOOP_FILE;
if (isMainThread && to !== undefined && process.argv[1]?.endsWith('serve.mjs')) {
  const delay = monitorEventLoopDelay({ resolution: 2 });
  delay.enable();
  process.on('SIGUSR2', () => {
    writeFileSync(to, JSON.stringify({ p99Ms: delay.percentile(99) / 1e6, maxMs: delay.max / 1e6 }));
    delay.reset();
  });
}
