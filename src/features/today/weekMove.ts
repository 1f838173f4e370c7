// Moving a booking over the week, by hand or by keys: taken up, carried from place to place, let go; where it clashes,
// the place that is free is offered. A value and its steps, without React.

import type { WeekBooking } from '@/server/services/week';

/** A column of the week: a day of a person. */
export interface Column {
  readonly on: string;
  readonly personId: string;
}
export interface Place extends Column {
  readonly startMin: number;
}

export type Move =
  | { readonly kind: 'idle' }
  | { readonly kind: 'held'; readonly booking: WeekBooking; readonly at: Place; readonly by: 'hand' | 'keys' }
  | { readonly kind: 'sending'; readonly booking: WeekBooking; readonly at: Place }
  /** It clashes there; `free` is what is offered, null where the day is full. */
  | {
      readonly kind: 'refused';
      readonly booking: WeekBooking;
      readonly at: Place;
      readonly free: number | null;
      readonly why: string;
    };

export type MoveEvent =
  | { readonly kind: 'taken'; readonly booking: WeekBooking; readonly by: 'hand' | 'keys' }
  | { readonly kind: 'carried'; readonly to: Place }
  | { readonly kind: 'stepped'; readonly columns: number; readonly minutes: number }
  | { readonly kind: 'dropped' }
  | { readonly kind: 'done' }
  | { readonly kind: 'clashed'; readonly free: number | null; readonly why: string }
  | { readonly kind: 'accepted' }
  | { readonly kind: 'letGo' };

export const IDLE: Move = { kind: 'idle' };
export const GRID_MIN = 15;
const LAST_MIN = 1440;

export const placeOf = ({ on, personId, startMin }: WeekBooking): Place => ({ on, personId, startMin });
export const isSame = (a: Place, b: Place): boolean =>
  a.on === b.on && a.personId === b.personId && a.startMin === b.startMin;

/** The place some columns and minutes on; held within the columns and the day. */
function stepped(
  columns: readonly Column[],
  at: Place,
  by: { readonly columns: number; readonly minutes: number },
): Place {
  const index = columns.findIndex((c) => c.on === at.on && c.personId === at.personId);
  const to = columns[Math.min(columns.length - 1, Math.max(0, index + by.columns))] ?? at;
  const startMin = Math.min(LAST_MIN - GRID_MIN, Math.max(0, at.startMin + by.minutes));
  return { on: to.on, personId: to.personId, startMin };
}

export function moved(columns: readonly Column[], move: Move, event: MoveEvent): Move {
  switch (event.kind) {
    case 'taken':
      // what has begun or is past stays
      return event.booking.state === 'booked'
        ? { kind: 'held', booking: event.booking, at: placeOf(event.booking), by: event.by }
        : move;
    case 'carried':
      return move.kind === 'held' ? { ...move, at: event.to } : move;
    case 'stepped': {
      if (move.kind !== 'held' && move.kind !== 'refused') return move;
      return { kind: 'held', booking: move.booking, at: stepped(columns, move.at, event), by: 'keys' };
    }
    case 'dropped':
      if (move.kind !== 'held') return move;
      return isSame(move.at, placeOf(move.booking)) ? IDLE : { kind: 'sending', booking: move.booking, at: move.at };
    case 'clashed':
      return move.kind === 'sending'
        ? { kind: 'refused', booking: move.booking, at: move.at, free: event.free, why: event.why }
        : move;
    case 'accepted':
      return move.kind === 'refused' && move.free !== null
        ? { kind: 'sending', booking: move.booking, at: { ...move.at, startMin: move.free } }
        : move;
    case 'done':
    case 'letGo':
      return IDLE;
  }
}
