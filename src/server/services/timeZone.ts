// The studio's time zone: taken from the machine at the first start. Days on paper and on the screen hang on it, so one
// that cannot be used is asked for in words.

import 'server-only';
import { readlinkSync } from 'node:fs';
import { eq } from 'drizzle-orm';
import { DatabaseRefused } from '../db/fileFaults';
import type { Db } from '../db/openDatabase';
import { studio } from '../db/schema';
import { readStudio } from '../repos/studioRepo';

/** True for a name of the IANA time zone database that this Node.js knows. */
export function isTimeZone(name: string | undefined): name is string {
  if (name === undefined || name === '') return false;
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** Where the machine's clock is said to stand, as a link into the zone files; undefined where it is none. */
function linkedZone(link: string): string | undefined {
  try {
    return readlinkSync(link).split('/zoneinfo/')[1];
  } catch {
    return undefined;
  }
}

/**
 * The machine's zone: as Node.js tells it, else as the system's own link has it.
 * Throws `DatabaseRefused`, which says what to do, where neither is a zone.
 */
export function machineZone(
  told: string | undefined = new Intl.DateTimeFormat().resolvedOptions().timeZone,
  link = '/etc/localtime',
): string {
  const zone = [told, linkedZone(link)].find(isTimeZone);
  if (zone !== undefined) return zone;
  const tz = process.env['TZ'];
  throw new DatabaseRefused(
    `This machine does not say in which time zone the studio stands${tz === undefined ? '' : ` (TZ is "${tz}")`}. Nothing was changed. Start with the name of one, for example TZ=Europe/London npm start.`,
  );
}

/** A studio whose zone cannot be used gets the machine's. @returns the new zone; null where all was well */
export function mendTimeZone(db: Db): string | null {
  const now = readStudio(db);
  if (!now || isTimeZone(now.timeZone)) return null;
  const timeZone = machineZone();
  db.update(studio).set({ timeZone }).where(eq(studio.id, 1)).run();
  return timeZone;
}
