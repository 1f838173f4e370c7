// Files on their way to the server, in pieces: each is appended where the one before ended, so that a line that broke
// goes on where it was. What nobody used goes after a day.

import 'server-only';
import { appendFileSync, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ok } from '../core/shared';
import { databaseFile } from './env';
import { refused, type ServiceResult } from './errors';

/** The largest file that is taken. */
const MOST_BYTES = 4_000_000_000;
/** So many may lie there at once. */
const MOST_FILES = 4;
const KEPT_MS = 24 * 3_600_000;
/** One that nobody has gone on with for so long gives way to another. */
const LEFT_MS = 10 * 60_000;
const ID = /^[A-Za-z0-9_-]{8,64}$/;

const folder = (): string => join(dirname(databaseFile()), 'uploads');
const fileOf = (id: string): string => join(folder(), id);
const sizeOf = (file: string): number => (existsSync(file) ? statSync(file).size : 0);

export interface Put {
  /** How much of the file is there. */
  readonly size: number;
}

/** Appends a piece; one that is there already is passed over, one that leaves a gap is refused with what is there. */
export function putPiece(id: string, at: number, bytes: Uint8Array): ServiceResult<Put> {
  if (!ID.test(id)) return refused('The id of a file has 8 to 64 letters.', 'id');
  const file = fileOf(id);
  const size = sizeOf(file);
  if (at > size) return refused(`The file is there up to ${size}: go on from there.`, 'at');
  if (at + bytes.length <= size && size > 0) return ok({ size });
  if (at < size) return refused(`The file is there up to ${size}: go on from there.`, 'at');
  if (size + bytes.length > MOST_BYTES) return refused('The file is too large.', 'file');
  mkdirSync(folder(), { recursive: true, mode: 0o700 });
  if (!existsSync(file) && readdirSync(folder()).length >= MOST_FILES) dropUploadsBefore(Date.now() - LEFT_MS);
  if (!existsSync(file) && readdirSync(folder()).length >= MOST_FILES) {
    return refused('Other files are on their way: wait for them.', 'file');
  }
  appendFileSync(file, bytes, { mode: 0o600 });
  return ok({ size: size + bytes.length });
}

/** Where a whole file lies; whoever asks drops it afterwards. */
export function uploadAt(id: string): ServiceResult<string> {
  if (!ID.test(id) || !existsSync(fileOf(id))) {
    return refused('The file is not there any more: choose it again.', 'upload');
  }
  return ok(fileOf(id));
}

export function dropUpload(id: string): void {
  if (ID.test(id)) rmSync(fileOf(id), { force: true });
}

function dropUploadsBefore(beforeMs: number): void {
  if (!existsSync(folder())) return;
  for (const name of readdirSync(folder())) {
    if (statSync(fileOf(name)).mtimeMs < beforeMs) rmSync(fileOf(name), { force: true });
  }
}

/** Those that nobody used. */
export const dropOldUploads = (nowMs: number): void => dropUploadsBefore(nowMs - KEPT_MS);
