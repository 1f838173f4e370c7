'use client';

import { Button, Popconfirm } from 'antd';
import { useRef, useState } from 'react';
import type { CalendarRead } from '@/server/services/absences';
import { sendJson } from '@/ui/sendJson';
import { plural } from '@/ui/words';
import styles from './Studio.module.css';

interface Props {
  readonly person: { readonly id: string; readonly name: string; readonly hasFeed: boolean };
}

/** A practitioner's visits out into a calendar program, and the busy times of their own calendar in. */
export function PersonCalendar({ person }: Props) {
  const { id, name } = person;
  return (
    <>
      <h2>{name}’s calendar</h2>
      <p>
        <Button href={`/api/people/${id}/calendar`}>Calendar file</Button>
      </p>
      <p className="quiet">The visits with first name and initial: no zones, nothing of health.</p>
      <Feed person={person} />
      <OwnCalendar id={id} name={name} />
    </>
  );
}

/** A private address that a calendar program asks again and again. */
function Feed({ person: { id, hasFeed } }: Props) {
  const [open, setOpen] = useState(hasFeed);
  const [address, setAddress] = useState('');
  const [fault, setFault] = useState('');
  const change = async (to: boolean): Promise<void> => {
    const sent = await sendJson<{ readonly token: string | null }>('POST', `/api/people/${id}/feed`, { open: to });
    if (!sent.ok) {
      setFault(sent.error.message);
      return;
    }
    const { token } = sent.value;
    setFault('');
    setOpen(to);
    setAddress(token === null ? '' : `${window.location.origin}/api/calendar/${token}.ics`);
  };
  return (
    <div className={styles.feed}>
      {open ? (
        <Popconfirm
          title="Make a new address? The one before opens nothing any more."
          okText="Make it"
          cancelText="Keep it"
          onConfirm={() => void change(true)}
        >
          <Button>New private address</Button>
        </Popconfirm>
      ) : (
        <Button onClick={() => void change(true)}>Private address for a calendar program</Button>
      )}
      {open ? <Button onClick={() => void change(false)}>Close the address</Button> : null}
      {address === '' ? null : (
        <p role="status">
          <code>{address}</code>
          <br />
          Shown once. Whoever has it may read these visits; only programs on this machine reach it.
        </p>
      )}
      {fault === '' ? null : <p role="alert">{fault}</p>}
    </div>
  );
}

/** Busy times out of a calendar file: looked at first, then taken. */
function OwnCalendar({ id, name }: { readonly id: string; readonly name: string }) {
  const input = useRef<HTMLInputElement>(null);
  const [read, setRead] = useState<{ readonly text: string; readonly found: CalendarRead } | null>(null);
  const [said, setSaid] = useState<{ readonly words: string; readonly bad: boolean } | null>(null);
  const ask = (text: string, write: boolean) =>
    sendJson<CalendarRead>('POST', `/api/people/${id}/calendar`, { text, write }, crypto.randomUUID());
  const look = async (file: File): Promise<void> => {
    const text = await file.text();
    const sent = await ask(text, false);
    setRead(sent.ok ? { text, found: sent.value } : null);
    setSaid(sent.ok ? null : { words: sent.error.message, bad: true });
  };
  const take = async (): Promise<void> => {
    if (!read) return;
    const sent = await ask(read.text, true);
    setSaid(
      sent.ok
        ? { words: `${plural(sent.value.count, 'busy time')} of ${name} taken: nothing is offered there.`, bad: false }
        : { words: sent.error.message, bad: true },
    );
    if (sent.ok) setRead(null);
  };
  return (
    <div className={styles.feed}>
      <Button onClick={() => input.current?.click()}>Take busy times from a calendar file</Button>
      <input
        ref={input}
        type="file"
        accept=".ics,text/calendar"
        aria-label={`Calendar file of ${name}`}
        className="visually-hidden"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) void look(file);
        }}
      />
      {said ? (
        <p role={said.bad ? 'alert' : 'status'} className={said.bad ? styles.bad : undefined}>
          {said.words}
        </p>
      ) : null}
      {read ? (
        <div>
          <p>
            {plural(read.found.count, 'busy time')} from today on. Left out: {read.found.free} that leave the time free,{' '}
            {read.found.outside} past or more than a year away. What an earlier file brought is replaced.
          </p>
          {read.found.meets.length > 0 ? (
            <p className={styles.bad}>
              Booked already where {name} is away: {read.found.meets.join('; ')}. They stay.
            </p>
          ) : null}
          <Button type="primary" disabled={read.found.count === 0} onClick={() => void take()}>
            Take {read.found.count}
          </Button>
        </div>
      ) : null}
    </div>
  );
}
