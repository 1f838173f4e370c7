// A fresh copy of the demo studio for each test: it is loaded once a worker, since its plans are really computed,
// and then copied.

import 'server-only';
import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type OpenDatabase } from '../server/db/openDatabase';
import { loadDemo } from './loadDemo';

const templates = new Map<number, string>();

function templateAt(nowMs: number): string {
  const known = templates.get(nowMs);
  if (known !== undefined) return known;
  const file = join(mkdtempSync(join(tmpdir(), 'strickle-template-')), 'studio.sqlite');
  const open = openDatabase(file);
  const loaded = loadDemo(open.db, nowMs);
  // closing folds the write-ahead log into the file, so that one file is the whole studio
  open.close();
  if (!loaded.ok) throw new Error(loaded.error.message);
  templates.set(nowMs, file);
  return file;
}

/** The demo studio as loaded at an instant, in a file of its own. */
export function demoStudio(nowMs: number): OpenDatabase & { readonly file: string } {
  const file = join(mkdtempSync(join(tmpdir(), 'strickle-test-')), 'studio.sqlite');
  copyFileSync(templateAt(nowMs), file);
  return { ...openDatabase(file), file };
}
