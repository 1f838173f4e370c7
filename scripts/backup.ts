// `npm run backup [-- FILE] [-- --passphrase]`: a copy of the studio, also while Strickle runs. `--day DATE` is what
// the server does by itself once a day. The passphrase is asked for in STRICKLE_PASSPHRASE or typed, never in the
// command.

import { join } from 'node:path';
import { backUp, backupFolder, dailyBackup } from '../src/server/backup/backup';
import { databaseFile } from '../src/server/env';
import { said, stamp, typedPassphrase } from './typed';

async function main(args: readonly string[]): Promise<void> {
  const file = databaseFile();
  const day = args[args.indexOf('--day') + 1];
  if (args.includes('--day') && day !== undefined) {
    await dailyBackup(file, day);
    return;
  }
  const sealed = args.includes('--passphrase');
  const to =
    args.find((a) => !a.startsWith('--')) ??
    join(backupFolder(file), `studio-${stamp()}.${sealed ? 'sealed' : 'sqlite'}`);
  const passphrase = sealed ? await typedPassphrase('Passphrase for the backup: ', true) : null;
  process.stdout.write(`Backed up to ${await backUp(file, to, passphrase)}\n`);
}

await said(() => main(process.argv.slice(2)));
