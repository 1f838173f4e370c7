// How long the next visit is booked: learned from this client's visits of the same zones and from the practitioner's.

import 'server-only';
import { visitLength, type TimedVisit, type VisitLength } from '../../core/calendar';
import { deeds, standing, type TableEvent } from '../../core/hands';
import type { Plan } from '../../core/plan';
import type { DbOrTx } from '../db/openDatabase';
import type { ZoneRef } from '../db/schema';
import { chartsOfClient } from '../repos/pastRepo';
import { timedOfClient, timedOfPerson } from '../repos/visitRepo';

const MINUTE_MS = 60_000;

/** Minutes of a plan's parts without turnover. */
export const plannedMinutes = ({ prepareMin, layPullMin, readMin, finishMin }: Plan['time']['parts']): number =>
  prepareMin + layPullMin + readMin + finishMin;

/** Minutes from the first act at the table to the last; null where there are not two. */
export function tableMinutes(journal: readonly TableEvent[]): number | null {
  const acts = deeds(standing(journal));
  const [first, last] = [acts[0], acts.at(-1)];
  return first && last && last.atMs > first.atMs ? (last.atMs - first.atMs) / MINUTE_MS : null;
}

const keyOf = (zones: readonly ZoneRef[]): string =>
  zones
    .map((z) => `${z.zone}/${z.side}`)
    .sort()
    .join(' ');

export const isSameZones = (a: readonly ZoneRef[], b: readonly ZoneRef[]): boolean => keyOf(a) === keyOf(b);

export interface LengthWanted {
  readonly clientId: string;
  readonly personId: string;
  readonly zones: readonly ZoneRef[];
  /** By the plan, without turnover. */
  readonly plannedMin: number;
  readonly turnoverMin: number;
}

export function lengthFor(db: DbOrTx, wanted: LengthWanted): VisitLength {
  const { clientId, personId, zones, plannedMin, turnoverMin } = wanted;
  const timed = timedOfClient(db, clientId);
  const [oldest] = timed;
  const charted = oldest ? chartsOfClient(db, clientId, oldest.onDate) : new Map<string, readonly ZoneRef[]>();
  const own: readonly TimedVisit[] = timed.filter((v) => isSameZones(charted.get(v.id) ?? [], zones));
  return visitLength({ plannedMin, turnoverMin, own, practitioner: timedOfPerson(db, personId, clientId) });
}

/** On what a length rests, in one line. */
export function lengthWords({ ownVisits, ownRange, practitionerVisits, plannedMin }: VisitLength): string {
  const planned = `this plan is ${Math.round(plannedMin)}`;
  if (ownVisits > 0 && ownRange) {
    const [least, most] = ownRange.map(Math.round);
    const took = least === most ? `${least}` : `${least}–${most}`;
    return `${ownVisits === 1 ? 'Their last visit' : `Their last ${ownVisits} visits`} took ${took} min at the table; ${planned}, with room for a long one and the turnover.`;
  }
  return practitionerVisits > 0 ? `By the plan, at the pace of ${practitionerVisits} visits.` : 'By the plan.';
}
