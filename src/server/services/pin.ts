// The practitioner's PIN: four to eight digits, kept as Argon2id. Wrong ones in a row make the next try wait, longer
// each time.

import 'server-only';
import { hashSync, verifySync } from '@node-rs/argon2';
import type { DbOrTx } from '../db/openDatabase';
import { readPeople } from '../repos/studioRepo';

const FREE_TRIES = 3;
const FIRST_WAIT_MS = 10_000;
const LONGEST_WAIT_MS = 300_000;

export const hashPin = (pin: string): string => hashSync(pin);

export const pinFits = (pinHash: string, pin: string): boolean => verifySync(pinHash, pin);

/** The practitioner whose PIN it is; null where nobody's. */
export const personOfPin = (db: DbOrTx, pin: string): string | null =>
  readPeople(db).find((p) => p.pinHash !== null && pinFits(p.pinHash, pin))?.id ?? null;

/** How long no PIN is taken after so many wrong ones, ms. */
export const waitAfterMs = (wrongPins: number): number =>
  wrongPins < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (wrongPins - FREE_TRIES));
