// The line to the pot sensor. The simulated one is a small process of its own (src/sim), started where a pot is to be
// told by it, started again when it ends, and spoken to over a local socket in its own language.

import 'server-only';
import { spawn, type ChildProcess } from 'node:child_process';
import { createHash } from 'node:crypto';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { lineCutter, sensorLine, toldText, type PotFault, type ToldLine } from '../../sim/protocol';
import { nowMs } from '../clock';
import { getDb } from '../db/client';
import type { Db } from '../db/openDatabase';
import { databaseFile } from '../env';
import { log } from '../log';
import { lastMeasured, lastPotHeat, readPots } from '../repos/potRepo';
import { readStudio } from '../repos/studioRepo';
import { forgetProbe, heardHeat } from './live';

interface Sensor {
  child: ChildProcess | null;
  socket: Socket | null;
  /** Starts in a row that came to nothing. */
  failures: number;
  timer: ReturnType<typeof setTimeout> | null;
}
const holder = globalThis as typeof globalThis & { strickleSensor?: Sensor };
const sensor = (): Sensor => (holder.strickleSensor ??= { child: null, socket: null, failures: 0, timer: null });

/** The process needs a moment before its socket is there, ms. */
const CONNECT_AGAIN_MS = 700;
const MOST_WAIT_MS = 60_000;
/** Sockets with longer paths cannot be made. */
const MOST_PATH = 100;
/** Older heats say nothing of a pot that stood over night: it has come to its setting or to the room, ms. */
const HEAT_LASTS_MS = 2 * 3_600_000;

/** Beside the data file, whose folder only its owner may enter. */
export function sensorPath(file = databaseFile()): string {
  const name = createHash('sha256').update(file).digest('hex').slice(0, 12);
  if (process.platform === 'win32') return `\\\\.\\pipe\\strickle-pots-${name}`;
  const beside = join(dirname(file), `pots-${name}.sock`);
  return beside.length <= MOST_PATH ? beside : join(tmpdir(), `strickle-pots-${name}.sock`);
}

const isWanted = (db: Db): boolean => readPots(db).some(({ pot }) => pot.sensor === 'simulated');

function later(run: () => void, ms: number): void {
  const s = sensor();
  if (s.timer) clearTimeout(s.timer);
  s.timer = setTimeout(run, ms);
  s.timer.unref();
}

/** How warm a pot was when last heard of; one that stood for long has come to its setting or to the room. */
function lastKnownC(db: Db, potId: string, setC: number | null, roomC: number): number {
  const [heat, note] = [lastPotHeat(db, potId), lastMeasured(db, potId)];
  const last = note && note.atMs > (heat?.atMs ?? 0) ? note : heat;
  if (last?.tempC === undefined || last.tempC === null) return roomC;
  return nowMs() - last.atMs <= HEAT_LASTS_MS ? last.tempC : (setC ?? roomC);
}

/** Says to the sensor what stands under its probes. */
function sayPots(db: Db, only?: string): void {
  const roomC = readStudio(db)?.settings.roomC ?? 22;
  for (const { pot, product } of readPots(db)) {
    if (pot.sensor !== 'simulated' || (only !== undefined && pot.id !== only)) continue;
    const { setC, channel } = pot;
    const waxG = Math.max(20, pot.waxG);
    say({ kind: 'pot', channel, pot: { product, waxG, setC, roomC, tempC: lastKnownC(db, pot.id, setC, roomC) } });
  }
}

function say(line: ToldLine): void {
  sensor().socket?.write(`${toldText(line)}\n`);
}

function hear(text: string): void {
  const line = sensorLine(text);
  if (line?.kind === 'hello') {
    sensor().failures = 0;
    sayPots(getDb());
  }
  // by our own clock: a page compares it with that
  if (line?.kind === 'heat') heardHeat(line.channel, { atMs: nowMs(), tempC: line.tempC });
  if (line?.kind === 'answer' && !line.ok) log.warn({ answer: line.words }, 'the pot sensor did not take a line');
}

function connectTo(path: string): void {
  const s = sensor();
  const socket = connect(path);
  socket.setEncoding('utf8');
  socket.unref();
  const cut = lineCutter(hear, () => socket.destroy());
  socket.on('connect', () => {
    s.socket = socket;
  });
  socket.on('data', (chunk: string) => cut(chunk));
  socket.on('error', () => socket.destroy());
  socket.on('close', () => {
    if (s.socket === socket) s.socket = null;
    // it may not have opened its socket yet; where it has ended it is started again below
    if (s.child) later(() => connectTo(path), CONNECT_AGAIN_MS);
  });
}

function start(): void {
  const s = sensor();
  if (s.child || !isWanted(getDb())) return;
  const path = sensorPath();
  const child = spawn(process.execPath, ['--import', 'tsx', join('src', 'sim', 'potSensor.ts'), path], {
    // its input stays open for as long as this process lives: with it the sensor ends
    stdio: ['pipe', 'ignore', 'ignore'],
  });
  s.child = child;
  const ended = (): void => {
    if (s.child !== child) return;
    s.child = null;
    s.failures++;
    const waitMs = Math.min(MOST_WAIT_MS, CONNECT_AGAIN_MS * 2 ** s.failures);
    log.warn({ waitMs }, 'the simulated pot sensor ended; it is started again');
    later(start, waitMs);
  };
  child.on('exit', ended);
  child.on('error', ended);
  child.stdin?.on('error', () => undefined);
  child.unref();
  later(() => connectTo(path), CONNECT_AGAIN_MS);
}

/** What is told by the sensor has changed: it is started where it is wanted, and hears of this pot anew. */
export function sensorChanged(db: Db, pot: { readonly id: string; readonly channel: number }): void {
  forgetProbe(pot.channel);
  if (!isWanted(db)) return;
  if (sensor().socket) sayPots(db, pot.id);
  else start();
}
/** The thermostat of a pot was set. */
export const sensorSet = (channel: number, setC: number | null): void => say({ kind: 'set', channel, setC });
/** A fault is tried out. */
export const sensorFault = (channel: number, fault: PotFault): void => say({ kind: 'fault', channel, fault });

/** Starts the sensor where some pot wants one. */
export const startSensor = (): void => start();
