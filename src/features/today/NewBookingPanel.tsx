'use client';

import { Button, Input, InputNumber, Radio, Select } from 'antd';
import { useState } from 'react';
import type { Away } from '@/server/services/absences';
import type { Week } from '@/server/services/week';
import { sendJson } from '@/ui/sendJson';
import { dayMonth, weekday } from '@/ui/words';
import { clockText, instantOfPlace } from './weekTime';
import { useBookingWanted } from './useBookingWanted';
import { useFoundClients } from '@/ui/useFoundClients';
import { ReadyToBook, type Wish } from './ReadyToBook';
import type { Place } from './weekMove';
import styles from './Week.module.css';

interface Props {
  readonly wanted: Place | null;
  readonly week: Week;
  /** Who was taken from the list of those who are ready. */
  readonly wish: Wish | null;
  readonly onWish: (wish: Wish | null) => void;
  readonly onSaid: (words: string) => void;
}

/** Books a client for the place that was tapped: for the services chosen, or for what they last came for. */
export function NewBookingPanel({ wanted, week, wish, onWish, onSaid }: Props) {
  const [found, find] = useFoundClients(wish ? [{ ...wish, byline: '' }] : []);
  const [clientId, setClientId] = useState<string | null>(wish?.id ?? null);
  const [services, setServices] = useState<readonly string[]>([]);
  const [minutes, setMinutes] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const known = useBookingWanted(clientId, wanted?.personId ?? null, services);
  if (!wanted) return <ReadyToBook week={week} wish={wish} onWish={onWish} />;
  const person = week.people.find((p) => p.id === wanted.personId)?.name ?? '';
  const when = `${weekday(wanted.on)} ${dayMonth(wanted.on)}, ${clockText(wanted.startMin)}`;
  const book = async (): Promise<void> => {
    const startsAtMs = instantOfPlace(wanted, week.timeZone);
    const long = minutes ?? known?.minutes;
    const body = {
      clientId,
      personId: wanted.personId,
      startsAtMs,
      services,
      note,
      ...(long ? { minutes: long } : {}),
    };
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
        showSearch={{ filterOption: false, onSearch: find }}
        placeholder="name of the client"
        value={clientId}
        onFocus={() => find('')}
        onChange={(id: string) => {
          setClientId(id);
          setMinutes(null);
        }}
        options={found.map((c) => ({ value: c.id, label: `${c.name}${c.byline ? `, ${c.byline}` : ''}` }))}
      />
      <Select
        aria-label="For which services"
        mode="multiple"
        placeholder={known && known.what !== '' ? `as last time: ${known.what}` : 'what they last came for'}
        value={[...services]}
        onChange={(ids: string[]) => {
          setServices(ids);
          setMinutes(null);
        }}
        options={week.services.map(({ id, name }) => ({ value: id, label: name }))}
        optionFilterProp="label"
      />
      {known ? (
        <>
          <InputNumber
            aria-label="Minutes to book"
            min={5}
            max={600}
            step={5}
            precision={0}
            value={minutes ?? known.minutes}
            onChange={setMinutes}
            suffix="min"
          />
          <p className="quiet">{known.words}</p>
          <Input
            aria-label="A word on the booking"
            placeholder="a word on it"
            maxLength={120}
            value={note}
            onChange={(e) => setNote(e.target.value)}
          />
        </>
      ) : null}
      {fault ? (
        <p role="alert" className={styles.bad}>
          {fault}
        </p>
      ) : null}
      <Button type="primary" disabled={clientId === null} onClick={() => void book()}>
        Book {clockText(wanted.startMin)}
      </Button>
      <NotHere wanted={wanted} person={person} timeZone={week.timeZone} onSaid={onSaid} />
    </div>
  );
}

const AWAY_HOURS = [1, 2, 4, 9] as const;

/** The person of the place that was tapped is away from then on. */
function NotHere({
  wanted,
  person,
  timeZone,
  onSaid,
}: {
  readonly wanted: Place;
  readonly person: string;
  readonly timeZone: string;
  readonly onSaid: (words: string) => void;
}) {
  const [why, setWhy] = useState('');
  const [hours, setHours] = useState<number>(1);
  const [fault, setFault] = useState('');
  const send = async (): Promise<void> => {
    const fromMs = instantOfPlace(wanted, timeZone);
    const body = { personId: wanted.personId, fromMs, toMs: fromMs + hours * 3_600_000, why: why.trim() };
    const sent = await sendJson<Away>('POST', '/api/absences', body, crypto.randomUUID());
    if (!sent.ok) {
      setFault(sent.error.message);
      return;
    }
    const meets = sent.value.meets.length > 0 ? ` Booked there already: ${sent.value.meets.join('; ')}.` : '';
    onSaid(`${person} is away from ${clockText(wanted.startMin)}.${meets}`);
  };
  return (
    <details>
      <summary>{person} is not here then</summary>
      <div className={styles.panel}>
        <Input
          value={why}
          onChange={(e) => setWhy(e.target.value)}
          maxLength={60}
          placeholder="why: school, dentist"
          aria-label="Why away"
        />
        <Radio.Group
          value={hours}
          onChange={(e) => setHours(e.target.value as number)}
          optionType="button"
          aria-label="For how long"
          options={AWAY_HOURS.map((h) => ({ value: h, label: `${h} h` }))}
        />
        {fault === '' ? null : (
          <p role="alert" className={styles.bad}>
            {fault}
          </p>
        )}
        <Button disabled={why.trim() === ''} onClick={() => void send()}>
          Keep it free
        </Button>
      </div>
    </details>
  );
}
