// What a client is booked for and how long: the services that were chosen, else what they last came for.

import 'server-only';
import { FIRST_VISIT_MIN, minutesOfServices, zonesOf } from '../../core/agreement';
import { TURNOVER_MIN } from '../../core/materials';
import { ok } from '../../core/shared';
import type { DbOrTx } from '../db/openDatabase';
import type { ZoneRef } from '../db/schema';
import { notFound, refused, type ServiceResult } from '../errors';
import { bookingsOfClient, readClient } from '../repos/clientRepo';
import { readPerson, readServices, readStudio } from '../repos/studioRepo';
import { chartsOf, closedVisits } from '../repos/visitRepo';
import { isSameZones, lengthFor, lengthWords } from './bookingLength';
import { zonesInWords } from './zonesInWords';

export interface BookingWanted {
  readonly zones: readonly ZoneRef[];
  readonly what: string;
  readonly minutes: number;
  /** On what the length rests. */
  readonly words: string;
}

interface Asked {
  readonly clientId: string;
  readonly personId: string;
  /** Absent or empty: what they last came for. */
  readonly services?: readonly string[] | undefined;
}

const USUAL_MINUTES = 30;

interface LastVisit {
  readonly zones: readonly ZoneRef[];
  readonly plannedMin: number | null;
}

/** Zones of the last visit that was done; null for who was never here. */
function lastDone(db: DbOrTx, clientId: string): LastVisit | null {
  const [visit] = closedVisits(db, clientId, 1);
  if (!visit) return null;
  // zones are checked on the way in
  const zones = chartsOf(db, visit.id).map(({ zone, side }) => ({ zone, side })) as LastVisit['zones'];
  return { zones, plannedMin: visit.plannedMin };
}

function forServices(db: DbOrTx, { clientId, personId, services = [] }: Asked): ServiceResult<BookingWanted> {
  const known = readServices(db);
  const strange = services.find((id) => !known.some((s) => s.id === id));
  if (strange !== undefined) return refused(`There is no service "${strange}".`, 'services');
  const chosen = known.filter((s) => services.includes(s.id));
  const does = readStudio(db)?.settings.servicesOf?.[personId];
  const other = does && chosen.find((s) => !does.includes(s.id));
  const who = readPerson(db, personId)?.name ?? 'This person';
  if (other) return refused(`${who} does not do ${other.name.toLowerCase()}.`, 'services');
  const zones = zonesOf(chosen);
  const last = lastDone(db, clientId);
  const listed = minutesOfServices(chosen, readStudio(db)?.settings.serviceMinutes);
  const isPlanned = last !== null && last.plannedMin !== null && isSameZones(zones, last.zones);
  const talk = last ? 0 : FIRST_VISIT_MIN;
  const plannedMin = isPlanned ? (last.plannedMin ?? 0) : Math.max(5, listed - TURNOVER_MIN + talk);
  const length = lengthFor(db, { clientId, personId, zones, plannedMin, turnoverMin: TURNOVER_MIN });
  const list = `${listed} min by the list${last ? '' : `, ${FIRST_VISIT_MIN} more for the talk of a first visit`}`;
  const pace = length.practitionerVisits > 0 ? `, at the pace of ${length.practitionerVisits} visits` : '';
  return ok({
    zones,
    what: zonesInWords(zones),
    minutes: length.minutes,
    words: isPlanned ? lengthWords(length) : `${list}${pace}, with room for a long one.`,
  });
}

/** The same as last time; as long as their visits take where just that was timed, else as it was booked. */
function asLastTime(db: DbOrTx, { clientId, personId }: Asked): BookingWanted {
  const [booking] = bookingsOfClient(db, clientId);
  const last = lastDone(db, clientId);
  const zones = booking?.zones ?? last?.zones ?? [];
  const what = zonesInWords(zones);
  if (last !== null && last.plannedMin !== null && isSameZones(zones, last.zones)) {
    const wanted = { clientId, personId, zones, plannedMin: last.plannedMin, turnoverMin: TURNOVER_MIN };
    const length = lengthFor(db, wanted);
    return { zones, what, minutes: length.minutes, words: lengthWords(length) };
  }
  return booking
    ? { zones, what, minutes: booking.minutes, words: 'As long as it was last booked.' }
    : { zones, what, minutes: USUAL_MINUTES, words: 'Nothing is known of how long it takes: half an hour.' };
}

export function bookingWanted(db: DbOrTx, asked: Asked): ServiceResult<BookingWanted> {
  if (!readClient(db, asked.clientId)) return notFound('client');
  if (!readPerson(db, asked.personId)) return notFound('person');
  return asked.services?.length ? forServices(db, asked) : ok(asLastTime(db, asked));
}
