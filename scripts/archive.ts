// `npm run archive [-- FILE]`: the whole studio as one file, also while Strickle runs; `-` writes it to the output.

import { createWriteStream } from 'node:fs';
import { writeArchive } from '../src/server/archive/writeArchive';
import { databaseFile } from '../src/server/env';
import { said, stamp } from './typed';

await said(async () => {
  const [to = `strickle-${stamp()}.zip`] = process.argv.slice(2);
  const out = to === '-' ? process.stdout : createWriteStream(to, { mode: 0o600, flags: 'wx' });
  const { tables } = await writeArchive(databaseFile(), out, new Date().toISOString());
  if (to !== '-') process.stdout.write(`Wrote ${to}: ${tables['clients']?.rows ?? 0} clients.\n`);
});
