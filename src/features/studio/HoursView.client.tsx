'use client';

import { Button, Checkbox, Radio } from 'antd';
import { useState } from 'react';
import type { DaySpan } from '@/core/calendar';
import type { StudioHours } from '@/server/services/hours';
import { sendJson } from '@/ui/sendJson';
import { Closed } from './Closed';
import { DAYS, DayRow } from './DayRow';
import { PersonCalendar } from './PersonCalendar.client';
import { Tables } from './Tables';
import styles from './Studio.module.css';

/** When the studio is open, day by day, and when it is closed: the next visits are offered within. */
export function HoursView({ first }: { readonly first: StudioHours }) {
  const [saved, setSaved] = useState(first);
  const [hours, setHours] = useState(first.hours);
  const [closed, setClosed] = useState(first.closed);
  const [hoursOf, setHoursOf] = useState(first.hoursOf);
  const [tables, setTables] = useState(first.tables);
  const [whose, setWhose] = useState('');
  const [said, setSaid] = useState<{ readonly text: string; readonly bad: boolean } | null>(null);
  const isChanged =
    JSON.stringify([hours, closed, hoursOf, tables]) !==
    JSON.stringify([saved.hours, saved.closed, saved.hoursOf, saved.tables]);
  const own = hoursOf[whose];
  const shown = own ?? hours;
  const setDay = (day: number, spans: readonly DaySpan[]): void => {
    const week = shown.map((s, i) => (i === day ? spans : s));
    if (whose === '') setHours(week);
    else setHoursOf({ ...hoursOf, [whose]: week });
  };
  const asStudio = (is: boolean): void => {
    const others = Object.fromEntries(Object.entries(hoursOf).filter(([id]) => id !== whose));
    setHoursOf(is ? others : { ...others, [whose]: hours });
  };
  const person = saved.people.find((p) => p.id === whose);
  const save = async (): Promise<void> => {
    const body = { version: saved.studioVersion, hours, closed, hoursOf, tables };
    const sent = await sendJson<StudioHours>('PUT', '/api/hours', body);
    if (sent.ok) {
      setSaved(sent.value);
      setSaid({ text: 'Saved.', bad: false });
      return;
    }
    const { message, code, details } = sent.error;
    const more =
      code === 'stale' ? 'They were changed elsewhere: load the page again.' : details.map((d) => d.message).join(' ');
    setSaid({ text: `${message} ${more} What you typed still stands here.`, bad: true });
  };
  return (
    <section className={styles.page}>
      <h1>Hours and tables</h1>
      <p className="quiet">
        The next visits are offered within these hours. What is booked already stays.
        {saved.isPreset ? ' Nobody has set them yet: these are the usual ones.' : ''}
      </p>
      {said ? (
        <p role={said.bad ? 'alert' : 'status'} className={said.bad ? styles.bad : undefined}>
          {said.text}
        </p>
      ) : null}
      <Radio.Group
        value={whose}
        onChange={(e) => setWhose(e.target.value as string)}
        optionType="button"
        aria-label="Whose hours"
        options={[
          { value: '', label: 'The studio' },
          ...saved.people.map(({ id, name }) => ({ value: id, label: `${name}${hoursOf[id] ? ', own hours' : ''}` })),
        ]}
      />
      {person ? (
        <Checkbox checked={own === undefined} onChange={(e) => asStudio(e.target.checked)}>
          {person.name} works as the studio is open
        </Checkbox>
      ) : null}
      {person && own === undefined ? null : (
        <ul className={styles.week}>
          {DAYS.map((name, day) => (
            <DayRow key={name} name={name} spans={shown[day] ?? []} onChange={(spans) => setDay(day, spans)} />
          ))}
        </ul>
      )}
      {person ? (
        <PersonCalendar key={person.id} person={person} />
      ) : (
        <>
          <Closed closed={closed} onChange={setClosed} />
          <Tables tables={tables} onChange={setTables} />
        </>
      )}
      <div>
        <Button type="primary" size="large" disabled={!isChanged} onClick={() => void save()}>
          Save
        </Button>
      </div>
    </section>
  );
}
