// What the scripts share: refusals as one plain line, a passphrase that is typed unseen, the time in a file's name.

import { createInterface } from 'node:readline';
import { Writable } from 'node:stream';
import { DatabaseRefused } from '../src/server/db/openDatabase';

/** Runs a script; a refusal is a line on standard error and exit 3. */
export async function said(run: () => Promise<void>): Promise<void> {
  try {
    await run();
  } catch (error) {
    if (!(error instanceof DatabaseRefused)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 3;
  }
}

/** `2027-05-08-081503`, for names of files. */
export const stamp = (): string => {
  const now = new Date();
  const two = (n: number): string => String(n).padStart(2, '0');
  const day = [now.getFullYear(), two(now.getMonth() + 1), two(now.getDate())].join('-');
  return `${day}-${two(now.getHours())}${two(now.getMinutes())}${two(now.getSeconds())}`;
};

const SHORTEST = 8;

function unseen(question: string): Promise<string> {
  process.stderr.write(question);
  const nowhere = new Writable({ write: (_chunk, _encoding, done) => done() });
  const lines = createInterface({ input: process.stdin, output: nowhere, terminal: process.stdin.isTTY === true });
  return new Promise((resolve) => {
    lines.once('close', () => resolve(''));
    lines.once('line', (line) => {
      resolve(line);
      lines.close();
      process.stderr.write('\n');
    });
  });
}

/** From STRICKLE_PASSPHRASE, else typed. */
export async function typedPassphrase(question: string, isNew: boolean): Promise<string> {
  const given = process.env['STRICKLE_PASSPHRASE'] ?? (await unseen(question));
  if (isNew && given.length < SHORTEST) throw new DatabaseRefused(`A passphrase has at least ${SHORTEST} letters.`);
  return given;
}
