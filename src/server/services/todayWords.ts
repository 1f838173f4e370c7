// What needs a word before a visit of the day, with what can be done about it.

import 'server-only';
import { holdsFrom } from '../../core/matching';
import type { Plan } from '../../core/plan';
import { addDays, laterDate } from '../../core/shared';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { bookingsOfClient, type BookingRow, type ClientRow } from '../repos/clientRepo';
import type { StudioRow } from '../repos/studioRepo';
import { alertsOf } from './alerts';
import { sameHourOn } from './freeTime';
import { zoneName } from './planCase';

/** What needs a word, with what can be done about it. */
export interface TodayWord {
  readonly text: string;
  readonly weight: 'stop' | 'note';
  /** Two or three words for the band. */
  readonly short: string;
  readonly remedy?:
    | { readonly kind: 'form' }
    | { readonly kind: 'shelf' }
    | { readonly kind: 'move'; readonly startsAtMs: number; readonly on: string }
    /** Ten minutes to lay a patch test before the visit. */
    | { readonly kind: 'patch'; readonly startsAtMs: number }
    | undefined;
}

interface WordsFor {
  readonly plan: Plan | undefined;
  readonly client: ClientRow;
  readonly booking: BookingRow;
}

/** So many days after the first on which the hair is long enough a place is looked for. */
const LOOK_DAYS = 14;

/** The first free place once the hair is long enough, about the hour that was booked. */
function moveTo(db: Db, plan: Plan, booking: BookingRow, nowMs: number): TodayWord['remedy'] {
  const waits = plan.zones.filter((z) => z.choice === null).map((z) => holdsFrom(z.options));
  const first = waits.reduce<string | null>(
    (late, d) => (late === null || d === null ? null : laterDate(late, d)),
    waits[0] ?? null,
  );
  if (first === null) return undefined;
  for (let k = 0; k < LOOK_DAYS; k++) {
    const on = addDays(first, k);
    const startsAtMs = sameHourOn(db, booking, on, nowMs);
    if (startsAtMs !== null) return { kind: 'move', startsAtMs, on };
  }
  return undefined;
}

/** A test is laid so many days before, so that it can be read before the visit. */
const PATCH_DAYS = 2;
const PATCH_MIN = 10;

/** Ten minutes at the same hour while there are days enough; else the talk at the visit itself. */
function patchRemedy(db: Db, booking: BookingRow, on: string, nowMs: number): TodayWord['remedy'] {
  // one that is booked already is waited for
  const booked = bookingsOfClient(db, booking.clientId).some(
    (b) => b.status === 'booked' && b.zones.length === 0 && b.startsAtMs > nowMs && b.startsAtMs < booking.startsAtMs,
  );
  if (booked) return { kind: 'form' };
  const layOn = addDays(on, -PATCH_DAYS);
  const wanted = { id: '', personId: booking.personId, startsAtMs: booking.startsAtMs, minutes: PATCH_MIN };
  const startsAtMs = sameHourOn(db, wanted, layOn, nowMs);
  return startsAtMs !== null && startsAtMs > nowMs ? { kind: 'patch', startsAtMs } : { kind: 'form' };
}

/** Nothing but a patch test stands between the client and some wax. */
const isPatchDue = (z: Plan['zones'][number]): boolean =>
  z.choice === null && z.options.some((o) => o.excludedBy.length === 1 && o.excludedBy[0] === 'patch.new-product');

/** Tests that are laid and wait to be read when the client comes. */
const unread = ({ profile }: ClientRow, on: string): readonly TodayWord[] =>
  profile.patchTests
    .filter((t) => t.result === null && t.laidOn < on)
    .map((t) => ({
      text: `Patch test of ${t.product.replaceAll('-', ' ')}, ${t.place}, laid on ${t.laidOn}: read it first.`,
      weight: 'note',
      short: 'read the patch test',
      remedy: { kind: 'form' },
    }));

export function wordsFor(
  db: Db,
  { plan, client, booking }: WordsFor,
  { studio, nowMs }: { readonly studio: StudioRow; readonly nowMs: number },
): readonly TodayWord[] {
  const on = civilDateAt(booking.startsAtMs, studio.timeZone);
  const minor = alertsOf(client, on).filter((a) => a.startsWith('Under 18'));
  const open = alertsOf(client, on).filter((a) => a.startsWith('No consent'));
  const alerts = (minor.length > 0 ? minor : open).map((text): TodayWord => ({
    text,
    weight: 'stop',
    short: 'no consent',
    remedy: { kind: 'form' },
  }));
  if (!plan) return alerts;
  const { screening, zones } = plan;
  const isStopped = minor.length === 0 && (screening.outcome === 'postpone' || screening.outcome === 'decline');
  const why = screening.reasons.find((r) => r.outcome === screening.outcome)?.text ?? 'Screening stops this visit.';
  const stopped: readonly TodayWord[] = isStopped ? [{ text: why, weight: 'stop', short: 'not today' }] : [];
  const patch: readonly TodayWord[] = zones.some(isPatchDue)
    ? [
        {
          text: 'New to this skin: a patch test, read after 24–48 h, before any wax.',
          weight: 'stop',
          short: 'patch test first',
          remedy: patchRemedy(db, booking, on, nowMs),
        },
      ]
    : [];
  const waiting = zones.filter(
    (z) => z.choice === null && z.outcome !== 'postpone' && z.outcome !== 'decline' && !isPatchDue(z),
  );
  const short = waiting.map((z, i): TodayWord => {
    const text = `${zoneName(z.zone)}: ${z.reasons[0] ?? ''}`;
    // the remedy is for the whole visit: said once, where nothing of it can be worked
    const remedy = i === 0 && waiting.length === zones.length ? moveTo(db, plan, booking, nowMs) : undefined;
    return { text, weight: 'stop', short: 'hair too short', remedy };
  });
  const trims = zones
    .filter((z) => z.options.find((o) => o.product === z.choice?.product && o.way === z.choice.way)?.trimFirst)
    .map((z): TodayWord => ({
      text: `${zoneName(z.zone)}: likely too long, trim to about 6 mm first.`,
      weight: 'note',
      short: 'trim first',
    }));
  return [...alerts, ...stopped, ...patch, ...unread(client, on), ...short, ...trims];
}
