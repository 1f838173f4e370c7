// PINs, passphrases and recovery codes: how they are kept and what is asked of them. Checked beside the request thread.

import 'server-only';
import { hash, verify } from '@node-rs/argon2';
import { createHash, randomInt } from 'node:crypto';

const CODES = 8;
/** Without letters that are read as another. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
/** 31¹² ≈ 2⁵⁹ for each. */
const CODE_LETTERS = 12;
const SHORTEST = 12;

export const keep = (secret: string): Promise<string> => hash(secret);

/** What is compared where there is nobody, so that it takes as long. */
let nobody: Promise<string> | null = null;
/** Whether it is the one that was kept; false where nothing was, in the same time. */
export async function fits(kept: string | null | undefined, secret: string): Promise<boolean> {
  const other = kept ?? (await (nobody ??= hash('nobody at all')));
  const isSame = await verify(other, secret);
  return isSame && kept !== null && kept !== undefined;
}

/** Why a passphrase is not taken; null where it is. */
export function passphraseFault(passphrase: string, names: readonly string[]): string | null {
  const plain = passphrase.toLowerCase().replace(/\s+/g, '');
  if (passphrase.length < SHORTEST) return `A passphrase has ${SHORTEST} letters or more: a few words do well.`;
  if (new Set(plain).size < 6) return 'This one is too easily guessed: take other words.';
  const own = names.map((n) => n.toLowerCase().replace(/\s+/g, '')).filter((n) => n.length > 3);
  const left = own.reduce((text, name) => text.replaceAll(name, ''), plain);
  return left.length < SHORTEST / 2 ? 'A name alone is too easily guessed: add words.' : null;
}

const codeHash = (code: string): string =>
  createHash('sha256')
    .update(code.toLowerCase().replace(/[^a-z0-9]/g, ''))
    .digest('hex');
export { codeHash };

/** New recovery codes, as they are printed, in groups of four. */
export const newCodes = (): readonly string[] =>
  Array.from({ length: CODES }, () =>
    Array.from({ length: CODE_LETTERS }, () => LETTERS[randomInt(LETTERS.length)])
      .join('')
      .replace(/(.{4})(?=.)/g, '$1-'),
  );
