// The care card of a visit: what the client takes home, on paper or as a message in the simulated post box.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { ZONES } from '../../core/anatomy';
import { careAfter, careBefore, careCatalogue } from '../../core/care';
import { typicalVisibleLength } from '../../core/hair';
import { deeds, standing } from '../../core/hands';
import { addDays, laterDate, ok } from '../../core/shared';
import { cardDay, cardTime, careLines, careMessage, type CareCard } from '../../formats/careCard';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { bookingsOfClient } from '../repos/clientRepo';
import { insertMessage } from '../repos/formRepo';
import { readPerson } from '../repos/studioRepo';
import { plannedBench } from './bench';
import { windowsOf } from './nextSlots';
import { ownCareWords } from './ownTexts';
import { zonesInWords } from './zonesInWords';

const WEEKS = 6;

/** A next visit that is chosen and not booked yet. */
export interface ChosenNext {
  readonly startsAtMs: number;
  readonly minutes: number;
}

/** Needs the plan; throws `PlanWanted` where it is still coming. */
export function careCard(db: Db, visitId: string, nowMs: number, chosen?: ChosenNext): ServiceResult<CareCard> {
  const bench = plannedBench(db, visitId, nowMs);
  if (!bench.ok) return notFound('visit');
  const { plan, visit, client, studio, journal, homeCare } = bench.value;
  const { timeZone } = studio;
  const worked = plan.zones.filter((z) => z.choice);
  const [first] = worked;
  if (!first || visit.endedAs !== null) {
    return refused('Nothing was worked at this visit: there is no care for it.', 'visit');
  }
  const zones = [...new Set(worked.map((z) => z.zone))];
  const families = [...new Set(worked.flatMap((z) => (z.choice ? [z.choice.family] : [])))];
  const finishedMs = deeds(standing(journal)).at(-1)?.atMs ?? visit.closedAtMs ?? nowMs;
  const isOver = visit.status === 'closed' || finishedMs !== nowMs;
  const [booked] = bookingsOfClient(db, client.id)
    .filter((b) => b.status === 'booked' && civilDateAt(b.startsAtMs, timeZone) > visit.onDate)
    .reverse();
  const next = booked ?? (chosen ? { ...chosen, personId: visit.personId } : undefined);
  const windows = windowsOf(plan);
  const regrowth = plan.regrowth.find((r) => r.zone === first.zone && r.side === first.side);
  const person = { rateFactor: regrowth?.rateFactor ?? 1, lagShiftDays: regrowth?.lagShiftDays ?? 0 };
  const { language } = client;
  const words = careCatalogue(language).card;
  const at = { nowMs: finishedMs, timeZone, language };
  return ok({
    language,
    zones: zonesInWords(worked),
    // counted from now while it goes on: nothing is finished then
    counted: (isOver ? words.finished : words.countedFrom)(cardTime(finishedMs, timeZone, language)),
    after: careLines(careAfter(zones, families), finishedMs, at),
    home: homeCare.advised,
    own: ownCareWords(db),
    before: next ? careLines(careBefore(), next.startsAtMs, at) : [],
    weeksMm: Array.from({ length: WEEKS }, (_, week) =>
      week === 0 ? 0 : typicalVisibleLength(ZONES[first.zone].growth, 'regular', person, 7 * week),
    ),
    readyFrom:
      windows.length === 0 || windows.length < worked.length
        ? null
        : cardDay(windows.map((w) => w.fromOn).reduce(laterDate, addDays(visit.onDate, 1)), language),
    next: next
      ? {
          when: cardTime(next.startsAtMs, timeZone, language),
          who: readPerson(db, next.personId)?.name ?? '',
          minutes: next.minutes,
        }
      : null,
  });
}

/** Puts the card into the simulated post box; nothing leaves the machine. */
export function postCareCard(
  db: Db,
  visitId: string,
  nowMs: number,
  chosen?: ChosenNext,
): ServiceResult<{ readonly id: string }> {
  return atomically(db, () => {
    const card = careCard(db, visitId, nowMs, chosen);
    if (!card.ok) return card;
    const bench = plannedBench(db, visitId, nowMs);
    if (!bench.ok) return notFound('visit');
    const id = randomUUID();
    insertMessage(db, {
      ...{ id, visitId, clientId: bench.value.client.id, kind: 'after-care', words: careMessage(card.value) },
      ...{ createdAtMs: nowMs, postedAtMs: nowMs },
    });
    return ok({ id });
  });
}
