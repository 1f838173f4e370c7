// Signing in: by name and PIN on a tablet that is known, by passphrase on another one, by a recovery code where that is
// lost. Turned on by an owner; before that nobody signs in and the server answers this machine alone.

import 'server-only';
import { ok } from '../../core/shared';
import { codeHash, fits, keep, newCodes, passphraseFault } from '../auth/secrets';
import { signsIn, beginAt, type SignedIn } from '../auth/sessions';
import { countedAt, forgetTries, takeTry } from '../auth/tries';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { dropAllSessions, dropSessionsOf, putCodes, useCode } from '../repos/doorRepo';
import { putTablet, readTablet } from '../repos/groundRepo';
import { everybody, updatePerson } from '../repos/houseRepo';
import { readPeople, readPerson, readStudio, setSettings, type PersonRow } from '../repos/studioRepo';

/** What a sign-in gives: the token goes into the cookie only. */
export interface Begun {
  readonly token: string;
  readonly personId: string;
}

/** Whom a tablet that is known may ask for; those without a PIN cannot come in. */
export const whoMayCome = (db: Db): readonly { readonly id: string; readonly name: string }[] =>
  readPeople(db)
    .filter((p) => p.pinHash !== null)
    .map(({ id, name }) => ({ id, name }));

export const isKnownTablet = (db: Db, tablet: string): boolean =>
  (readTablet(db, tablet)?.knownSinceMs ?? null) !== null;

export interface ByPin {
  readonly personId: string;
  readonly pin: string;
}
export async function signInByPin(
  db: Db,
  { personId, pin }: ByPin,
  tablet: string,
  nowMs: number,
): Promise<ServiceResult<Begun>> {
  if (!isKnownTablet(db, tablet)) return refused('This tablet is not known here: a passphrase opens it.', 'pin');
  const tried = takeTry(db, tablet, nowMs, 'pin');
  if (!tried.ok) return tried;
  const person = readPeople(db).find((p) => p.id === personId);
  if (!(await fits(person?.pinHash, pin))) return refused('That is not the PIN.', 'pin');
  return atomically(db, () => {
    forgetTries(db, tablet, nowMs);
    return ok({ token: beginAt(db, personId, tablet, nowMs), personId });
  });
}

/** Whoever is called so; two of one name are told by what they know. */
const named = (db: Db, name: string): readonly PersonRow[] => {
  const plain = name.trim().toLowerCase();
  return readPeople(db).filter((p) => p.name.toLowerCase() === plain);
};

async function ofPassphrase(db: Db, name: string, passphrase: string): Promise<PersonRow | null> {
  const people = named(db, name);
  // where there is nobody it takes as long
  if (people.length === 0) await fits(null, passphrase);
  for (const person of people) if (await fits(person.passHash, passphrase)) return person;
  return null;
}

export interface ByPassphrase {
  readonly name: string;
  readonly passphrase: string;
}
/** The same words whether the name or the passphrase is wrong. */
export async function signInByPassphrase(
  db: Db,
  { name, passphrase }: ByPassphrase,
  tablet: string,
  nowMs: number,
): Promise<ServiceResult<Begun>> {
  const at = countedAt(db, tablet);
  const tried = takeTry(db, at, nowMs, 'passphrase');
  if (!tried.ok) return tried;
  const person = await ofPassphrase(db, name, passphrase);
  if (person === null) {
    return refused('Name and passphrase do not go together.', 'passphrase');
  }
  return atomically(db, () => {
    forgetTries(db, at, nowMs);
    putTablet(db, tablet, nowMs, { knownSinceMs: nowMs });
    return ok({ token: beginAt(db, person.id, tablet, nowMs), personId: person.id });
  });
}

export interface ByCode {
  readonly name: string;
  readonly code: string;
  /** The new one. */
  readonly passphrase: string;
}
/** With a recovery code: it is used up, the passphrase is a new one, and every other tablet asks anew. */
export async function signInByCode(
  db: Db,
  { name, code, passphrase }: ByCode,
  tablet: string,
  nowMs: number,
): Promise<ServiceResult<Begun>> {
  const at = countedAt(db, tablet);
  const fault = passphraseFault(passphrase, [name, readStudio(db)?.name ?? '']);
  if (fault !== null) return refused(fault, 'passphrase');
  const tried = takeTry(db, at, nowMs, 'code');
  if (!tried.ok) return tried;
  const passHash = await keep(passphrase);
  return atomically(db, () => {
    const person = named(db, name).find((p) => useCode(db, p.id, codeHash(code), nowMs));
    if (!person) {
      return refused('Name and code do not go together, or the code was used.', 'code');
    }
    updatePerson(db, person.id, { passHash });
    dropSessionsOf(db, person.id);
    forgetTries(db, at, nowMs);
    putTablet(db, tablet, nowMs, { knownSinceMs: nowMs });
    return ok({ token: beginAt(db, person.id, tablet, nowMs), personId: person.id });
  });
}

export interface Turn {
  readonly personId: string;
  readonly pin: string;
  readonly passphrase: string;
}
/** From here on everybody signs in. Whoever turns it on is an owner and has signed in. */
export async function turnOn(
  db: Db,
  { personId, pin, passphrase }: Turn,
  tablet: string,
  nowMs: number,
): Promise<ServiceResult<Begun & { readonly codes: readonly string[] }>> {
  const studio = readStudio(db);
  const person = readPeople(db).find((p) => p.id === personId);
  if (!studio || !person) return notFound('person');
  if (signsIn(db)) return refused('Everybody signs in already.');
  if (person.role !== 'owner' && everybody(db).some((p) => p.active && p.role === 'owner')) {
    return refused('An owner turns this on.', 'personId');
  }
  const fault = passphraseFault(passphrase, [person.name, studio.name]);
  if (fault !== null) return refused(fault, 'passphrase');
  if (person.pinHash !== null) {
    const tried = takeTry(db, tablet, nowMs, 'pin');
    if (!tried.ok) return tried;
    if (!(await fits(person.pinHash, pin))) return refused(`That is not the PIN of ${person.name}.`, 'pin');
  }
  const [pinHash, passHash] = await Promise.all([person.pinHash ?? keep(pin), keep(passphrase)]);
  const codes = newCodes();
  return atomically(db, () => {
    const now = readStudio(db);
    if (!now || !setSettings(db, { ...now.settings, signsIn: true }, now.version)) return notFound('studio');
    updatePerson(db, personId, { role: 'owner', pinHash, passHash });
    putCodes(db, personId, codes.map(codeHash), nowMs);
    forgetTries(db, tablet, nowMs);
    putTablet(db, tablet, nowMs, { knownSinceMs: nowMs });
    dropAllSessions(db);
    return ok({ token: beginAt(db, personId, tablet, nowMs), personId, codes });
  });
}

/** Nobody signs in any more; with the owner's own passphrase. */
export async function turnOff(
  db: Db,
  { passphrase }: { readonly passphrase: string },
  who: SignedIn,
  at: { readonly tablet: string; readonly nowMs: number },
): Promise<ServiceResult<null>> {
  const right = await provePassphrase(db, who.personId, passphrase, at);
  if (!right.ok) return right;
  return atomically(db, () => {
    const now = readStudio(db);
    if (!now || !setSettings(db, { ...now.settings, signsIn: undefined }, now.version)) return notFound('studio');
    dropAllSessions(db);
    return ok(null);
  });
}

interface At {
  readonly tablet: string;
  readonly nowMs: number;
}

async function prove(
  db: Db,
  { kept, secret, path, not }: { readonly kept: string | null; readonly secret: string; path: string; not: string },
  { tablet, nowMs }: At,
): Promise<ServiceResult<null>> {
  const tried = takeTry(db, tablet, nowMs, path);
  if (!tried.ok) return tried;
  if (!(await fits(kept, secret))) return refused(not, path);
  forgetTries(db, tablet, nowMs);
  return ok(null);
}
const provePassphrase = (db: Db, personId: string, secret: string, at: At): Promise<ServiceResult<null>> =>
  prove(
    db,
    {
      kept: readPerson(db, personId)?.passHash ?? null,
      ...{ secret, path: 'passphrase', not: 'That is not your passphrase.' },
    },
    at,
  );
/** The PIN of the person who has signed in, as for lifting the curtain. */
export const provePin = (db: Db, personId: string, secret: string, at: At): Promise<ServiceResult<null>> =>
  prove(
    db,
    { kept: readPerson(db, personId)?.pinHash ?? null, ...{ secret, path: 'pin', not: 'That is not your PIN.' } },
    at,
  );

export type Mine =
  | { readonly pin: { readonly old: string; readonly pin: string } }
  | { readonly passphrase: { readonly pin: string; readonly passphrase: string } }
  | { readonly codes: { readonly passphrase: string } }
  | { readonly endOthers: true };

/** What somebody changes of their own doors; new codes are given once. */
export async function changeMine(
  db: Db,
  who: SignedIn,
  act: Mine,
  at: At,
): Promise<ServiceResult<{ readonly codes: readonly string[] | null }>> {
  const none = ok({ codes: null });
  if ('endOthers' in act) {
    dropSessionsOf(db, who.personId, who.id);
    return none;
  }
  if ('pin' in act) {
    const right = await provePin(db, who.personId, act.pin.old, at);
    if (!right.ok) return right;
    updatePerson(db, who.personId, { pinHash: await keep(act.pin.pin) });
    return none;
  }
  if ('passphrase' in act) {
    const fault = passphraseFault(act.passphrase.passphrase, [who.name, readStudio(db)?.name ?? '']);
    if (fault !== null) return refused(fault, 'passphrase');
    const right = await provePin(db, who.personId, act.passphrase.pin, at);
    if (!right.ok) return right;
    updatePerson(db, who.personId, { passHash: await keep(act.passphrase.passphrase) });
    // whoever came in with the old one is out
    dropSessionsOf(db, who.personId, who.id);
    return none;
  }
  const right = await provePassphrase(db, who.personId, act.codes.passphrase, at);
  if (!right.ok) return right;
  const codes = newCodes();
  atomically(db, () => ok(putCodes(db, who.personId, codes.map(codeHash), at.nowMs)));
  return ok({ codes });
}
