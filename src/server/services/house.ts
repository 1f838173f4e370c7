// The studio itself: its name, clock, money and week; who works here; its own services.

import 'server-only';
import { randomUUID } from 'node:crypto';
import type { ServiceZone } from '../../core/agreement';
import type { Role } from '../../core/doors';
import { ok } from '../../core/shared';
import { fits, keep } from '../auth/secrets';
import { DOOR, forgetTries, takeTry } from '../auth/tries';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { readIn, tellReadIn, type ReadIn } from '../readIn';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { bookingsBetween } from '../repos/clientRepo';
import {
  allServices,
  everybody,
  insertPerson,
  lastServicePlace,
  putService,
  renameStudio,
  updatePerson,
} from '../repos/houseRepo';
import { dropSessionsOf } from '../repos/doorRepo';
import { lastEntrySeq } from '../repos/ledgerRepo';
import { readServices, readStudio, setPin, setSettings, type PersonRow, type StudioRow } from '../repos/studioRepo';
import { zoneRefFault } from './openVisit';
import { isTimeZone } from './timeZone';

const YEAR_MS = 366 * 86_400_000;

export interface House extends ReadIn {
  readonly name: string;
  readonly timeZone: string;
  readonly currency: string;
  readonly firstWeekday: number;
  readonly roomC: number;
  readonly humidityPct: number;
  /** True where everybody signs in. */
  readonly signsIn: boolean;
  readonly people: readonly (Pick<PersonRow, 'id' | 'name' | 'level' | 'active' | 'role'> & {
    readonly hasPin: boolean;
    readonly hasPassphrase: boolean;
    /** Services that they do; null = all. */
    readonly does: readonly string[] | null;
  })[];
  readonly services: readonly {
    readonly id: string;
    readonly name: string;
    readonly says: string;
    readonly zones: readonly ServiceZone[];
  }[];
  readonly studioVersion: number;
}

export function loadHouse(db: Db): ServiceResult<House> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { name, timeZone, currency, settings, version } = studio;
  return ok({
    ...{ name, timeZone, currency, studioVersion: version, firstWeekday: settings.firstWeekday ?? 0 },
    ...readIn(settings),
    ...{ roomC: settings.roomC, humidityPct: settings.humidityPct, signsIn: settings.signsIn === true },
    people: everybody(db).map((p) => ({
      ...{ id: p.id, name: p.name, level: p.level, active: p.active, role: p.role },
      ...{ hasPin: p.pinHash !== null, hasPassphrase: p.passHash !== null },
      does: settings.servicesOf?.[p.id] ?? null,
    })),
    services: readServices(db),
  });
}

export type HouseAct =
  | {
      readonly studio: ReadIn & {
        readonly version: number;
        readonly name: string;
        readonly timeZone: string;
        readonly currency: string;
        readonly firstWeekday: number;
        readonly roomC: number;
        readonly humidityPct: number;
      };
    }
  | { readonly newPerson: { readonly name: string; readonly level: PersonRow['level']; readonly role: Role } }
  | {
      readonly person: {
        readonly id: string;
        readonly name: string;
        readonly level: PersonRow['level'];
        readonly role: Role;
        readonly active: boolean;
        readonly does: readonly string[] | null;
      };
    }
  | {
      readonly service: {
        /** Null = a new one. */
        readonly id: string | null;
        readonly name: string;
        readonly says: string;
        readonly zones: readonly ServiceZone[];
      };
    }
  | { readonly noService: { readonly id: string } };

export interface PinChange {
  readonly id: string;
  /** Null = there is none yet. */
  readonly old: string | null;
  readonly pin: string;
}

export function houseAct(db: Db, act: HouseAct, nowMs: number): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    if ('studio' in act) return saveStudio(db, studio, act.studio);
    if ('newPerson' in act) {
      insertPerson(db, { id: randomUUID(), ...act.newPerson });
      return ok(null);
    }
    if ('person' in act) return savePerson(db, studio, act.person, nowMs);
    if ('service' in act) return saveService(db, act.service);
    return endService(db, act.noService.id);
  });
}

type Saved = Extract<HouseAct, { studio: unknown }>['studio'];
function saveStudio(
  db: Db,
  studio: StudioRow,
  { version, name, timeZone, currency, ...facts }: Saved,
): ServiceResult<null> {
  if (!isTimeZone(timeZone)) return refused('There is no such time zone.', 'studio.timeZone');
  if (currency !== studio.currency && lastEntrySeq(db) > 0) {
    return refused(`The ledger has lines in ${studio.currency}: a new currency needs a new studio.`, 'studio.currency');
  }
  if (!setSettings(db, { ...studio.settings, ...facts }, version)) return stale(null);
  renameStudio(db, { name, timeZone, currency });
  tellReadIn(facts);
  return ok(null);
}

function savePerson(
  db: Db,
  studio: StudioRow,
  { id, name, level, role, active, does }: Extract<HouseAct, { person: unknown }>['person'],
  nowMs: number,
): ServiceResult<null> {
  const all = everybody(db);
  const person = all.find((p) => p.id === id);
  if (!person) return notFound('person');
  if (person.active && !active) {
    if (!all.some((p) => p.active && p.id !== id)) return refused('Somebody has to work here.', 'person.active');
    const ahead = bookingsBetween(db, nowMs, nowMs + YEAR_MS).filter((b) => b.personId === id).length;
    if (ahead > 0) return refused(`${person.name} has ${ahead} visits ahead: move them first.`, 'person.active');
  }
  const isLastOwner = person.role === 'owner' && !all.some((p) => p.active && p.role === 'owner' && p.id !== id);
  if (isLastOwner && (role !== 'owner' || !active)) return refused('One owner has to stay.', 'person.role');
  const known = new Set(readServices(db).map((s) => s.id));
  if (does?.some((s) => !known.has(s))) return refused('There is no such service.', 'person.does');
  updatePerson(db, id, { name, level, role, active });
  // what they may do is another thing now: they sign in anew
  if (role !== person.role || !active) dropSessionsOf(db, id);
  const others = Object.entries(studio.settings.servicesOf ?? {}).filter(([p]) => p !== id);
  const servicesOf = Object.fromEntries(does === null ? others : [...others, [id, does]]);
  return setSettings(db, { ...studio.settings, servicesOf }, studio.version) ? ok(null) : stale(null);
}

/**
 * With the PIN until now; a wrong one is counted although it is refused.
 * @param resets true where an owner who has signed in gives somebody else a new one
 */
export async function changePin(
  db: Db,
  { id, old, pin }: PinChange,
  nowMs: number,
  resets = false,
): Promise<ServiceResult<null>> {
  const person = everybody(db).find((p) => p.id === id);
  if (!person) return notFound('person');
  if (person.pinHash !== null && !resets) {
    const tried = takeTry(db, DOOR, nowMs, 'old');
    if (!tried.ok) return tried;
    if (old === null || !(await fits(person.pinHash, old))) return refused('That is not the PIN until now.', 'old');
    forgetTries(db, DOOR, nowMs);
  }
  setPin(db, id, await keep(pin));
  // whoever came in with the old one is out
  if (resets) dropSessionsOf(db, id);
  return ok(null);
}

type OwnService = Extract<HouseAct, { service: unknown }>['service'];
/** The first change takes the shipped ones over as the studio's own. */
function takeOver(db: Db): void {
  if (allServices(db).length > 0) return;
  readServices(db).forEach((s, place) => putService(db, { ...s, place }));
}

function saveService(db: Db, { id, name, says, zones }: OwnService): ServiceResult<null> {
  const fault = zoneRefFault(zones);
  if (fault !== null) return refused(fault, 'service.zones');
  takeOver(db);
  const known = allServices(db);
  const own = id === null ? undefined : known.find((s) => s.id === id);
  if (id !== null && !own) return notFound('service');
  if (known.some((s) => s.active && s.id !== id && s.name.toLowerCase() === name.toLowerCase())) {
    return refused('There is one of that name already.', 'service.name');
  }
  putService(db, { id: id ?? randomUUID(), name, says, zones, place: own?.place ?? lastServicePlace(db) + 1 });
  return ok(null);
}

/** Offered no more; visits and lines of money that name it keep its name. */
function endService(db: Db, id: string): ServiceResult<null> {
  takeOver(db);
  const all = allServices(db);
  const own = all.find((s) => s.id === id && s.active);
  if (!own) return notFound('service');
  if (all.filter((s) => s.active).length === 1) return refused('One service has to stay.', 'noService.id');
  putService(db, { ...own, active: false });
  return ok(null);
}
