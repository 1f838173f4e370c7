// Which tables an archive holds: all of the studio's but what belongs to this machine, opens a door, or is made anew.

import type Database from 'better-sqlite3';

/** Stay here: who is signed in where, which tablets are known, what was sent and answered, tables on their way in. */
const STAY = [
  'sessions',
  'pairings',
  'recovery_codes',
  'tablets',
  'requests',
  'imports',
  'import_texts',
  'erasing',
  '__drizzle_migrations',
];
/** Made anew by triggers. */
const MADE_ANEW = /^(?:sqlite_|client_search)/;

export type Cell = string | number | null | { readonly base64: string };
export type Row = Readonly<Record<string, Cell>>;

/** Tables of a file that an archive holds, by name. */
export function archivedTables(raw: Database.Database): readonly string[] {
  const names = raw
    .prepare("select name from sqlite_master where type = 'table' order by name")
    .pluck()
    .all() as string[];
  return names.filter((n) => !STAY.includes(n) && !MADE_ANEW.test(n));
}

/** What opens a door is never in it: PINs and passphrases are chosen anew, calendar addresses made anew. */
const SECRETS: Readonly<Record<string, readonly string[]>> = { people: ['pin_hash', 'pass_hash', 'feed_hash'] };

/** A row as it is written down. */
export function rowOut(table: string, row: Readonly<Record<string, unknown>>): Row {
  const secret = SECRETS[table] ?? [];
  return Object.fromEntries(
    Object.entries(row).map(([column, value]): [string, Cell] => {
      if (secret.includes(column)) return [column, null];
      if (Buffer.isBuffer(value)) return [column, { base64: value.toString('base64') }];
      return [column, value as Cell]; // SQLite gives text, numbers, null and blobs
    }),
  );
}

/** Whether people sign in is the new machine's to say: nobody could, without a PIN. */
export const settingsOut = (settings: string): string =>
  JSON.stringify({ ...(JSON.parse(settings) as object), signsIn: undefined, sweepDue: undefined });
