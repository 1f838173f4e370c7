'use client';

import { Button, Select } from 'antd';
import { Link } from '@/ui/Link';
import { useEffect, useState } from 'react';
import type { TrailAsked, TrailLine, TrailView } from '@/server/services/trailView';
import { DateField } from '@/ui/DateField.client';
import { Fault } from '@/ui/Fault';
import { getJson } from '@/ui/sendJson';
import { useFoundClients } from '@/ui/useFoundClients';
import styles from './Studio.module.css';

const KINDS = [
  { value: 'write', label: 'written' },
  { value: 'read', label: 'looked at' },
] as const;

const queryOf = (asked: TrailAsked): string =>
  new URLSearchParams(
    Object.entries(asked).flatMap(([k, v]) => (v === undefined || v === '' ? [] : [[k, String(v)]])),
  ).toString();

type Checked = { readonly fault: { readonly seq: number } | null } | null;

function headingOf(checked: Checked): string {
  if (checked === null) return 'The trail is being checked …';
  return checked.fault
    ? `Line ${checked.fault.seq} does not follow from the one before: something was changed from outside`
    : 'Every line follows from the one before';
}

/** Who did and saw what: looked through by person, day, kind and client, taken out as a table. */
export function TrailPage({ first }: { readonly first: TrailView }) {
  const [asked, setAsked] = useState<TrailAsked>({});
  const [view, setView] = useState(first);
  const [fault, setFault] = useState<string | null>(null);
  const [checked, setChecked] = useState<Checked>(null);
  const [found, find] = useFoundClients();
  useEffect(() => {
    void getJson<NonNullable<Checked>>('/api/studio/trail/check').then((sent) => {
      if (sent.ok) setChecked(sent.value);
      else setFault(sent.error.message);
    });
  }, []);
  const look = async (next: TrailAsked, more: boolean): Promise<void> => {
    if (!more) setAsked(next);
    const sent = await getJson<TrailView>(`/api/studio/trail?${queryOf(next)}`);
    setFault(sent.ok ? null : sent.error.message);
    if (sent.ok) setView(more ? { ...sent.value, lines: [...view.lines, ...sent.value.lines] } : sent.value);
  };
  const set = (more: TrailAsked): void => void look({ ...asked, ...more }, false);
  const last = view.lines.at(-1);
  return (
    <section className={styles.page}>
      <h1 aria-live="polite">{headingOf(checked)}</h1>
      <p className="quiet">
        Every write and every look at a card, a visit or a form: when, by whom, on which tablet. The acts at a table
        stand in its own journal. Nothing can be changed here, nor taken out.
      </p>
      <Fault text={fault} />
      <div className={styles.weekday}>
        <Select
          aria-label="By whom"
          allowClear
          placeholder="by anybody"
          style={{ width: 160 }}
          value={asked.person ?? null}
          onChange={(person: string | undefined) => set({ person: person ?? undefined })}
          options={view.people.map((p) => ({ value: p.id, label: p.name }))}
        />
        <Select
          aria-label="What kind"
          allowClear
          placeholder="written and looked at"
          style={{ width: 200 }}
          value={asked.kind ?? null}
          onChange={(kind: TrailAsked['kind']) => set({ kind: kind ?? undefined })}
          options={[...KINDS]}
        />
        <DateField
          aria-label="On which day"
          placeholder="on any day"
          value={asked.on ?? ''}
          onChange={(on) => set({ on: on || undefined })}
        />
        <Select
          aria-label="About whom"
          allowClear
          showSearch
          filterOption={false}
          placeholder="about any client"
          style={{ width: 240 }}
          value={asked.client ?? null}
          onSearch={find}
          onChange={(client: string | undefined) => set({ client: client ?? undefined })}
          options={found.map((c) => ({ value: c.id, label: c.name }))}
        />
        <Button href={`/api/studio/trail/csv?${queryOf(asked)}`}>As a table</Button>
      </div>
      {view.lines.length === 0 ? <p>No line is like that.</p> : null}
      <ol className={styles.trail}>
        {view.lines.map((line) => (
          <Line key={line.seq} line={line} timeZone={view.timeZone} />
        ))}
      </ol>
      {view.hasMore && last ? (
        <Button onClick={() => void look({ ...asked, before: last.seq }, true)}>Earlier ones</Button>
      ) : null}
      <p>
        <Link href="/studio">Back to the studio</Link>
      </p>
    </section>
  );
}

function Line({ line, timeZone }: { readonly line: TrailLine; readonly timeZone: string }) {
  const at = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'medium', timeZone }).format(line.atMs);
  return (
    <li>
      <span>{line.seq}</span>
      <span>{at}</span>
      <b>{line.person ?? 'nobody named'}</b>
      <span title={line.path}>{line.what}</span>
      <span>{line.tablet === null ? '' : `tablet ${line.tablet.slice(0, 4)}`}</span>
    </li>
  );
}
