// What stands in the way of a visit at a time: the practitioner’s own bookings and away times, the treatment tables.

import 'server-only';
import { fullSpans } from '../../core/calendar';
import type { DbOrTx } from '../db/openDatabase';
import { bookingsBetween, clashingBooking, clientName, type BookingRow } from '../repos/clientRepo';
import { absencesBetween } from '../repos/deskRepo';
import { readPerson, readStudio } from '../repos/studioRepo';

/** Where a booking is wanted. */
export type WantedPlace = Pick<BookingRow, 'personId' | 'startsAtMs' | 'minutes'>;

const MINUTE_MS = 60_000;
/** No booking is longer. */
const LONGEST_MIN = 600;

function tableWords(tables: number): string {
  if (tables === 1) return 'finds the table taken';
  return tables === 2 ? 'finds both tables taken' : `finds all ${tables} tables taken`;
}

/** Whether at some minute of a place every table is taken by others. */
function areTablesTaken(
  db: DbOrTx,
  { personId, startsAtMs, minutes }: WantedPlace,
  but: string,
  tables: number,
): boolean {
  const others = bookingsBetween(db, startsAtMs - LONGEST_MIN * MINUTE_MS, startsAtMs + minutes * MINUTE_MS)
    .filter((b) => b.personId !== personId && b.id !== but)
    .map((b) => {
      const fromMin = (b.startsAtMs - startsAtMs) / MINUTE_MS;
      return { fromMin: Math.max(0, fromMin), toMin: Math.min(minutes, fromMin + b.minutes) };
    })
    .filter((s) => s.toMin > s.fromMin);
  return fullSpans(others, tables).length > 0;
}

/**
 * What a place meets, to be read after its time: `meets Corwin’s visit`; null where nothing.
 * @param but a booking that does not count
 */
export function takenBy(db: DbOrTx, wanted: WantedPlace, but = ''): string | null {
  const { personId, startsAtMs, minutes } = wanted;
  const taken = clashingBooking(db, wanted, but);
  if (taken) return `meets ${clientName(db, taken.clientId).split(' ')[0] ?? ''}’s visit`;
  const [away] = absencesBetween(db, startsAtMs, startsAtMs + minutes * MINUTE_MS, personId);
  if (away) return `is away time of ${readPerson(db, personId)?.name ?? ''}: ${away.why}`;
  const tables = readStudio(db)?.settings.tables?.length ?? 0;
  return tables > 0 && areTablesTaken(db, wanted, but, tables) ? tableWords(tables) : null;
}
