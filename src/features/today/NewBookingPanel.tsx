'use client';

import { Button, Select } from 'antd';
import { useState } from 'react';
import type { Week } from '@/server/services/week';
import { sendJson } from '@/ui/sendJson';
import { dayMonth, weekday } from '@/ui/words';
import { clockText, instantOfPlace } from './weekTime';
import type { Place } from './weekMove';
import styles from './Week.module.css';

interface Props {
  readonly wanted: Place | null;
  readonly week: Week;
  readonly onSaid: (words: string) => void;
}

interface Found {
  readonly id: string;
  readonly name: string;
  readonly byline: string;
}

/** Clients whose name begins so; words to look for never stand in an address. */
async function find(query: string): Promise<readonly Found[]> {
  try {
    const response = await fetch('/api/clients', { headers: { 'x-search': encodeURIComponent(query) } });
    // our own route's answer
    return response.ok ? ((await response.json()) as { clients: readonly Found[] }).clients : [];
  } catch {
    return [];
  }
}

/** Books a client for the place that was tapped, for what they last came for. */
export function NewBookingPanel({ wanted, week, onSaid }: Props) {
  const [found, setFound] = useState<readonly Found[]>([]);
  const [clientId, setClientId] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  if (!wanted) {
    return (
      <div className={styles.panel}>
        <h2>Book ahead</h2>
        <p className="quiet">Tap a free place in the week; tap a booking to see it, drag it to move it.</p>
      </div>
    );
  }
  const person = week.people.find((p) => p.id === wanted.personId)?.name ?? '';
  const when = `${weekday(wanted.on)} ${dayMonth(wanted.on)}, ${clockText(wanted.startMin)}`;
  const book = async (): Promise<void> => {
    const startsAtMs = instantOfPlace(wanted, week.timeZone);
    const body = { clientId, personId: wanted.personId, startsAtMs };
    const sent = await sendJson('POST', '/api/bookings', body, crypto.randomUUID());
    const name = found.find((c) => c.id === clientId)?.name ?? 'The client';
    if (sent.ok) onSaid(`${name} is booked: ${when} with ${person}.`);
    else setFault(sent.error.message);
  };
  return (
    <div className={styles.panel}>
      <h2>{when}</h2>
      <p className="quiet">with {person}</p>
      <Select
        aria-label="Client to book"
        showSearch={{ filterOption: false, onSearch: (query) => void find(query).then(setFound) }}
        placeholder="name of the client"
        value={clientId}
        onFocus={() => void find('').then(setFound)}
        onChange={(id: string) => setClientId(id)}
        options={found.map((c) => ({ value: c.id, label: `${c.name}${c.byline ? `, ${c.byline}` : ''}` }))}
      />
      {fault ? (
        <p role="alert" className={styles.bad}>
          {fault}
        </p>
      ) : null}
      <Button type="primary" disabled={clientId === null} onClick={() => void book()}>
        Book {clockText(wanted.startMin)}
      </Button>
      <p className="quiet">For what they last came for, and as long; both can be changed at the visit.</p>
    </div>
  );
}
