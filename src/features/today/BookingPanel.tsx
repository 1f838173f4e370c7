'use client';

import { Button, Popconfirm } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { WeekBooking } from '@/server/services/week';
import { sendJson } from '@/ui/sendJson';
import { dayMonth, timeOfDay, weekday } from '@/ui/words';
import { LateBox } from './LateBox';
import { OpenVisitButton } from './OpenVisitButton.client';
import styles from './Week.module.css';

interface Props {
  readonly booking: WeekBooking;
  readonly timeZone: string;
  readonly nowMs: number;
  /** Names of the treatment tables. */
  readonly tables: readonly string[];
  readonly onSaid: (words: string) => void;
}

const STATES = { booked: '', missed: 'Did not come.', open: 'The visit is open.', done: 'Done.' } as const;

/** What can be done with one booking. */
export function BookingPanel({ booking, timeZone, nowMs, tables, onSaid }: Props) {
  const isPast = booking.startsAtMs <= nowMs;
  const [fault, setFault] = useState<string | null>(null);
  const { id, version, clientName, state } = booking;
  const set = async (status: 'booked' | 'cancelled' | 'missed', words: string): Promise<void> => {
    const sent = await sendJson('PUT', `/api/bookings/${id}`, { version, status }, crypto.randomUUID());
    if (sent.ok) onSaid(words);
    else setFault(sent.error.message);
  };
  return (
    <div className={styles.panel}>
      <h2>
        <Link href={`/clients/${booking.clientId}`}>{clientName}</Link>
      </h2>
      <p>
        {weekday(booking.on)} {dayMonth(booking.on)}, {timeOfDay(booking.startsAtMs, timeZone)}, {booking.minutes} min
      </p>
      <p className="quiet">{booking.what || 'Zones are chosen at the visit.'}</p>
      <OnTable booking={booking} tables={tables} />
      {STATES[state] ? <p>{STATES[state]}</p> : null}
      {fault ? (
        <p role="alert" className={styles.bad}>
          {fault}
        </p>
      ) : null}
      {state === 'missed' ? null : (
        <OpenVisitButton
          bookingId={id}
          visitId={null}
          label={state === 'done' ? 'Look at it' : 'Open the visit'}
          quiet
        />
      )}
      {state === 'booked' || state === 'open' ? <LateBox bookingId={id} /> : null}
      {state === 'booked' ? (
        <>
          <p className="quiet">Drag it, or press M on it and move it by the arrows.</p>
          {isPast ? (
            <Button onClick={() => void set('missed', `${clientName} did not come.`)}>Did not come</Button>
          ) : null}
          <Popconfirm
            title={`Give up ${clientName}’s booking?`}
            okText="Give it up"
            cancelText="Keep it"
            onConfirm={() => void set('cancelled', `${clientName}’s booking was given up.`)}
          >
            <Button>Cancel the booking</Button>
          </Popconfirm>
        </>
      ) : null}
      {state === 'missed' ? (
        <Button onClick={() => void set('booked', `${clientName} came after all.`)}>Came after all</Button>
      ) : null}
    </div>
  );
}

/** Where the client lies; that there is no table for a visit is said. */
function OnTable({ booking, tables }: Pick<Props, 'booking' | 'tables'>) {
  if (tables.length === 0 || booking.state === 'missed') return null;
  return booking.table === null ? (
    <p className={styles.bad}>No table is free then: more visits than tables.</p>
  ) : (
    <p className="quiet">Table: {booking.table}</p>
  );
}
