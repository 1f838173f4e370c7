// The sensor as it runs: a process of its own on a real socket.

import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../core/products';
import { lineCutter, sensorLine, toldText } from './protocol';

const folder = mkdtempSync(join(tmpdir(), 'pots-'));
const path = join(folder, 'pots.sock');
const [product] = SHIPPED_PRODUCTS;
if (!product) throw new Error('no product is shipped');
let child: ChildProcess;
let socket: Socket;
const heard: string[] = [];

const until = async (is: () => boolean): Promise<void> => {
  for (let k = 0; k < 600 && !is(); k++) await new Promise((r) => setTimeout(r, 50));
};
const answers = (): string[] => heard.filter((l) => sensorLine(l)?.kind === 'answer');

beforeAll(async () => {
  child = spawn(process.execPath, ['--import', 'tsx', join('src', 'sim', 'potSensor.ts'), path], {
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  await until(() => existsSync(path));
  socket = connect(path);
  socket.setEncoding('utf8');
  const cut = lineCutter(
    (l) => heard.push(l),
    () => undefined,
  );
  socket.on('data', (chunk: string) => cut(chunk));
  await until(() => heard.length > 0);
}, 60_000);
afterAll(() => {
  socket.destroy();
  child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

describe('the simulated pot sensor', () => {
  it('says at once that it is simulated', () => expect(heard[0]).toBe('STRICKLE-POTS 1 SIMULATED'));
  it('answers every line, and changes nothing by one that is none', async () => {
    socket.write('HELLO\nSET 1 57.0\n');
    await until(() => answers().length >= 2);
    expect(answers()).toEqual(['NO HELLO: not understood', 'NO SET: no pot on 1']);
  });
  it('tells the heat of the pot that it was given, which rises at its pace', async () => {
    const pot = { product, waxG: 300, tempC: 50, setC: 60, roomC: 22 };
    socket.write(`${toldText({ kind: 'pot', channel: 1, pot })}\n${toldText({ kind: 'pace', times: 60 })}\n`);
    const heats = (): number[] =>
      heard.flatMap((l) => {
        const line = sensorLine(l);
        return line?.kind === 'heat' && line.channel === 1 ? [line.tempC] : [];
      });
    await until(() => heats().length >= 2);
    expect(answers().slice(-2)).toEqual(['OK POT', 'OK PACE']);
    // two minutes of its time between two tellings
    expect(heats()[1]).toBeGreaterThan(51);
    expect(heats()[1]).toBeLessThan(60.5);
  }, 40_000);
  it('ends with whoever started it', async () => {
    let ended = false;
    child.on('exit', () => {
      ended = true;
    });
    child.stdin?.end();
    await until(() => ended);
    expect(ended).toBe(true);
  }, 40_000);
});
