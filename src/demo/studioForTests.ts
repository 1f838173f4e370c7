// A fresh copy of the demo studio for each test: it is loaded once a worker, since its plans are really computed,
// and then copied.

import 'server-only';
import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
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

/** The demo studio as loaded at an instant, in a file of its own; without any line of money where that is wanted. */
export function demoStudio(
  nowMs: number,
  { ledger = true }: { readonly ledger?: boolean } = {},
): OpenDatabase & { readonly file: string } {
  const file = join(mkdtempSync(join(tmpdir(), 'strickle-test-')), 'studio.sqlite');
  copyFileSync(templateAt(nowMs), file);
  if (!ledger) emptyLedger(file);
  return { ...openDatabase(file), file };
}

/** The tables take no deletion: their triggers are taken off and put back. */
function emptyLedger(file: string): void {
  const raw = new Database(file);
  const triggers = raw
    .prepare("select name, sql from sqlite_master where type = 'trigger' and tbl_name like 'ledger_%'")
    .all() as { name: string; sql: string }[]; // columns of SQLite's own table
  for (const { name } of triggers) raw.exec(`drop trigger ${name}`);
  raw.exec('delete from ledger_entries; delete from ledger_closings');
  for (const { sql } of triggers) raw.exec(sql);
  raw.close();
}
