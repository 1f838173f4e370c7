// The whole studio out and in as one file, by processes beside the server: a studio of twenty years takes minutes.

import 'server-only';
import { execFile, spawn } from 'node:child_process';
import { createWriteStream, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { pipeline } from 'node:stream/promises';
import { ok } from '../../core/shared';
import { databaseFile } from '../env';
import { refused, type ServiceResult } from '../errors';
import { log } from '../log';

const flags = (script: string): readonly string[] => [
  '--import',
  'tsx',
  '--conditions=react-server',
  join('scripts', script),
];
const env = (): NodeJS.ProcessEnv => ({ ...process.env, STRICKLE_DB: databaseFile() });

/** The archive as it is written; who stops reading stops the writing. */
export function archiveStream(): ReadableStream<Uint8Array> {
  const child = spawn(process.execPath, [...flags('archive.ts'), '-'], {
    stdio: ['ignore', 'pipe', 'ignore'],
    env: env(),
  });
  child.on('error', () => log.error({}, 'the archive was not written'));
  child.on('exit', (code) => {
    // a file that ends too early is no archive: it must not look like a whole one
    if (code !== 0) child.stdout.destroy(new Error('the archive was not written to its end'));
  });
  child.stdout.on('close', () => child.kill());
  return Readable.toWeb(child.stdout) as ReadableStream<Uint8Array>;
}

export interface BroughtIn {
  readonly studio: string;
  readonly clients: number;
  readonly visits: number;
}

/** The largest archive that is taken. */
const MOST_BYTES = 4_000_000_000;
const MOST_MS = 30 * 60_000;
let isUnderWay = false;

async function put(body: ReadableStream<Uint8Array>, file: string): Promise<void> {
  let size = 0;
  const source = Readable.fromWeb(body as NodeStream<Uint8Array>);
  source.on('data', (chunk: Uint8Array) => {
    size += chunk.byteLength;
    if (size > MOST_BYTES) source.destroy(new Error('too large'));
  });
  await pipeline(source, createWriteStream(file, { mode: 0o600 }));
}

function run(file: string): Promise<ServiceResult<BroughtIn>> {
  return new Promise((resolve) => {
    const options = { env: env(), timeout: MOST_MS };
    execFile(process.execPath, [...flags('bringIn.ts'), file], options, (error, out, words) => {
      const why = words.trim().split('\n').at(-1) ?? '';
      if (error) {
        resolve(refused(error.code === 3 ? why : 'The archive could not be brought in. Nothing was changed.', 'file'));
      } else resolve(ok(JSON.parse(out) as BroughtIn)); // written by scripts/bringIn.ts
    });
  });
}

/** Brings an archive into this studio, which is still empty. */
export async function bringInBeside(request: Request): Promise<ServiceResult<BroughtIn>> {
  if (!request.body) return refused('There is no file.', 'file');
  if (isUnderWay) return refused('An archive is being brought in already.', 'file');
  isUnderWay = true;
  const file = `${databaseFile()}.archive`;
  try {
    await put(request.body, file);
    return await run(file);
  } finally {
    rmSync(file, { force: true });
    isUnderWay = false;
  }
}
