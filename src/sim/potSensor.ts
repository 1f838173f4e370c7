// The simulated pot sensor: a small process of its own on a local socket. It ends with the studio's server.
// node --import tsx src/sim/potSensor.ts SOCKET

import { rmSync } from 'node:fs';
import { createServer, type Socket } from 'node:net';
import { seededRandom } from '../core/shared';
import { lineCutter, sensorText, toldLine, type ToldLine } from './protocol';
import { after, probeC, setTo, simulated, withFault, type SimulatedPot } from './simulatedPot';

/** How often each probe tells, ms. */
const TELLS_EVERY_MS = 2000;

const [path] = process.argv.slice(2);
if (path === undefined) {
  process.stderr.write('Use: potSensor.ts SOCKET\n');
  process.exit(2);
}
const random = seededRandom(29);
const pots = new Map<number, SimulatedPot>();
const listeners = new Set<Socket>();
let times = 1;

function change(line: Exclude<ToldLine, { kind: 'pace' }>): boolean {
  const one = pots.get(line.channel);
  if (line.kind === 'pot') pots.set(line.channel, simulated(line.pot));
  else if (!one) return false;
  else pots.set(line.channel, line.kind === 'set' ? setTo(one, line.setC) : withFault(one, line.fault));
  return true;
}

function answer(text: string): string {
  const line = toldLine(text);
  const word = text.split(' ')[0]?.slice(0, 12) ?? '';
  if (!line) return sensorText({ kind: 'answer', ok: false, words: `${word}: not understood` });
  if (line.kind === 'pace') ({ times } = line);
  else if (!change(line)) return sensorText({ kind: 'answer', ok: false, words: `${word}: no pot on ${line.channel}` });
  return sensorText({ kind: 'answer', ok: true, words: word });
}

let lastMs = Date.now();
setInterval(() => {
  const nowMs = Date.now();
  // a machine that slept does not have its pots run ahead
  const seconds = (times * Math.min(nowMs - lastMs, 5 * TELLS_EVERY_MS)) / 1000;
  lastMs = nowMs;
  for (const [channel, before] of pots) {
    const one = after(before, seconds);
    pots.set(channel, one);
    const tempC = probeC(one, random);
    const line =
      tempC === null ? ({ kind: 'lost', channel } as const) : ({ kind: 'heat', channel, atMs: nowMs, tempC } as const);
    for (const to of listeners) to.write(`${sensorText(line)}\n`);
  }
}, TELLS_EVERY_MS);

const server = createServer((socket) => {
  socket.setEncoding('utf8');
  listeners.add(socket);
  socket.write(`${sensorText({ kind: 'hello', simulated: true })}\n`);
  const cut = lineCutter(
    (line) => socket.write(`${answer(line)}\n`),
    () => socket.write(`${sensorText({ kind: 'answer', ok: false, words: 'line too long' })}\n`),
  );
  socket.on('data', (chunk: string) => cut(chunk));
  socket.on('close', () => listeners.delete(socket));
  socket.on('error', () => listeners.delete(socket));
});
// nobody but its owner speaks to it
process.umask(0o077);
// what an earlier run has left behind; a pipe of Windows leaves nothing
if (process.platform !== 'win32') rmSync(path, { force: true });
server.on('error', (error) => {
  process.stderr.write(`${error.message}\n`);
  process.exit(3);
});
server.listen(path);
// the server that started it holds its input open: it ends when that is gone, however it went
process.stdin.resume();
process.stdin.on('end', () => process.exit(0));
process.stdin.on('error', () => process.exit(0));
