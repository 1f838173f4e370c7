// The practitioner's PIN: four to eight digits, kept as Argon2id. Wrong ones in a row make the next try wait, longer
// each time.

import 'server-only';
import { hashSync } from '@node-rs/argon2';
import { fits } from '../auth/secrets';
import type { DbOrTx } from '../db/openDatabase';
import { readPeople } from '../repos/studioRepo';

const FREE_TRIES = 3;
const FIRST_WAIT_MS = 10_000;
const LONGEST_WAIT_MS = 300_000;

/** For use inside of a transaction; elsewhere `keep` does it beside the request thread. */
export const hashPin = (pin: string): string => hashSync(pin);

/** The practitioner whose PIN it is; null where nobody's. */
export async function personOfPin(db: DbOrTx, pin: string): Promise<string | null> {
  for (const { id, pinHash } of readPeople(db)) if (pinHash !== null && (await fits(pinHash, pin))) return id;
  return null;
}

/** How long no PIN is taken after so many wrong ones, ms. */
export const waitAfterMs = (wrongPins: number): number =>
  wrongPins < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (wrongPins - FREE_TRIES));
