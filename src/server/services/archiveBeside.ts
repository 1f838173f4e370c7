// The whole studio out and in as one file, by processes beside the server: a studio of twenty years takes minutes.

import 'server-only';
import { execFile, spawn } from 'node:child_process';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { ok } from '../../core/shared';
import { databaseFile } from '../env';
import { refused, type ServiceResult } from '../errors';
import { log } from '../log';
import { dropUpload, uploadAt } from '../uploads';

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

const MOST_MS = 30 * 60_000;
let isUnderWay = false;

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

/** Brings an archive, which came in pieces, into this studio, which is still empty. */
export async function bringInBeside(upload: string): Promise<ServiceResult<BroughtIn>> {
  if (isUnderWay) return refused('An archive is being brought in already.', 'upload');
  const at = uploadAt(upload);
  if (!at.ok) return at;
  isUnderWay = true;
  try {
    return await run(at.value);
  } finally {
    dropUpload(upload);
    isUnderWay = false;
  }
}
