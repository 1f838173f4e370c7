'use client';

import { Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import type { Week } from '@/server/services/week';
import type { NewWaiting, WaitingLine } from '@/server/services/waiting';
import { sendJson } from '@/ui/sendJson';
import { shortDateTime } from '@/ui/words';
import { useFoundClients } from '@/ui/useFoundClients';
import styles from './Week.module.css';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const ALL_DAYS = DAYS.map((_, i) => i);
const HOURS = [
  { value: 'any', label: 'any hour', fromMin: 0, toMin: 1440 },
  { value: 'morning', label: 'mornings', fromMin: 0, toMin: 780 },
  { value: 'noon', label: 'afternoons', fromMin: 720, toMin: 1020 },
  { value: 'late', label: 'after 16:00', fromMin: 960, toMin: 1440 },
] as const;

interface Props {
  readonly week: Week;
  readonly onSaid: (words: string) => void;
}

/** Who waits for a place, each with the first that suits as a button. */
export function WaitingList({ week, onSaid }: Props) {
  const lines = week.waiting;
  const [adding, setAdding] = useState(false);
  const [fault, setFault] = useState('');
  const drop = async ({ clientId, name }: WaitingLine): Promise<void> => {
    const sent = await sendJson('PUT', `/api/waiting/${clientId}`, {}, crypto.randomUUID());
    if (sent.ok) onSaid(`${name} waits no more.`);
    else setFault(sent.error.message);
  };
  const book = async ({ clientId, name, offer }: WaitingLine): Promise<void> => {
    if (!offer) return;
    const { personId, startsAtMs, minutes } = offer;
    const body = { clientId, personId, startsAtMs, minutes, waited: true };
    const sent = await sendJson('POST', '/api/bookings', body, crypto.randomUUID());
    if (!sent.ok) {
      setFault(sent.error.message);
      return;
    }
    onSaid(`${name} is booked: ${shortDateTime(startsAtMs, week.timeZone)} with ${offer.person}.`);
  };
  const offer = async (line: WaitingLine): Promise<void> => {
    if (!line.offer) return;
    const { personId, startsAtMs, minutes } = line.offer;
    const body = { personId, startsAtMs, minutes };
    const sent = await sendJson('POST', `/api/waiting/${line.clientId}/offer`, body, crypto.randomUUID());
    if (sent.ok) onSaid(`The offer to ${line.name} lies in the simulated post box: nothing is sent.`);
    else setFault(sent.error.message);
  };
  return (
    <div className={styles.panel}>
      <h2>Waiting{lines.length > 0 ? `, ${lines.length}` : ''}</h2>
      {fault === '' ? null : (
        <p role="alert" className={styles.bad}>
          {fault}
        </p>
      )}
      <ul className={styles.waiting}>
        {lines.map((line) => (
          <li key={line.clientId}>
            <b>{line.name}</b>
            <span>{[line.what, line.words].filter(Boolean).join(', ')}</span>
            {line.offer ? (
              <>
                <Button onClick={() => void book(line)}>
                  Book {shortDateTime(line.offer.startsAtMs, week.timeZone)}, {line.offer.person}
                </Button>
                <Button type="text" onClick={() => void offer(line)}>
                  {line.offeredAtMs === null
                    ? 'Offer it by message'
                    : `Offered ${shortDateTime(line.offeredAtMs, week.timeZone)}; offer again`}
                </Button>
              </>
            ) : (
              <span>{line.why}</span>
            )}
            <Button type="text" onClick={() => void drop(line)}>
              Waits no more
            </Button>
          </li>
        ))}
      </ul>
      {adding ? (
        <NewWait
          week={week}
          onDone={(name) => {
            setAdding(false);
            onSaid(`${name} is on the waiting list.`);
          }}
        />
      ) : (
        <Button onClick={() => setAdding(true)}>Somebody waits</Button>
      )}
    </div>
  );
}

function NewWait({ week, onDone }: { readonly week: Week; readonly onDone: (name: string) => void }) {
  const [found, find] = useFoundClients();
  const [clientId, setClientId] = useState<string | null>(null);
  const [personId, setPersonId] = useState('');
  const [weekdays, setWeekdays] = useState<readonly number[]>(ALL_DAYS);
  const [hours, setHours] = useState<string>('any');
  const [words, setWords] = useState('');
  const [fault, setFault] = useState('');
  const send = async (): Promise<void> => {
    const span = HOURS.find((h) => h.value === hours) ?? HOURS[0];
    if (clientId === null) return;
    const body: NewWaiting = {
      ...{ clientId, weekdays, words, fromMin: span.fromMin, toMin: span.toMin },
      personId: personId === '' ? null : personId,
    };
    const sent = await sendJson('POST', '/api/waiting', body, crypto.randomUUID());
    if (sent.ok) onDone(found.find((c) => c.id === clientId)?.name ?? 'The client');
    else setFault(sent.error.message);
  };
  return (
    <div className={styles.panel}>
      <Select
        aria-label="Client who waits"
        showSearch={{ filterOption: false, onSearch: find }}
        placeholder="name of the client"
        value={clientId}
        onFocus={() => find('')}
        onChange={(id: string) => setClientId(id)}
        options={found.map((c) => ({ value: c.id, label: c.name }))}
      />
      <Select
        aria-label="With whom"
        value={personId}
        onChange={(id: string) => setPersonId(id)}
        options={[
          { value: '', label: 'with anybody' },
          ...week.people.map((p) => ({ value: p.id, label: `with ${p.name}` })),
        ]}
      />
      <Select
        aria-label="At what hour"
        value={hours}
        onChange={(value: string) => setHours(value)}
        options={HOURS.map(({ value, label }) => ({ value, label }))}
      />
      <Checkbox.Group
        aria-label="On which days"
        value={[...weekdays]}
        onChange={(days) => setWeekdays(days.map(Number))}
        options={DAYS.map((label, value) => ({ label, value }))}
      />
      <Input
        value={words}
        onChange={(e) => setWords(e.target.value)}
        maxLength={120}
        placeholder="a word on it"
        aria-label="A word on it"
      />
      {fault === '' ? null : (
        <p role="alert" className={styles.bad}>
          {fault}
        </p>
      )}
      <Button type="primary" disabled={clientId === null || weekdays.length === 0} onClick={() => void send()}>
        Put on the list
      </Button>
    </div>
  );
}
