'use client';

import { markOf } from '@/ui/marks';
import { Link } from '@/ui/Link';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { onLive } from '@/features/live/liveEvents';
import { addDays } from '@/core/shared';
import type { Week } from '@/server/services/week';
import { getJson, sendJson } from '@/ui/sendJson';
import { weekday } from '@/ui/words';
import { clockText, instantOfPlace } from './weekTime';
import { AwayPanel } from './AwayPanel';
import { BookingPanel } from './BookingPanel';
import { NewBookingPanel } from './NewBookingPanel';
import type { Wish } from './ReadyToBook';
import { WaitingList } from './WaitingList';
import { columnsOf, finding, hint, hoursOf, PX_PER_MIN, type ShownHours } from './weekLayout';
import { IDLE, moved, type Column, type Move, type MoveEvent, type Place } from './weekMove';
import { Track } from './WeekTrack.client';
import styles from './Week.module.css';

const LOOK_MS = 400;

/** The week: a column a person a day, bookings to be carried about. */
export function WeekView({ first }: { readonly first: Week }) {
  const [week, setWeek] = useState(first);
  const [chosen, setChosen] = useState<string | null>(null);
  const [wanted, setWanted] = useState<Place | null>(null);
  const [wish, setWish] = useState<Wish | null>(null);
  const [said, setSaid] = useState('');
  const columns = useMemo(() => columnsOf(week), [week]);
  const [move, step] = useReducer((m: Move, e: MoveEvent) => moved(columns, m, e), IDLE);
  const hours = hoursOf(week);
  const look = useCallback(async () => {
    const sent = await getJson<Week>(`/api/week?on=${first.fromOn}`);
    if (sent.ok) setWeek(sent.value);
  }, [first.fromOn]);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    const end = onLive((e) => {
      if (e.kind !== 'day' && e.kind !== 'anew') return;
      timer ??= setTimeout(() => {
        timer = null;
        void look();
      }, LOOK_MS);
    });
    return () => {
      end();
      if (timer) clearTimeout(timer);
    };
  }, [look]);
  useSending(move, step, week.timeZone, (words) => {
    setSaid(words);
    void look();
  });
  const booking = week.bookings.find((b) => b.id === chosen) ?? null;
  const away = week.away.find((a) => a.id === chosen) ?? null;
  const say = (words: string): void => {
    setSaid(words);
    void look();
  };
  const choose = (id: string | null): void => {
    setChosen(id);
    setWanted(null);
  };
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1 aria-live="polite">{finding(week, move)}</h1>
        <p className="quiet">{hint(move, said)}</p>
        <nav className={styles.weeks} aria-label="Other weeks">
          <Link href={`/week?on=${addDays(week.fromOn, -7)}`}>Week before</Link>
          <Link href={`/week?on=${addDays(week.fromOn, 7)}`}>Week after</Link>
          <Link href="/post">Post box</Link>
        </nav>
        <nav aria-label="Day or week">
          <Link href="/">Day</Link>
          <Link href="/week" aria-current="page">
            Week
          </Link>
        </nav>
      </div>
      <div className={styles.body}>
        <div className={styles.grid} style={{ '--cols': columns.length } as React.CSSProperties}>
          <Heads week={week} columns={columns} />
          <Hours hours={hours} />
          {columns.map((c) => (
            <Track
              key={`${c.on} ${c.personId}`}
              week={week}
              column={c}
              hours={hours}
              move={move}
              chosen={chosen}
              wanted={wanted}
              onChoose={choose}
              onWant={(place) => {
                setChosen(null);
                setWanted(place);
              }}
              step={step}
            />
          ))}
        </div>
        <aside className={styles.side} aria-label="Booking" data-idle={!booking && !away && !wanted}>
          {booking ? (
            <BookingPanel
              key={booking.id}
              booking={booking}
              timeZone={week.timeZone}
              nowMs={week.nowMs}
              tables={week.tables}
              onSaid={say}
            />
          ) : null}
          {away ? (
            <AwayPanel
              key={away.id}
              away={away}
              person={week.people.find((p) => p.id === away.personId)?.name ?? ''}
              onSaid={say}
            />
          ) : null}
          {booking || away || wanted || week.waiting.length === 0 ? null : <WaitingList week={week} onSaid={say} />}
          {booking || away ? null : (
            <NewBookingPanel
              key={wanted ? `${wanted.on} ${wanted.startMin} ${wanted.personId}` : 'none'}
              wanted={wanted}
              week={week}
              wish={wish}
              onWish={setWish}
              onSaid={(words) => {
                setWish(null);
                setWanted(null);
                say(words);
              }}
            />
          )}
          {booking || away || wanted || week.waiting.length > 0 ? null : <WaitingList week={week} onSaid={say} />}
        </aside>
      </div>
    </section>
  );
}

/** Sends what was let go; a clash comes back with the place that is free. */
function useSending(move: Move, step: (e: MoveEvent) => void, timeZone: string, onSaid: (words: string) => void): void {
  const sent = useRef<Move | null>(null);
  useEffect(() => {
    if (move.kind !== 'sending' || sent.current === move) return;
    sent.current = move;
    const { booking, at } = move;
    const startsAtMs = instantOfPlace(at, timeZone);
    const body = { version: booking.version, personId: at.personId, startsAtMs, minutes: booking.minutes };
    void sendJson('PUT', `/api/bookings/${booking.id}`, body, crypto.randomUUID()).then((answer) => {
      if (answer.ok) {
        step({ kind: 'done' });
        onSaid(`${booking.clientName} is on ${weekday(at.on)} at ${clockText(at.startMin)} now.`);
        return;
      }
      const { code, message, details } = answer.error;
      const free = Number(details[0]?.message ?? '');
      if (code === 'refused' && details[0]?.path === 'startsAtMs') {
        const minutes = free > 0 ? Math.round((free - startsAtMs) / 60_000) + at.startMin : null;
        step({ kind: 'clashed', free: minutes, why: message });
      } else {
        step({ kind: 'letGo' });
        onSaid(code === 'stale' ? 'It was changed elsewhere meanwhile: look again.' : message);
      }
    });
  });
}

/** Where the week is wider than the screen, today stands in it. */
const intoView = (head: HTMLElement | null): void => {
  const box = head?.parentElement;
  if (head && box) box.scrollLeft = head.offsetLeft - box.offsetLeft - box.clientWidth / 3;
};

function Heads({ week, columns }: { readonly week: Week; readonly columns: readonly Column[] }) {
  const days = [...new Set(columns.map((c) => c.on))];
  const each = columns.length / Math.max(1, days.length);
  return (
    <>
      {days.map((on, i) => (
        <h2
          key={on}
          className={styles.day}
          data-today={on === week.today}
          ref={on === week.today ? intoView : null}
          style={{ gridColumn: `${2 + i * each} / span ${each}` }}
        >
          {weekday(on).slice(0, 3)} {Number(on.slice(8))}
        </h2>
      ))}
      {columns.map((c, i) => (
        <span key={`${c.on} ${c.personId}`} className={styles.who} style={{ gridColumn: 2 + i }}>
          {markOf(week.people, c.personId)}
        </span>
      ))}
    </>
  );
}

function Hours({ hours }: { readonly hours: ShownHours }) {
  const list = Array.from({ length: (hours.toMin - hours.fromMin) / 60 }, (_, i) => hours.fromMin + 60 * i);
  return (
    <div className={styles.hours} aria-hidden="true">
      {list.map((min) => (
        <span key={min} style={{ top: (min - hours.fromMin) * PX_PER_MIN }}>
          {clockText(min)}
        </span>
      ))}
    </div>
  );
}
