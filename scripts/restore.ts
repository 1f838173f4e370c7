// `npm run restore -- FILE`: puts a backup in the place of the data file. It is checked first; what was there is kept.

import { restore } from '../src/server/backup/backup';
import { isSealed } from '../src/server/backup/sealed';
import { existsSync } from 'node:fs';
import { DatabaseRefused } from '../src/server/db/openDatabase';
import { databaseFile } from '../src/server/env';
import { said, stamp, typedPassphrase } from './typed';

async function main(args: readonly string[]): Promise<void> {
  const [from] = args.filter((a) => !a.startsWith('--'));
  if (from === undefined) throw new DatabaseRefused('Use: npm run restore -- FILE');
  const sealed = existsSync(from) && isSealed(from);
  const passphrase = sealed ? await typedPassphrase('Passphrase of the backup: ', false) : null;
  const { before } = await restore(from, databaseFile(), { passphrase, stamp: stamp() });
  process.stdout.write(`Restored ${databaseFile()} from ${from}.\n`);
  if (before !== null) process.stdout.write(`What was there before lies in ${before}\n`);
}

await said(() => main(process.argv.slice(2)));
