// Tries the newest backup: put back beside the data as a restore would do, opened, looked through page by page and
// counted. The studio's own file is not touched.

import 'server-only';
import { copyFileSync, existsSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { count, eq } from 'drizzle-orm';
import { DatabaseRefused } from '../db/fileFaults';
import { openDatabase } from '../db/openDatabase';
import { clients, visits } from '../db/schema';
import { backupFolder, checkFile } from './backup';

export interface Drilled {
  /** Name of the backup that was tried. */
  readonly name: string;
  readonly clients: number;
  readonly visits: number;
}

/** The newest plain backup of a data file; null where there is none. */
export function newestBackup(dataFile: string): string | null {
  const folder = backupFolder(dataFile);
  if (!existsSync(folder)) return null;
  const files = readdirSync(folder)
    .filter((name) => name.endsWith('.sqlite'))
    .map((name) => join(folder, name));
  return files.toSorted((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs)[0] ?? null;
}

/** A machine that died in the middle of one has left a copy. */
function dropLeftovers(folder: string): void {
  for (const name of readdirSync(folder)) {
    if (name.startsWith('drill-')) rmSync(join(folder, name), { recursive: true, force: true });
  }
}

/** Throws `DatabaseRefused` where there is no backup, or it could not be put back. */
export function drill(dataFile: string): Drilled {
  const from = newestBackup(dataFile);
  if (from === null) throw new DatabaseRefused('There is no backup yet to try: npm run backup makes one.');
  dropLeftovers(backupFolder(dataFile));
  const folder = mkdtempSync(join(backupFolder(dataFile), 'drill-'));
  const copy = join(folder, 'studio.sqlite');
  try {
    copyFileSync(from, copy);
    const open = openDatabase(copy);
    const all = open.db.select({ n: count() }).from(clients).get()?.n ?? 0;
    const done = open.db.select({ n: count() }).from(visits).where(eq(visits.status, 'closed')).get()?.n ?? 0;
    open.close();
    const fault = checkFile(copy);
    if (fault !== null) throw new DatabaseRefused(`${basename(from)} could not be put back. ${fault}`);
    return { name: basename(from), clients: all, visits: done };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
