import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import type { ServiceResult } from '../errors';
import { codesLeft, sessionsOf } from '../repos/doorRepo';
import { putTablet, readTablet } from '../repos/groundRepo';
import { updatePerson } from '../repos/houseRepo';
import { appendEvents } from '../repos/journalRepo';
import { readPeople, readPerson } from '../repos/studioRepo';
import { closedVisits } from '../repos/visitRepo';
import { makePairing } from '../services/tabletList';
import { changeMine, signInByCode, signInByPassphrase, signInByPin, turnOff, turnOn } from '../services/signIn';
import { lockTablet, tabletOf } from '../tablets';
import { verdictOf } from './guard';
import { fits, keep, passphraseFault } from './secrets';
import { beginAt, ENDS_AFTER_MS, sessionOf, signsIn, touch } from './sessions';
import { DOOR } from './tries';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const MIN = 60_000;
const WORDS = 'grey seals on the bar';
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const TABLET = 'a'.repeat(43);
const STRANGE = 'b'.repeat(43);
const ask = (token: string | null, path = '/api/events', tablet = TABLET, method = 'GET'): Request =>
  new Request(`http://x${path}`, {
    method,
    headers: { cookie: `strickle-tablet=${tablet}${token === null ? '' : `; strickle-session=${token}`}` },
  });
const idOf = (tablet: string): string => tabletOf(ask(null, '/', tablet)) ?? '';
const message = (r: ServiceResult<unknown>): string => (r.ok ? 'ok' : r.error.message);
const value = <T>(r: ServiceResult<T>): T => {
  if (!r.ok) throw new Error(r.error.message);
  return r.value;
};
const turnedOn = async () =>
  value(await turnOn(open.db, { personId: 'ines', pin: '2468', passphrase: WORDS }, idOf(TABLET), NOW));
const givePin = async (id: string, pin: string): Promise<void> =>
  updatePerson(open.db, id, { pinHash: await keep(pin) });

describe('turning sign-in on', () => {
  it('is an owner’s, with a passphrase that is not guessed at once; it gives eight codes and signs in', async () => {
    const by = (personId: string, passphrase: string) =>
      turnOn(open.db, { personId, pin: '2468', passphrase }, idOf(TABLET), NOW);
    expect(message(await by('bao', WORDS))).toContain('owner');
    expect(message(await by('ines', 'short'))).toContain('12 letters');
    expect(message(await by('ines', 'aaaaaaaaaaaaaaa'))).toContain('guessed');
    expect(message(await by('ines', 'Saltmarsh Row 1'))).toContain('name');
    expect(signsIn(open.db)).toBe(false);
    const { token, codes } = await turnedOn();
    expect(codes).toHaveLength(8);
    expect(new Set(codes).size).toBe(8);
    expect(codes[0]).toMatch(/^[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}$/);
    expect(sessionOf(open.db, ask(token), idOf(TABLET), NOW)).toMatchObject({ personId: 'ines', role: 'owner' });
    expect(message(await by('ines', WORDS))).toContain('already');
    expect(passphraseFault(WORDS, ['Ines'])).toBeNull();
  });
  it('comes before a tablet of the network is let in, by a code that stands nowhere as it was given', async () => {
    expect(message(await makePairing(open.db, NOW))).toContain('First people sign in');
    await turnedOn();
    const { code, untilMs } = value(await makePairing(open.db, NOW));
    expect(code).toMatch(/^[a-z0-9]{4}-[a-z0-9]{4}$/);
    expect(untilMs).toBe(NOW + 10 * MIN);
    expect(JSON.stringify(open.db.all(sql`select * from pairings`))).not.toContain(code);
    expect(value(await makePairing(open.db, NOW)).code).not.toBe(code);
  });
  it('is anybody’s where no owner works any more', async () => {
    const bao = { personId: 'bao', pin: '2468', passphrase: WORDS };
    for (const { id, role } of readPeople(open.db)) if (role === 'owner') updatePerson(open.db, id, { active: false });
    expect(message(await turnOn(open.db, bao, idOf(TABLET), NOW))).toBe('ok');
    expect(readPerson(open.db, 'bao')?.role).toBe('owner');
  });
  it('keeps no secret as it was given', async () => {
    const { token, codes } = await turnedOn();
    const text = JSON.stringify([
      open.db.all(sql`select * from people`),
      open.db.all(sql`select * from sessions`),
      open.db.all(sql`select * from recovery_codes`),
    ]);
    for (const secret of ['2468', WORDS, token, codes[0] ?? 'none']) expect(text).not.toContain(secret);
    expect(readPerson(open.db, 'ines')?.passHash).toMatch(/^\$argon2id\$/);
  });
  it('is turned off with the owner’s own passphrase, and nobody is signed in any more', async () => {
    const { token } = await turnedOn();
    const who = sessionOf(open.db, ask(token), idOf(TABLET), NOW);
    if (!who) throw new Error('nobody');
    const at = { tablet: idOf(TABLET), nowMs: NOW };
    expect(message(await turnOff(open.db, { passphrase: 'not this one at all' }, who, at))).toContain('not your');
    expect(message(await turnOff(open.db, { passphrase: WORDS }, who, at))).toBe('ok');
    expect(signsIn(open.db)).toBe(false);
    expect(sessionsOf(open.db, 'ines')).toEqual([]);
  });
});

describe('signing in', () => {
  it('goes by PIN on a tablet that is known and by passphrase on another, which is known from then on', async () => {
    await turnedOn();
    const pin = { personId: 'ines', pin: '2468' };
    expect(message(await signInByPin(open.db, pin, idOf(STRANGE), NOW))).toContain('not known');
    const by = { name: ' ines ', passphrase: WORDS };
    expect(value(await signInByPassphrase(open.db, by, idOf(STRANGE), NOW)).personId).toBe('ines');
    expect(message(await signInByPin(open.db, pin, idOf(STRANGE), NOW))).toBe('ok');
    expect(message(await signInByPin(open.db, { ...pin, personId: 'bao' }, idOf(TABLET), NOW))).toContain(
      'not the PIN',
    );
  });
  it('says the same of a wrong name and a wrong passphrase', async () => {
    await turnedOn();
    const tried = async (name: string) =>
      message(await signInByPassphrase(open.db, { name, passphrase: 'some other words' }, idOf(STRANGE), NOW));
    const [known, unknown] = [await tried('Ines'), await tried('Zebedee')];
    expect(known).toBe('Name and passphrase do not go together.');
    expect(unknown).toBe(known);
    expect(await fits(undefined, 'nobody at all')).toBe(false);
  });
  it('lets ten thousand wrong PINs at once try no more than the back-off allows', async () => {
    await turnedOn();
    const wrong = Array.from({ length: 10_000 }, (_, k) =>
      signInByPin(open.db, { personId: 'ines', pin: String(1_000 + (k % 1_400)) }, idOf(TABLET), NOW),
    );
    const said = (await Promise.all(wrong)).map(message);
    expect(said.filter((m) => m === 'That is not the PIN.')).toHaveLength(3);
    expect(said.filter((m) => m.includes('wait 10 seconds'))).toHaveLength(9_997);
    expect(message(await signInByPin(open.db, { personId: 'ines', pin: '2468' }, idOf(TABLET), NOW + 9_000))).toContain(
      'wait',
    );
    expect(message(await signInByPin(open.db, { personId: 'ines', pin: '2468' }, idOf(TABLET), NOW + 10_000))).toBe(
      'ok',
    );
    expect(readTablet(open.db, idOf(TABLET))?.wrongPins).toBe(0);
  });
  it('makes no known tablet wait for what strangers try', async () => {
    await turnedOn();
    const by = { name: 'Ines', passphrase: 'some other words' };
    for (let k = 0; k < 4; k++) await signInByPassphrase(open.db, by, idOf(String(k).repeat(43)), NOW);
    expect(readTablet(open.db, DOOR)?.pinWaitUntilMs).toBe(NOW + 10_000);
    expect(message(await signInByPassphrase(open.db, { ...by, passphrase: WORDS }, idOf(STRANGE), NOW))).toContain(
      'wait',
    );
    expect(message(await signInByPin(open.db, { personId: 'ines', pin: '2468' }, idOf(TABLET), NOW))).toBe('ok');
  });
  it('tells two of one name by what they know', async () => {
    await turnedOn();
    updatePerson(open.db, 'bao', { name: 'ines', passHash: await keep('other words of the sea') });
    const by = (passphrase: string) => signInByPassphrase(open.db, { name: 'Ines', passphrase }, idOf(STRANGE), NOW);
    expect(value(await by('other words of the sea')).personId).toBe('bao');
    expect(value(await by(WORDS)).personId).toBe('ines');
  });
  it('with a recovery code works once, sets a new passphrase and ends what the old one opened', async () => {
    const { token, codes } = await turnedOn();
    const [code = ''] = codes;
    const by = { name: 'Ines', code: code.toUpperCase().replaceAll('-', ' '), passphrase: 'new words from the shore' };
    expect(message(await signInByCode(open.db, { ...by, name: 'Bao' }, idOf(STRANGE), NOW))).toContain('do not go');
    expect(message(await signInByCode(open.db, by, idOf(STRANGE), NOW))).toBe('ok');
    expect(codesLeft(open.db, 'ines')).toBe(7);
    expect(message(await signInByCode(open.db, by, idOf(STRANGE), NOW))).toContain('was used');
    expect(sessionOf(open.db, ask(token), idOf(TABLET), NOW)).toBeNull();
    const old = await signInByPassphrase(open.db, { name: 'Ines', passphrase: WORDS }, idOf(STRANGE), NOW);
    expect(message(old)).toContain('do not go');
  });
  it('changes one’s own PIN, passphrase and codes with what one has', async () => {
    const { token, codes } = await turnedOn();
    const who = sessionOf(open.db, ask(token), idOf(TABLET), NOW);
    if (!who) throw new Error('nobody');
    const at = { tablet: idOf(TABLET), nowMs: NOW };
    const elsewhere = beginAt(open.db, 'ines', idOf(STRANGE), NOW);
    expect(message(await changeMine(open.db, who, { pin: { old: '1111', pin: '1357' } }, at))).toContain(
      'not your PIN',
    );
    expect(message(await changeMine(open.db, who, { pin: { old: '2468', pin: '1357' } }, at))).toBe('ok');
    const words = { passphrase: { pin: '1357', passphrase: 'other words from the shore' } };
    expect(message(await changeMine(open.db, who, words, at))).toBe('ok');
    expect(sessionOf(open.db, ask(elsewhere, '/', STRANGE), idOf(STRANGE), NOW)).toBeNull();
    expect(sessionOf(open.db, ask(token), idOf(TABLET), NOW)).not.toBeNull();
    const fresh = value(await changeMine(open.db, who, { codes: { passphrase: 'other words from the shore' } }, at));
    expect(fresh.codes?.some((c) => codes.includes(c))).toBe(false);
    expect(codesLeft(open.db, 'ines')).toBe(8);
  });
});

describe('a session', () => {
  it('counts on its own tablet, and rests after a while without a touch', async () => {
    const { token } = await turnedOn();
    expect(sessionOf(open.db, ask(token, '/', STRANGE), idOf(STRANGE), NOW)).toBeNull();
    expect(verdictOf(open.db, ask(token), NOW + 9 * MIN).kind).toBe('open');
    expect(verdictOf(open.db, ask(token, '/api/bookings', TABLET, 'POST'), NOW + 9 * MIN).kind).toBe('open');
    // a write was a touch, a look is none
    expect(verdictOf(open.db, ask(token), NOW + 18 * MIN).kind).toBe('open');
    expect(verdictOf(open.db, ask(token), NOW + 20 * MIN).kind).toBe('rests');
    const who = sessionOf(open.db, ask(token), idOf(TABLET), NOW + 20 * MIN);
    if (!who) throw new Error('nobody');
    touch(open.db, who, NOW + 20 * MIN);
    expect(verdictOf(open.db, ask(token), NOW + 20 * MIN).kind).toBe('rests');
    expect(sessionOf(open.db, ask(token), idOf(TABLET), NOW + ENDS_AFTER_MS * 2)).toBeNull();
  });
  it('does not rest while wax is on skin, and does once it is off', async () => {
    const { token } = await turnedOn();
    const visit = closedVisits(open.db, 'ottilie', 1)[0]?.id ?? '';
    appendEvents(open.db, visit, [{ id: 'lay-1', atMs: NOW, kind: 'laid', strip: 's1' }]);
    expect(verdictOf(open.db, ask(token), NOW + 12 * MIN).kind).toBe('open');
    appendEvents(open.db, visit, [{ id: 'pull-1', atMs: NOW + 12 * MIN, kind: 'pulled', strip: 's1' }]);
    expect(verdictOf(open.db, ask(token), NOW + 12 * MIN).kind).toBe('rests');
  });
  it('at rest keeps the client’s form open on the tablet that was handed over, so that it is filled in and taken back', async () => {
    const { token } = await turnedOn();
    lockTablet(open.db, idOf(TABLET), 'form-1');
    const later = NOW + 40 * MIN;
    const kind = (path: string, method = 'GET', tablet = TABLET) =>
      verdictOf(open.db, ask(token, path, tablet, method), later).kind;
    expect(kind('/form/form-1')).toBe('open');
    expect([kind('/api/forms/form-1', 'PUT'), kind('/api/forms/form-1/unlock', 'POST')]).toEqual(['open', 'open']);
    expect([kind('/api/forms/form-2', 'PUT'), kind('/api/forms/form-10', 'PUT')]).toEqual(['rests', 'rests']);
    expect(kind('/clients')).toBe('rests');
    expect(kind('/api/forms/form-1', 'PUT', STRANGE)).toBe('signed-out');
  });
  it('is not asked of a calendar program, whose address is its secret', async () => {
    await turnedOn();
    expect(verdictOf(open.db, ask(null, '/api/calendar/abc'), NOW).kind).toBe('open');
    expect(verdictOf(open.db, ask(null, '/api/people/ines/feed'), NOW).kind).toBe('signed-out');
  });
  it('is asked by the address as the framework reads it, however it is written', async () => {
    await turnedOn();
    await givePin('rook', '3579');
    const token = beginAt(open.db, 'rook', idOf(TABLET), NOW);
    const kind = (path: string) => verdictOf(open.db, ask(token, path), NOW).kind;
    expect(kind('/api/clients/ottilie')).toBe('open');
    for (const path of ['/api/clients/export', '/api/clients/%65xport', '/api/clients/expor%74', '/studio/%74rail']) {
      expect([path, kind(path)]).toEqual([path, 'not-yours']);
    }
    expect(kind('/api/clients/../studio/trail')).toBe('not-yours');
    expect(kind('/api//clients')).toBe('nowhere');
  });
  it('shows each role what is theirs and refuses the rest in words', async () => {
    await turnedOn();
    await givePin('rook', '3579');
    await givePin('bao', '3579');
    updatePerson(open.db, 'bao', { role: 'desk' });
    const kinds = (id: string, asked: readonly (readonly [string, string])[]): readonly string[] => {
      const token = beginAt(open.db, id, idOf(TABLET), NOW);
      return asked.map(([method, path]) => verdictOf(open.db, ask(token, path, TABLET, method), NOW).kind);
    };
    const asked = [
      ['GET', '/clients/ottilie'],
      ['GET', '/api/clients/ottilie'],
      ['GET', '/api/visits/x'],
      ['POST', '/api/ledger'],
      ['POST', '/api/rules'],
      ['GET', '/api/studio/trail'],
    ] as const;
    expect(kinds('bao', asked)).toEqual(['open', 'not-yours', 'not-yours', 'open', 'not-yours', 'not-yours']);
    expect(kinds('rook', asked)).toEqual(['open', 'open', 'open', 'not-yours', 'not-yours', 'not-yours']);
    expect(kinds('ines', asked)).toEqual(asked.map(() => 'open'));
    expect(asked.map(([m, p]) => verdictOf(open.db, ask(null, p, TABLET, m), NOW).kind)).toEqual(
      asked.map(() => 'signed-out'),
    );
  });
  it('of somebody who works here no more is none', async () => {
    await turnedOn();
    const token = beginAt(open.db, 'bao', idOf(TABLET), NOW);
    expect(sessionOf(open.db, ask(token), idOf(TABLET), NOW)?.personId).toBe('bao');
    updatePerson(open.db, 'bao', { active: false });
    expect(sessionOf(open.db, ask(token), idOf(TABLET), NOW)).toBeNull();
    putTablet(open.db, idOf(TABLET), NOW, { knownSinceMs: NOW });
    expect(sessionsOf(open.db, 'bao')).toEqual([]);
  });
});
