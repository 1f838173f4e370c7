// What the week shows: its columns, its hours, its finding.

import type { Week } from '@/server/services/week';
import { dayMonth, weekday } from '@/ui/words';
import { clockText } from './weekTime';
import type { Column, Move } from './weekMove';

export const PX_PER_MIN = 1.05;

export function finding(week: Week, move: Move): string {
  if (move.kind === 'refused') return move.why;
  if (move.kind === 'held' || move.kind === 'sending') {
    return `${move.booking.clientName} on ${weekday(move.at.on)} at ${clockText(move.at.startMin)}`;
  }
  const count = week.bookings.filter((b) => b.state !== 'missed').length;
  const minutes = week.bookings.reduce((sum, b) => sum + (b.state === 'missed' ? 0 : b.minutes), 0);
  return `${count} ${count === 1 ? 'visit' : 'visits'}, ${Math.round(minutes / 60)} hours, from ${dayMonth(week.fromOn)}`;
}

export function hint(move: Move, said: string): string {
  if (move.kind === 'refused') {
    return move.free === null ? 'Carry it on, or Escape.' : 'Enter takes the free place; Escape leaves it.';
  }
  if (move.kind === 'held') return 'Let go there, or press Enter; Escape leaves it.';
  return said;
}

/** Everybody who works here on every day that is open: who has nothing yet is the one that can be booked. */
export function columnsOf({ days, people, bookings }: Week): readonly Column[] {
  const open = days.filter((d) => d.open.length > 0 || bookings.some((b) => b.on === d.on));
  return open.flatMap(({ on }) => people.map(({ id }) => ({ on, personId: id })));
}

export interface ShownHours {
  readonly fromMin: number;
  readonly toMin: number;
}
/** First and last hour that is shown, minutes of the day. */
export function hoursOf({ days, bookings }: Week): ShownHours {
  const starts = [...days.flatMap((d) => d.open.map((o) => o.fromMin)), ...bookings.map((b) => b.startMin)];
  const ends = [...days.flatMap((d) => d.open.map((o) => o.toMin)), ...bookings.map((b) => b.startMin + b.minutes)];
  return {
    fromMin: Math.floor(Math.min(540, ...starts) / 60) * 60,
    toMin: Math.ceil(Math.max(1080, ...ends) / 60) * 60,
  };
}
