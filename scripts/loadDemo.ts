// Migrates the database and, with --demo, loads the invented studio where none is there. Run by scripts/run.mjs.

import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { beforeMigration } from '../src/server/backup/backup';
import { holdFile } from '../src/server/db/oneServer';
import { mendTimeZone } from '../src/server/services/timeZone';
import { stamp } from './typed';
import { databaseFile } from '../src/server/env';
import { DatabaseRefused, openDatabase } from '../src/server/db/openDatabase';
import { loadDemo } from '../src/demo/loadDemo';
import { setUpStudio } from '../src/server/services/setUpStudio';
import { readStudio } from '../src/server/repos/studioRepo';

function main(): void {
  const file = databaseFile();
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const held = holdFile(file);
  const { db, close } = openDatabase(file, { beforeMigration: beforeMigration(stamp()) });
  try {
    const mended = mendTimeZone(db);
    if (mended !== null) process.stdout.write(`The studio’s time zone could not be used; it is ${mended} now.\n`);
    if (readStudio(db)) return;
    const made = process.argv.includes('--demo') ? loadDemo(db, Date.now()) : setUpStudio(db);
    if (!made.ok) throw new DatabaseRefused(made.error.message);
    process.stdout.write(
      process.argv.includes('--demo') ? 'Loaded the invented demo studio.\n' : 'Set up an empty studio.\n',
    );
  } finally {
    close();
    held.release();
  }
}

try {
  main();
} catch (error) {
  if (!(error instanceof DatabaseRefused)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(3);
}
