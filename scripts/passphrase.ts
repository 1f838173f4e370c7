// A new passphrase for somebody who has lost theirs and every recovery code: `npm run passphrase -- NAME`, on the
// machine itself. Whoever can read the data file can do this, so nothing is proved; every session of theirs ends.

import { codeHash, keep, newCodes, passphraseFault } from '../src/server/auth/secrets';
import { DatabaseRefused, openDatabase } from '../src/server/db/openDatabase';
import { databaseFile } from '../src/server/env';
import { dropSessionsOf, putCodes } from '../src/server/repos/doorRepo';
import { updatePerson } from '../src/server/repos/houseRepo';
import { readPeople, readStudio } from '../src/server/repos/studioRepo';
import { said, typedPassphrase } from './typed';

async function main(args: readonly string[]): Promise<void> {
  const name = args.join(' ').trim().toLowerCase();
  const open = openDatabase(databaseFile());
  try {
    const people = readPeople(open.db);
    const person = people.find((p) => p.name.toLowerCase() === name);
    if (!person) throw new DatabaseRefused(`Whose? npm run passphrase -- ${people.map((p) => p.name).join(' | ')}`);
    const passphrase = await typedPassphrase(`New passphrase for ${person.name}: `, true);
    const fault = passphraseFault(passphrase, [person.name, readStudio(open.db)?.name ?? '']);
    if (fault !== null) throw new DatabaseRefused(`${fault} Nothing was changed.`);
    const passHash = await keep(passphrase);
    const codes = newCodes();
    open.db.transaction((tx) => {
      updatePerson(tx, person.id, { passHash });
      putCodes(tx, person.id, codes.map(codeHash), Date.now());
      dropSessionsOf(tx, person.id);
    });
    const words = `${person.name} signs in anew everywhere. New recovery codes, shown once:`;
    process.stdout.write(`${words}\n  ${codes.join('\n  ')}\n`);
  } finally {
    open.close();
  }
}

await said(() => main(process.argv.slice(2)));
