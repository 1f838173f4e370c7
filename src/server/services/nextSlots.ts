// Free places for the next visit of a client, offered at the end of this one, and what a date that counts asks for.

import 'server-only';
import {
  openOn,
  proposeSlots,
  slotOn,
  smoothSeries,
  type Slot,
  type SlotInput,
  type SmoothSeries,
} from '../../core/calendar';
import { ZONES, zoneKey } from '../../core/anatomy';
import { isClear } from '../../core/care';
import { returnWindows, type Plan } from '../../core/plan';
import { addDays, daysBetween, laterDate, ok } from '../../core/shared';
import { civilDateAt, instantAt, wallTimeAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { bookingsOfClient, readClient } from '../repos/clientRepo';
import { closedVisits } from '../repos/visitRepo';
import { plannedBench } from './bench';
import { lengthFor, lengthWords, plannedMinutes } from './bookingLength';
import { busyOf, hoursOfPerson } from './freeTime';

export interface OfferedSlot extends Slot {
  readonly startsAtMs: number;
}

export interface NextSlots {
  /** Up to three, best first. */
  readonly slots: readonly OfferedSlot[];
  /** The best place of the day that was asked for; null where that day has none, or no day was asked for. */
  readonly asked: OfferedSlot | null;
  readonly minutes: number;
  /** On what the length rests. */
  readonly lengthWords: string;
  /** The client's own dates that are kept free. */
  readonly away: readonly { readonly from: string; readonly to: string; readonly why: string }[];
  /** What must be smooth on a date asks for; null where no date was given, or it is too near for any wax. */
  readonly smooth: SmoothSeries | null;
}

export interface SlotsAsked {
  /** A day to come. */
  readonly about?: string | undefined;
  /** A date on which the skin must be smooth. */
  readonly smoothOn?: string | undefined;
}

const PAST_VISITS = 8;
/** Beyond the last window days beside it are looked at. */
const BESIDE_DAYS = 30;

/** The return windows of a plan's zones. */
export const windowsOf = (plan: Plan): ReturnType<typeof returnWindows> =>
  returnWindows(
    plan.zones.map((z) => ({
      name: ZONES[z.zone].name,
      side: z.side,
      family: z.choice?.family ?? z.options.find((o) => o.eligible)?.family,
    })),
    plan.zones.map((z) => plan.regrowth.find((r) => zoneKey(r) === zoneKey(z)) ?? { ready: [] }),
  );

/** When the client came before: booked visits that are past, else closed ones by when they began. */
function pastOf(db: Db, clientId: string, nowMs: number, timeZone: string): SlotInput['past'] {
  const booked = bookingsOfClient(db, clientId).filter((b) => b.status === 'booked' && b.startsAtMs < nowMs);
  const began = closedVisits(db, clientId, PAST_VISITS).map((v) => v.createdAtMs);
  const starts = [...booked.map((b) => b.startsAtMs), ...began].sort((a, b) => b - a).slice(0, PAST_VISITS);
  return starts.map((atMs) => {
    const { hour, minute } = wallTimeAt(atMs, timeZone);
    return { on: civilDateAt(atMs, timeZone), startMin: 60 * hour + minute };
  });
}

function smoothOf(plan: Plan, on: string, eventOn: string, input: SlotInput): SmoothSeries | null {
  const { windows, hours, closed, blackouts } = input;
  const isFree = (day: string): boolean => openOn(hours, closed, day).length > 0 && isClear(day, blackouts);
  const [first] = windows;
  if (!first) return null;
  const readyFrom = Math.max(...windows.map((w) => daysBetween(on, w.fromOn)));
  const readyTo = Math.min(...windows.map((w) => daysBetween(on, w.toOn)));
  const smoothDays = Math.min(...plan.regrowth.map((r) => r.smoothDays));
  return smoothSeries({ from: on, eventOn, smoothDays, readyFrom, readyTo: Math.max(readyFrom, readyTo), isFree });
}

/** Needs the plan; throws `PlanWanted` where it is still coming. */
export function nextSlots(db: Db, visitId: string, asked: SlotsAsked, nowMs: number): ServiceResult<NextSlots> {
  const bench = plannedBench(db, visitId, nowMs);
  if (!bench.ok) return notFound('visit');
  const { plan, visit, client, studio } = bench.value;
  const { timeZone, settings } = studio;
  const { personId } = visit;
  const windows = windowsOf(plan);
  const today = civilDateAt(nowMs, timeZone);
  const firstOn = addDays(laterDate(visit.onDate, today), 1);
  const lastOn = windows.reduce((d, w) => laterDate(d, w.toOn), laterDate(firstOn, asked.about ?? firstOn));
  const { parts } = plan.time;
  const zones = plan.zones.map(({ zone, side }) => ({ zone, side }));
  const wanted = {
    clientId: client.id,
    personId,
    zones,
    plannedMin: plannedMinutes(parts),
    turnoverMin: parts.turnoverMin,
  };
  const length = lengthFor(db, wanted);
  const { minutes } = length;
  const profile = readClient(db, client.id)?.profile;
  const input: SlotInput = {
    windows,
    blackouts: profile?.blackout ?? [],
    avoid: profile?.avoid,
    hours: hoursOfPerson(studio, personId),
    closed: settings.closed ?? [],
    busy: busyOf(db, { personId, fromOn: firstOn, toOn: addDays(lastOn, BESIDE_DAYS) }, timeZone),
    minutes,
    past: pastOf(db, client.id, nowMs, timeZone),
    firstOn,
  };
  const at = (slot: Slot): OfferedSlot => ({
    ...slot,
    startsAtMs: instantAt(slot.on, Math.floor(slot.startMin / 60), slot.startMin % 60, timeZone),
  });
  const day = asked.about === undefined ? null : slotOn(input, asked.about);
  return ok({
    slots: proposeSlots({ ...input, about: asked.about }).map(at),
    asked: day && at(day),
    minutes,
    lengthWords: lengthWords(length),
    away: input.blackouts,
    smooth: asked.smoothOn === undefined ? null : smoothOf(plan, visit.onDate, asked.smoothOn, input),
  });
}
