// Looks through every page and every reference of the data file; run beside the server. Exit 4 where something is
// wrong.

import { checkFile } from '../src/server/backup/backup';
import { databaseFile } from '../src/server/env';

const fault = checkFile(databaseFile());
if (fault !== null) {
  process.stderr.write(`${fault}\n`);
  process.exit(4);
}
