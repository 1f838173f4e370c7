// When the studio is open, and its closed days.

import 'server-only';
import { hoursFault, USUAL_HOURS, type ClosedDays, type WeekHours } from '../../core/calendar';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { readPeople, readPerson, readStudio, setSettings } from '../repos/studioRepo';

export interface StudioHours {
  readonly hours: WeekHours;
  readonly closed: readonly ClosedDays[];
  /** Whose week differs from the studio's, by person. */
  readonly hoursOf: Readonly<Record<string, WeekHours>>;
  /** Names of the treatment tables; empty = nobody has said how many: no limit. */
  readonly tables: readonly string[];
  readonly people: readonly { readonly id: string; readonly name: string; readonly hasFeed: boolean }[];
  /** Nobody has said so yet: these are the usual ones. */
  readonly isPreset: boolean;
  readonly studioVersion: number;
}

export function loadHours(db: Db): ServiceResult<StudioHours> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { hours, closed, hoursOf, tables } = studio.settings;
  return ok({
    hours: hours ?? USUAL_HOURS,
    closed: closed ?? [],
    hoursOf: hoursOf ?? {},
    tables: tables ?? [],
    people: readPeople(db).map(({ id, name, feedHash }) => ({ id, name, hasFeed: feedHash !== null })),
    isPreset: hours === undefined,
    studioVersion: studio.version,
  });
}

export interface SaveHours {
  readonly version: number;
  readonly hours: WeekHours;
  readonly closed: readonly ClosedDays[];
  /** Absent = as it is. */
  readonly hoursOf?: Readonly<Record<string, WeekHours>> | undefined;
  /** Absent = as it is. */
  readonly tables?: readonly string[] | undefined;
}

/** Saves the whole week at once; bookings that lie outside it stay. */
export function saveHours(db: Db, { version, hours, closed, hoursOf, tables }: SaveHours): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    const fault = hoursFault(hours);
    if (fault !== null) return refused(fault, 'hours');
    for (const [personId, week] of Object.entries(hoursOf ?? {})) {
      const own = hoursFault(week);
      if (own !== null) return refused(own, `hoursOf.${personId}`);
      if (!readPerson(db, personId)) return notFound('person');
    }
    const wrong = closed.findIndex((c) => c.to < c.from);
    if (wrong >= 0) return refused('The last closed day lies before the first.', `closed[${wrong}].to`);
    const more = { ...(hoursOf ? { hoursOf } : {}), ...(tables ? { tables } : {}) };
    const settings = { ...studio.settings, hours, closed, ...more };
    if (studio.version === version && setSettings(db, settings, version)) return ok(null);
    const newer = loadHours(db);
    return stale(newer.ok ? newer.value : null);
  });
}
