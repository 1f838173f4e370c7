// What the server does when it starts and beside its requests: holds the data file, plans in threads, makes the day's
// backup, looks through the file page by page, tidies away what nobody will ask for again.

import { readInOf } from './readIn';
import 'server-only';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ENDS_AFTER_MS, signsIn } from './auth/sessions';
import { civilDateAt, nowMs } from './clock';
import { getDb, holdDb } from './db/client';
import { databaseFile } from './env';
import { listen, tell } from './events';
import { noteFileFault } from './fileHealth';
import { fastRoute } from './http/fastRoutes';
import { keepTerms } from './keepingCare';
import { log } from './log';
import { planInThreads } from './planning/planner';
import { planThreads } from './planning/threads';
import { warmUp } from './planning/warmUp';
import { dropRequestsBefore } from './repos/groundRepo';
import { dropPairingsBefore, dropSessionsBefore } from './repos/doorRepo';
import { dropOldPlans } from './repos/planRepo';
import { watchPots } from './pots/watch';
import { readStudio } from './repos/studioRepo';
import { resumeImports } from './services/imports';
import { endKeptConsents, sweepFile } from './services/erase';
import { fillWorked } from './services/fillWorked';
import { lookThroughTrail } from './trailCare';
import { dropOldUploads } from './uploads';
import { mendTimeZone } from './services/timeZone';
import { plansAhead } from './services/plansAhead';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** Tablets send again what was not answered for as long as this. */
const REQUESTS_KEPT_MS = 60 * DAY_MS;
/** Looks ahead at bookings long past. */
const LOOKS_KEPT_MS = 7 * DAY_MS;
/** The first page comes first. */
const FIRST_CARE_MS = 20_000;
const FIRST_WARM_MS = 4_000;
const FIRST_IMPORT_MS = 3_000;
const AFTER_CHANGE_MS = 1_500;
/** From the first page on, which asks for the plans of its day. */
const FIRST_PLANS_S = 1.2;
const FIRST_POTS_MS = 1_500;

/** Runs one of our scripts beside the server; it reads the file by itself and touches no request. */
function beside(script: string, args: readonly string[], whenBad: string, onBad: () => void = () => undefined): void {
  const options = { stdio: 'ignore' as const, env: { ...process.env, STRICKLE_DB: databaseFile() } };
  const flags = ['--import', 'tsx', '--conditions=react-server'];
  const child = spawn(process.execPath, [...flags, join('scripts', script), ...args], options);
  child.on('exit', (code) => {
    if (code === 0) return;
    log.error({ script, code }, whenBad);
    onBad();
  });
  child.on('error', () => log.error({ script }, whenBad));
  child.unref();
}

function care(): void {
  try {
    const db = getDb();
    const today = civilDateAt(nowMs(), readStudio(db)?.timeZone ?? 'UTC');
    dropRequestsBefore(db, nowMs() - REQUESTS_KEPT_MS);
    dropOldPlans(db, nowMs() - LOOKS_KEPT_MS);
    if (endKeptConsents(db, nowMs())) sweepFile(db);
    keepTerms(db);
    dropOldUploads(nowMs());
    dropPairingsBefore(db, nowMs() - DAY_MS);
    dropSessionsBefore(db, nowMs() - ENDS_AFTER_MS);
    void lookThroughTrail(db).catch(() => log.error({}, 'the trail was not looked through'));
    beside('backup.ts', ['--day', today], 'the daily backup was not made');
  } catch (error) {
    log.error({ kind: error instanceof Error ? error.name : 'unknown' }, 'the hourly care failed');
  }
}

const NOT_AHEAD = 'the day was not planned ahead';
/** Work that nobody waits for: a fault in it is logged and ends nothing. */
function quietly(whenBad: string, run: () => void): void {
  try {
    run();
  } catch (error) {
    log.error({ kind: error instanceof Error ? error.name : 'unknown' }, whenBad);
  }
}

/** What plans are made by was changed: those of the day are made anew before anyone asks. */
function warmAfterChanges(): void {
  let timer: ReturnType<typeof setTimeout> | null = null;
  listen(({ event }) => {
    if (event.kind !== 'studio') return;
    // of many steps of one slider only the last counts
    if (timer) clearTimeout(timer);
    timer = setTimeout(() => quietly(NOT_AHEAD, () => plansAhead(getDb(), nowMs())), AFTER_CHANGE_MS);
  });
}

/** Once a process, before the first request. */
export function startUp(): void {
  holdDb();
  const mended = mendTimeZone(getDb());
  readInOf(getDb());
  sweepFile(getDb(), true);
  if (mended !== null) log.warn({ mended }, 'the time zone of the studio could not be used; it is the machine’s now');
  // for the script that runs the server (scripts/serve.mjs)
  (globalThis as typeof globalThis & { strickleFast?: typeof fastRoute }).strickleFast = fastRoute;
  (globalThis as typeof globalThis & { strickleSignsIn?: () => boolean }).strickleSignsIn = () => signsIn(getDb());
  const threads = planThreads();
  const onMade: Parameters<typeof planInThreads>[2] = (hash, owner) => {
    tell({ kind: 'plan', visitId: owner?.kind === 'visit' ? owner.id : null, hash });
    if (owner?.kind === 'booking') tell({ kind: 'day' });
  };
  planInThreads(threads.count, threads.run, onMade, FIRST_PLANS_S);
  setTimeout(() => {
    quietly('tables of clients were not taken up again', () => resumeImports(getDb(), nowMs()));
  }, FIRST_IMPORT_MS).unref();
  warmAfterChanges();
  setTimeout(watchPots, FIRST_POTS_MS).unref();
  if (process.env['STRICKLE_CARE'] === 'off') return;
  setTimeout(() => void warmUp(threads), FIRST_WARM_MS).unref();
  setTimeout(() => {
    beside('checkFile.ts', [], 'the data file does not stand a look at every page', noteFileFault);
    quietly(NOT_AHEAD, () => plansAhead(getDb(), nowMs()));
    fillWorked(getDb());
    care();
  }, FIRST_CARE_MS).unref();
  setInterval(care, HOUR_MS).unref();
}
