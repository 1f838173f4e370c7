// A backup under a passphrase: scrypt makes the key, AES-256-GCM encrypts and proves that not a bit was changed.
// File: 16 bytes of mark, 16 salt, 12 nonce, the ciphertext, 16 tag.

import 'server-only';
import { createCipheriv, createDecipheriv, randomBytes, scrypt as scryptLater, type ScryptOptions } from 'node:crypto';
import { createReadStream, createWriteStream, openSync, readSync, closeSync, statSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';

const MARK = Buffer.from('strickle-sealed1');
const [SALT, NONCE, TAG] = [16, 12, 16];
const HEAD = MARK.length + SALT + NONCE;
/** 64 MB and about a third of a second a guess (RFC 7914 parameters; N = 2^16). */
const COST: ScryptOptions = { N: 2 ** 16, r: 8, p: 1, maxmem: 128 * 1024 * 1024 };

const keyOf = (passphrase: string, salt: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    scryptLater(passphrase.normalize('NFKC'), salt, 32, COST, (error, key) => (error ? reject(error) : resolve(key)));
  });

function bytesOf(file: string, from: number, length: number): Buffer {
  const bytes = Buffer.alloc(length);
  const handle = openSync(file, 'r');
  try {
    readSync(handle, bytes, 0, length, from);
  } finally {
    closeSync(handle);
  }
  return bytes;
}

export const isSealed = (file: string): boolean => bytesOf(file, 0, MARK.length).equals(MARK);

/** Encrypts a file into another one, readable by its owner only. */
export async function seal(from: string, to: string, passphrase: string): Promise<void> {
  const [salt, nonce] = [randomBytes(SALT), randomBytes(NONCE)];
  const cipher = createCipheriv('aes-256-gcm', await keyOf(passphrase, salt), nonce);
  const out = createWriteStream(to, { mode: 0o600 });
  out.write(Buffer.concat([MARK, salt, nonce]));
  await pipeline(createReadStream(from), cipher, out, { end: false });
  await new Promise<void>((resolve, reject) => {
    out.on('error', reject);
    out.end(cipher.getAuthTag(), () => resolve());
  });
}

/** Decrypts; false where the passphrase is wrong or a bit of the file was changed: then what was written is no good. */
export async function unseal(from: string, to: string, passphrase: string): Promise<boolean> {
  const size = statSync(from).size;
  if (size < HEAD + TAG || !isSealed(from)) return false;
  const head = bytesOf(from, 0, HEAD);
  const salt = head.subarray(MARK.length, MARK.length + SALT);
  const decipher = createDecipheriv('aes-256-gcm', await keyOf(passphrase, salt), head.subarray(MARK.length + SALT));
  decipher.setAuthTag(bytesOf(from, size - TAG, TAG));
  try {
    const body = createReadStream(from, { start: HEAD, end: size - TAG - 1 });
    await pipeline(body, decipher, createWriteStream(to, { mode: 0o600 }));
    return true;
  } catch {
    return false;
  }
}
