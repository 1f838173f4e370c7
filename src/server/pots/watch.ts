// Minds the pots beside the requests: tells the pages, writes down what the probes tell, looks what the next visits
// want of them.

import 'server-only';
import { nowMs } from '../clock';
import { getDb } from '../db/client';
import { listen } from '../events';
import { log } from '../log';
import { dropPotHeatsBefore, readPots } from '../repos/potRepo';
import { nextPots } from '../services/nextPots';
import { keepHeats, setNextWindows, tellPots } from './live';
import { startSensor } from './sensor';

const LOOK_MS = 5_000;
/** After a change of the day or of a plan; many come at once. */
const AFTER_CHANGE_MS = 4_000;
/** The next visit is another one as the day goes on. */
const NEXT_MS = 60_000;
const KEPT_MS = 8 * 24 * 3_600_000;
const CHANGES = new Set(['day', 'plan', 'visit', 'ended', 'studio']);

function quietly(run: () => void): void {
  try {
    run();
  } catch (error) {
    log.error({ kind: error instanceof Error ? error.name : 'unknown' }, 'the pots could not be looked at');
  }
}

const look = (): void =>
  quietly(() => {
    keepHeats(getDb(), nowMs());
    tellPots(getDb(), nowMs());
  });

const lookAhead = (): void =>
  quietly(() => {
    if (readPots(getDb()).length > 0) setNextWindows(nextPots(getDb(), nowMs()));
    tellPots(getDb(), nowMs());
  });

/** Once a process. */
export function watchPots(): void {
  quietly(startSensor);
  lookAhead();
  setInterval(look, LOOK_MS).unref();
  setInterval(lookAhead, NEXT_MS).unref();
  let timer: ReturnType<typeof setTimeout> | null = null;
  listen(({ event }) => {
    if (!CHANGES.has(event.kind)) return;
    timer ??= setTimeout(() => {
      timer = null;
      lookAhead();
    }, AFTER_CHANGE_MS);
  });
  quietly(() => dropPotHeatsBefore(getDb(), nowMs() - KEPT_MS));
}
