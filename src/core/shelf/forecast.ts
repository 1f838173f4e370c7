// How long what is there lasts by the visits that are booked, and by when to order, so that it comes before the shelf
// is empty.

import { addDays, type CivilDate } from '../shared';
import { isPast, take, usable, type Lot } from './lots';

export interface Use {
  readonly on: CivilDate;
  readonly amount: number;
}

export interface ForecastInput {
  readonly lots: readonly Lot[];
  readonly uses: readonly Use[];
  readonly today: CivilDate;
  /** Last day looked at. */
  readonly toOn: CivilDate;
}

export interface Forecast {
  /** What is left at the end of each day on which it changes, in the order of time. */
  readonly stair: readonly { readonly on: CivilDate; readonly left: number }[];
  /** The first day on which it does not suffice; null = it lasts as far as is looked. */
  readonly emptyOn: CivilDate | null;
  /** The first lot that goes past with something in it. */
  readonly past: { readonly id: string; readonly on: CivilDate; readonly amount: number } | null;
}

export function forecast({ lots, uses, today, toOn }: ForecastInput): Forecast {
  let now = lots.map((l) => ({ ...l }));
  const stair: { readonly on: CivilDate; readonly left: number }[] = [];
  let emptyOn: CivilDate | null = null;
  let past: Forecast['past'] = null;
  let left = usable(now, today);
  for (let on = today; on <= toOn; on = addDays(on, 1)) {
    const over = now.find((l) => l.amount > 0 && isPast(l, on));
    if (over && past === null) past = { id: over.id, on, amount: over.amount };
    const wanted = uses.reduce((sum, u) => sum + (u.on === on ? u.amount : 0), 0);
    const { taken, missing } = take(now, wanted, on);
    now = now.map((l) => ({ ...l, amount: l.amount - (taken.find((t) => t.id === l.id)?.amount ?? 0) }));
    if (missing > 0) emptyOn ??= on;
    const next = usable(now, on);
    if (next !== left || stair.length === 0) stair.push({ on, left: next });
    left = next;
  }
  return { stair, emptyOn, past };
}

/** A day more than the parcel needs. */
const SPARE_DAYS = 1;

export interface OrderInput {
  readonly emptyOn: CivilDate;
  readonly deliveryDays: number;
  readonly today: CivilDate;
  /** Whether somebody is there to take the parcel. */
  readonly isOpen: (on: CivilDate) => boolean;
}

/**
 * The last day on which it can be ordered so that the parcel is taken in before it is needed; today where that is past.
 */
export function orderBy({ emptyOn, deliveryDays, today, isOpen }: OrderInput): CivilDate {
  for (let on = addDays(emptyOn, -deliveryDays - SPARE_DAYS); on > today; on = addDays(on, -1)) {
    // what comes while nobody is there waits until somebody is
    let taken = addDays(on, deliveryDays);
    while (taken < emptyOn && !isOpen(taken)) taken = addDays(taken, 1);
    if (taken < emptyOn) return on;
  }
  return today;
}

/** Packs that last so many days at the pace of the visits booked, at least one. */
export function packsFor(
  uses: readonly Use[],
  pack: number,
  { fromOn, days }: { fromOn: CivilDate; days: number },
): number {
  const toOn = addDays(fromOn, days);
  const wanted = uses.reduce((sum, u) => sum + (u.on >= fromOn && u.on < toOn ? u.amount : 0), 0);
  return Math.max(1, Math.ceil(wanted / pack));
}
