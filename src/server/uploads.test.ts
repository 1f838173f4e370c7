import { existsSync, mkdtempSync, readFileSync, statSync, utimesSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { dropOldUploads, dropUpload, putPiece, uploadAt } from './uploads';

const ID = 'a-file-of-ours';
const bytes = (text: string): Uint8Array => Buffer.from(text);
beforeEach(() => {
  vi.stubEnv('STRICKLE_DB', join(mkdtempSync(join(tmpdir(), 'strickle-up-')), 'studio.sqlite'));
});
afterEach(() => vi.unstubAllEnvs());
const there = (): string => {
  const at = uploadAt(ID);
  return at.ok ? readFileSync(at.value, 'utf8') : 'none';
};

describe('a file in pieces', () => {
  it('is whole in the end, whatever is sent twice', () => {
    expect(putPiece(ID, 0, bytes('name,'))).toEqual({ ok: true, value: { size: 5 } });
    expect(putPiece(ID, 5, bytes('date\n'))).toEqual({ ok: true, value: { size: 10 } });
    expect(putPiece(ID, 0, bytes('name,'))).toEqual({ ok: true, value: { size: 10 } });
    expect(putPiece(ID, 5, bytes('date\n'))).toEqual({ ok: true, value: { size: 10 } });
    expect(there()).toBe('name,date\n');
    const at = uploadAt(ID);
    expect(at.ok && statSync(at.value).mode & 0o777).toBe(0o600);
  });
  it('takes none that leaves a gap or lies half over another, and says how much is there', () => {
    putPiece(ID, 0, bytes('12345'));
    for (const at of [6, 3]) expect(putPiece(ID, at, bytes('abcdef'))).toMatchObject({ ok: false });
    const gap = putPiece(ID, 6, bytes('x'));
    expect(gap.ok ? '' : gap.error.message).toContain('up to 5');
    expect(there()).toBe('12345');
  });
  it('is taken under no name that leads elsewhere, and four at once', () => {
    expect(putPiece('../../etc', 0, bytes('x'))).toMatchObject({ ok: false });
    expect(uploadAt('../studio.sqlite')).toMatchObject({ ok: false });
    for (const n of [1, 2, 3, 4]) expect(putPiece(`file-no-${n}`, 0, bytes('x'))).toMatchObject({ ok: true });
    expect(putPiece('file-no-5', 0, bytes('x'))).toMatchObject({ ok: false });
    dropUpload('file-no-1');
    expect(putPiece('file-no-5', 0, bytes('x'))).toMatchObject({ ok: true });
    // one that was left a while ago gives way
    const left = uploadAt('file-no-2');
    if (left.ok) utimesSync(left.value, new Date(Date.now() - 900_000), new Date(Date.now() - 900_000));
    expect(putPiece('file-no-6', 0, bytes('x'))).toMatchObject({ ok: true });
    expect(uploadAt('file-no-2')).toMatchObject({ ok: false });
  });
  it('goes after a day where nobody used it', () => {
    putPiece(ID, 0, bytes('x'));
    const at = uploadAt(ID);
    if (!at.ok) throw new Error('not there');
    const now = Date.now();
    dropOldUploads(now);
    expect(existsSync(at.value)).toBe(true);
    utimesSync(at.value, new Date(now - 90_000_000), new Date(now - 90_000_000));
    dropOldUploads(now);
    expect(existsSync(at.value)).toBe(false);
  });
});
