// When the studio is open, and its closed days.

import 'server-only';
import { hoursFault, USUAL_HOURS, type ClosedDays, type WeekHours } from '../../core/calendar';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { readStudio, setSettings } from '../repos/studioRepo';

export interface StudioHours {
  readonly hours: WeekHours;
  readonly closed: readonly ClosedDays[];
  /** Nobody has said so yet: these are the usual ones. */
  readonly isPreset: boolean;
  readonly studioVersion: number;
}

export function loadHours(db: Db): ServiceResult<StudioHours> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { hours, closed } = studio.settings;
  return ok({
    hours: hours ?? USUAL_HOURS,
    closed: closed ?? [],
    isPreset: hours === undefined,
    studioVersion: studio.version,
  });
}

export interface SaveHours {
  readonly version: number;
  readonly hours: WeekHours;
  readonly closed: readonly ClosedDays[];
}

/** Saves the whole week at once; bookings that lie outside it stay. */
export function saveHours(db: Db, { version, hours, closed }: SaveHours): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    const fault = hoursFault(hours);
    if (fault !== null) return refused(fault, 'hours');
    const wrong = closed.findIndex((c) => c.to < c.from);
    if (wrong >= 0) return refused('The last closed day lies before the first.', `closed[${wrong}].to`);
    if (studio.version === version && setSettings(db, { ...studio.settings, hours, closed }, version)) return ok(null);
    const newer = loadHours(db);
    return stale(newer.ok ? newer.value : null);
  });
}
