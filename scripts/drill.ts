// `npm run drill`: tries the newest backup, as Today reminds of each month. Says what it found as a line of JSON.

import { drill } from '../src/server/backup/drill';
import { databaseFile } from '../src/server/env';
import { said } from './typed';

await said(() => {
  process.stdout.write(`${JSON.stringify(drill(databaseFile()))}\n`);
  return Promise.resolve();
});
