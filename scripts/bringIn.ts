// `npm run bring-in -- FILE`: an archive into a studio that is still empty, also while Strickle runs.

import { bringIn } from '../src/server/archive/readArchive';
import { DatabaseRefused } from '../src/server/db/openDatabase';
import { databaseFile } from '../src/server/env';
import { said } from './typed';

await said(async () => {
  const [from] = process.argv.slice(2);
  if (from === undefined) throw new DatabaseRefused('Use: npm run bring-in -- FILE');
  const { studio, tables } = await bringIn(from, databaseFile());
  const [clients, visits] = [tables['clients']?.rows ?? 0, tables['visits']?.rows ?? 0];
  process.stdout.write(`${JSON.stringify({ studio, clients, visits })}\n`);
});
