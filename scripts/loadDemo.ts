// Migrates the database and, with --demo, loads the invented studio where none is there. Run by scripts/run.mjs.

import { databaseFile } from '../src/server/env';
import { DatabaseRefused, openDatabase } from '../src/server/db/openDatabase';
import { loadDemo } from '../src/demo/loadDemo';
import { setUpStudio } from '../src/server/services/setUpStudio';
import { readStudio } from '../src/server/repos/studioRepo';

function main(): void {
  const { db, close } = openDatabase(databaseFile());
  try {
    if (readStudio(db)) return;
    const made = process.argv.includes('--demo') ? loadDemo(db, Date.now()) : setUpStudio(db);
    if (!made.ok) throw new DatabaseRefused(made.error.message);
    process.stdout.write(
      process.argv.includes('--demo') ? 'Loaded the invented demo studio.\n' : 'Set up an empty studio.\n',
    );
  } finally {
    close();
  }
}

try {
  main();
} catch (error) {
  if (!(error instanceof DatabaseRefused)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(3);
}
