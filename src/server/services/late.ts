// A client comes late: what still fits, what to drop, who is told.

import 'server-only';
import { lateAnswer, type LateZone } from '../../core/calendar';
import { addDays, ok } from '../../core/shared';
import type { Plan } from '../../core/plan';
import { civilDateAt, instantAt, timeInWords } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { bookingsBetween, clientName, readBooking, type BookingRow } from '../repos/clientRepo';
import { readStudio } from '../repos/studioRepo';
import { absencesBetween } from '../repos/deskRepo';
import { workedOn } from './freeTime';
import { zoneName } from './planCase';
import { planOfBooking } from './today';

export interface Late {
  readonly startsAtMs: number;
  /** When all of it is over. */
  readonly endsAtMs: number;
  readonly overMin: number;
  readonly fits: boolean;
  /** Zones to be dropped so that the rest fits, in words. */
  readonly drop: readonly string[];
  /** What stands after it. */
  readonly next: { readonly bookingId: string | null; readonly what: string; readonly startsAtMs: number } | null;
  /** In one line each: what fits, what to drop, who is told. */
  readonly says: readonly string[];
}

const MINUTE_MS = 60_000;
const LATEST_MIN = 120;
const DAY_MIN = 1440;

/** What a practitioner goes on to: the next visit, being away, or the end of the day. */
function nextOf(db: Db, { personId, startsAtMs }: BookingRow, closesMs: number): Late['next'] {
  const visits = bookingsBetween(db, startsAtMs + 1, closesMs + 1)
    .filter((b) => b.personId === personId)
    .map((b) => ({ bookingId: b.id, what: clientName(db, b.clientId), startsAtMs: b.startsAtMs }));
  const away = absencesBetween(db, startsAtMs + 1, closesMs, personId)
    .filter((a) => a.fromMs > startsAtMs)
    .map((a) => ({ bookingId: null, what: a.why, startsAtMs: a.fromMs }));
  return [...visits, ...away].sort((a, b) => a.startsAtMs - b.startsAtMs)[0] ?? null;
}

/** Minutes of each zone of the plan: its share of what all of them take together. */
function zonesOf(plan: Plan): readonly LateZone[] {
  const zones = plan.zones.flatMap((z) => {
    const option = z.options.find((o) => o.product === z.choice?.product && o.way === z.choice.way);
    const side = z.side === 'middle' ? '' : `, ${z.side}`;
    return option ? [{ key: `${zoneName(z.zone).toLowerCase()}${side}`, minutes: option.allMinutes }] : [];
  });
  const { layPullMin, readMin } = plan.time.parts;
  const alone = zones.reduce((s, z) => s + z.minutes, 0);
  return zones.map((z) => ({ ...z, minutes: (z.minutes * (layPullMin + readMin)) / Math.max(1e-9, alone) }));
}

export function late(db: Db, bookingId: string, lateMin: number, nowMs: number): ServiceResult<Late> {
  const booking = readBooking(db, bookingId);
  const studio = readStudio(db);
  if (!booking || !studio) return notFound('booking');
  if (lateMin < 1 || lateMin > LATEST_MIN) return refused('Between 1 minute and two hours.', 'minutes');
  const { timeZone } = studio;
  const plan = planOfBooking(db, booking, nowMs);
  const { startsAtMs } = booking;
  const on = civilDateAt(startsAtMs, timeZone);
  const closes = workedOn(studio, booking.personId, on).at(-1)?.toMin ?? DAY_MIN;
  // open to midnight ends with the next day's first minute
  const closesMs =
    closes >= DAY_MIN
      ? instantAt(addDays(on, 1), 0, 0, timeZone)
      : instantAt(on, Math.floor(closes / 60), closes % 60, timeZone);
  const next = nextOf(db, booking, closesMs);
  const beginsMs = startsAtMs + lateMin * MINUTE_MS;
  const minute = (atMs: number): number => (atMs - startsAtMs) / MINUTE_MS;
  const zones = plan ? zonesOf(plan) : [];
  const parts = plan?.time.parts;
  const fixedMin = parts ? parts.prepareMin + parts.finishMin + parts.turnoverMin : booking.minutes;
  const answer = lateAnswer({
    startMin: lateMin,
    zones,
    fixedMin,
    freeBy: minute(next?.startsAtMs ?? closesMs),
  });
  const at = (atMs: number): string => timeInWords(atMs, timeZone);
  const endsAtMs = startsAtMs + Math.ceil(answer.endMin) * MINUTE_MS;
  const overMin = Math.ceil(answer.overMin);
  return ok({
    ...{ startsAtMs: beginsMs, endsAtMs, overMin, fits: overMin === 0, drop: answer.drop, next },
    says: lateWords({ answer: { ...answer, overMin }, next, zones: zones.length, ends: at(endsAtMs), at }),
  });
}

function lateWords({
  answer,
  next,
  zones,
  ends,
  at,
}: {
  readonly answer: { readonly overMin: number; readonly drop: readonly string[] };
  readonly next: Late['next'];
  readonly zones: number;
  readonly ends: string;
  readonly at: (atMs: number) => string;
}): readonly string[] {
  const then = next ? `${next.what} at ${at(next.startsAtMs)}` : 'the end of the day';
  if (answer.overMin === 0) return [`All of it still fits: over at ${ends}, before ${then}.`];
  const over = `All of it is over at ${ends}, ${answer.overMin} min into ${then}.`;
  const isWhole = answer.drop.length === zones;
  const drop = isWhole
    ? 'Not one zone fits before it: move this visit.'
    : `Without ${answer.drop.join(', ')} the rest fits: offer another day for it.`;
  const tell = next?.bookingId ? [`If nothing is dropped, ${next.what} is told: ${answer.overMin} min later.`] : [];
  return zones === 0 ? [over, ...tell] : [over, drop, ...tell];
}
