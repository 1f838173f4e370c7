import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../demo/studioForTests';
import type { OpenDatabase } from './db/openDatabase';
import { setPin } from './repos/studioRepo';
import { readPeople } from './repos/studioRepo';
import { hashPin } from './services/pin';
import { comeIn, isToken, lockTablet, newToken, openTablet, tabletCookie, tabletOf, tabletState } from './tablets';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const choosePin = (pin: string): void => setPin(open.db, readPeople(open.db)[0]?.id ?? '', hashPin(pin));
const idOf = (token: string): string => {
  const id = tabletOf(new Request('http://x/', { headers: { cookie: `a=b; strickle-tablet=${token}` } }));
  if (id === null) throw new Error('a tablet');
  return id;
};

describe('a tablet', () => {
  it('is told by a lasting cookie that no script reads and no link from elsewhere loses', () => {
    const cookie = tabletCookie(newToken());
    for (const part of ['HttpOnly', 'SameSite=Lax', 'Path=/', 'Max-Age=34560000']) expect(cookie).toContain(part);
    expect(isToken(newToken())).toBe(true);
    expect(['', 'short', 'x'.repeat(99), `${'a'.repeat(40)};`].some((t) => isToken(t))).toBe(false);
    expect(tabletOf(new Request('http://x/'))).toBeNull();
    expect(tabletOf(new Request('http://x/', { headers: { cookie: 'strickle-tablet=%E0' } }))).toBeNull();
  });
  it('is open before there is a PIN, and stays so afterwards; a new one is not', () => {
    const [known, fresh] = [newToken(), newToken()];
    expect(tabletState(open.db, known, NOW)).toEqual({ kind: 'open' });
    choosePin('2468');
    expect(tabletState(open.db, known, NOW)).toEqual({ kind: 'open' });
    expect(tabletState(open.db, fresh, NOW)).toEqual({ kind: 'unknown' });
  });
  it('comes in with a PIN; wrong ones are counted together, whatever the cookie', async () => {
    choosePin('2468');
    const token = newToken();
    expect((await comeIn(open.db, idOf(token), '1111', NOW)).ok).toBe(false);
    for (let k = 0; k < 2; k++) await comeIn(open.db, idOf(newToken()), '1111', NOW);
    const waiting = await comeIn(open.db, idOf(token), '2468', NOW + 1000);
    expect(waiting.ok ? '' : waiting.error.message).toContain('wait');
    expect(tabletState(open.db, token, NOW)).toEqual({ kind: 'unknown' });
    expect((await comeIn(open.db, idOf(token), '2468', NOW + 600_000)).ok).toBe(true);
    expect(tabletState(open.db, token, NOW)).toEqual({ kind: 'open' });
  });
  it('that is with a client stays locked to the form until it is taken back, also through the door', async () => {
    const token = newToken();
    lockTablet(open.db, idOf(token), 'form-1');
    choosePin('2468');
    expect(tabletState(open.db, token, NOW)).toEqual({ kind: 'locked', formId: 'form-1' });
    expect((await comeIn(open.db, idOf(token), '2468', NOW)).ok).toBe(true);
    expect(tabletState(open.db, token, NOW)).toEqual({ kind: 'locked', formId: 'form-1' });
    openTablet(open.db, idOf(token));
    expect(tabletState(open.db, token, NOW)).toEqual({ kind: 'open' });
  });
});
