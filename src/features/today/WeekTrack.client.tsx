'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Week, WeekBooking } from '@/server/services/week';
import { weekday } from '@/ui/words';
import { PX_PER_MIN, type ShownHours } from './weekLayout';
import { clockText } from './weekTime';
import { GRID_MIN, type Column, type Move, type MoveEvent, type Place } from './weekMove';
import styles from './Week.module.css';

/** A press that wanders less is a tap, px. */
const TAP_PX = 6;

interface TrackProps {
  readonly week: Week;
  readonly column: Column;
  readonly hours: ShownHours;
  readonly move: Move;
  readonly chosen: string | null;
  readonly wanted: Place | null;
  readonly onChoose: (id: string | null) => void;
  readonly onWant: (place: Place) => void;
  readonly step: (e: MoveEvent) => void;
}

/** One person's day: open hours, bookings, and what is being carried over it. */
export function Track({ week, column, hours, move, chosen, wanted, onChoose, onWant, step }: TrackProps) {
  const { on, personId } = column;
  const day = week.days.find((d) => d.on === on);
  const isHere = (p: Column): boolean => p.on === on && p.personId === personId;
  const top = (min: number): number => (min - hours.fromMin) * PX_PER_MIN;
  const height = top(hours.toMin);
  const tap = (event: PointerEvent<HTMLDivElement>): void => {
    if (event.target !== event.currentTarget) return;
    const y = event.clientY - event.currentTarget.getBoundingClientRect().top;
    const startMin = hours.fromMin + Math.floor(y / PX_PER_MIN / GRID_MIN) * GRID_MIN;
    onWant({ ...column, startMin });
  };
  const carried = move.kind !== 'idle' && isHere(move.at) ? move : null;
  const free = move.kind === 'refused' && isHere(move.at) ? move.free : null;
  return (
    <div
      className={styles.track}
      data-column={`${on} ${personId}`}
      data-closed={(day?.works[personId] ?? []).length === 0}
      style={{ height }}
      onPointerUp={tap}
    >
      {(day?.works[personId] ?? []).map((o) => (
        <i
          key={o.fromMin}
          className={styles.open}
          style={{ top: top(o.fromMin), height: top(o.toMin) - top(o.fromMin) }}
        />
      ))}
      {day?.why ? <em className={styles.why}>{day.why}</em> : null}
      {week.away.filter(isHere).map((a) => {
        const from = Math.max(a.fromMin, hours.fromMin);
        const to = Math.min(a.toMin, hours.toMin);
        if (to <= from) return null;
        return (
          <button
            key={`${a.id} ${a.on}`}
            type="button"
            className={styles.away}
            style={{ top: top(from), height: top(to) - top(from) }}
            aria-pressed={a.id === chosen}
            aria-label={`Away: ${a.why}, ${weekday(on)} ${clockText(a.fromMin)} to ${clockText(a.toMin)}`}
            onClick={() => onChoose(a.id)}
          >
            {a.why}
          </button>
        );
      })}
      {week.bookings
        .filter((b) => isHere(b))
        .map((b) => (
          <Card
            key={b.id}
            booking={b}
            top={top(b.startMin)}
            isChosen={b.id === chosen}
            isMoving={move.kind !== 'idle' && move.booking.id === b.id}
            move={move}
            fromMin={hours.fromMin}
            onChoose={onChoose}
            step={step}
          />
        ))}
      {carried ? (
        <div
          className={styles.ghost}
          data-clash={carried.kind === 'refused'}
          style={{ top: top(carried.at.startMin), height: carried.booking.minutes * PX_PER_MIN }}
        >
          {clockText(carried.at.startMin)}
        </div>
      ) : null}
      {free === null || move.kind !== 'refused' ? null : (
        <button
          type="button"
          className={styles.free}
          style={{ top: top(free), height: Math.max(44, move.booking.minutes * PX_PER_MIN) }}
          onClick={() => step({ kind: 'accepted' })}
        >
          {clockText(free)} free
        </button>
      )}
      {wanted && isHere(wanted) ? (
        <div className={styles.wanted} style={{ top: top(wanted.startMin) }}>
          {clockText(wanted.startMin)}
        </div>
      ) : null}
    </div>
  );
}

interface CardProps {
  readonly booking: WeekBooking;
  readonly top: number;
  readonly isChosen: boolean;
  readonly isMoving: boolean;
  readonly move: Move;
  /** First minute of the day that is shown. */
  readonly fromMin: number;
  readonly onChoose: (id: string) => void;
  readonly step: (e: MoveEvent) => void;
}

const KEYS: Readonly<Record<string, readonly [columns: number, minutes: number]>> = {
  ArrowUp: [0, -GRID_MIN],
  ArrowDown: [0, GRID_MIN],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

const nameOf = ({ clientName, what, on, startMin, minutes }: WeekBooking): string =>
  [clientName, what, `${weekday(on)} ${clockText(startMin)}`, `${minutes} minutes`].join(', ');

/** A booking: tapped it is chosen, dragged it moves, by keys M takes it up. */
function Card({ booking, top, isChosen, isMoving, move, fromMin, onChoose, step }: CardProps) {
  const from = useRef<{ readonly x: number; readonly y: number; readonly off: number; moved: boolean } | null>(null);
  const down = (e: PointerEvent<HTMLButtonElement>): void => {
    e.currentTarget.setPointerCapture(e.pointerId);
    const off = e.clientY - e.currentTarget.getBoundingClientRect().top;
    from.current = { x: e.clientX, y: e.clientY, off, moved: false };
  };
  const drag = (e: PointerEvent<HTMLButtonElement>): void => {
    const start = from.current;
    if (!start) return;
    if (!start.moved) {
      if (Math.hypot(e.clientX - start.x, e.clientY - start.y) < TAP_PX) return;
      start.moved = true;
      step({ kind: 'taken', booking, by: 'hand' });
    }
    const track = document
      .elementsFromPoint(e.clientX, e.clientY)
      .find((el): el is HTMLElement => el instanceof HTMLElement && el.dataset['column'] !== undefined);
    const [on, personId] = (track?.dataset['column'] ?? '').split(' ');
    if (!track || !on || !personId) return;
    const y = e.clientY - start.off - track.getBoundingClientRect().top;
    step({
      kind: 'carried',
      to: { on, personId, startMin: fromMin + Math.round(y / PX_PER_MIN / GRID_MIN) * GRID_MIN },
    });
  };
  const up = (): void => {
    if (from.current?.moved) step({ kind: 'dropped' });
    else if (from.current) onChoose(booking.id);
    from.current = null;
  };
  const key = (e: KeyboardEvent): void => {
    const by = KEYS[e.key];
    const isMine = move.kind !== 'idle' && isMoving;
    if (!isMine) {
      if (e.key === 'm' || e.key === 'M') step({ kind: 'taken', booking, by: 'keys' });
      else if (e.key !== 'Enter' && e.key !== ' ') return;
      else onChoose(booking.id);
    } else if (by) step({ kind: 'stepped', columns: by[0], minutes: by[1] });
    else if (e.key === 'Enter') step(move.kind === 'refused' ? { kind: 'accepted' } : { kind: 'dropped' });
    else if (e.key === 'Escape') step({ kind: 'letGo' });
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const cancel = (): void => {
    from.current = null;
    step({ kind: 'letGo' });
  };
  return (
    <button
      type="button"
      className={styles.card}
      data-state={booking.state}
      data-moving={isMoving}
      aria-pressed={isChosen}
      aria-label={nameOf(booking)}
      aria-keyshortcuts="M"
      style={{ top, height: Math.max(22, booking.minutes * PX_PER_MIN - 2) }}
      onPointerDown={down}
      onPointerMove={drag}
      onPointerUp={up}
      onPointerCancel={cancel}
      onKeyDown={key}
    >
      <b>{booking.clientName.split(' ')[0]}</b>
      <span>{booking.what}</span>
    </button>
  );
}
