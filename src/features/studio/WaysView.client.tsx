'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import type { HouseWays, WayRow } from '@/server/services/houseWays';
import { sendJson } from '@/ui/sendJson';
import { dayMonthYearAt } from '@/ui/words';
import { Said } from './Said';
import styles from './Studio.module.css';

/** Where practitioners disagree: how this house does it, and why. */
export function WaysView({ first }: { readonly first: HouseWays }) {
  const [ways, setWays] = useState(first);
  const [said, setSaid] = useState<{ readonly text: string; readonly bad: boolean } | null>(null);
  const choose = async (row: WayRow, choice: string, reason: string): Promise<boolean> => {
    const body = { version: ways.studioVersion, way: row.id, choice, reason };
    const sent = await sendJson<HouseWays>('PUT', '/api/studio/ways', body);
    if (sent.ok) setWays(sent.value);
    setSaid(
      sent.ok
        ? { text: `${row.name}: kept.`, bad: false }
        : { text: `${sent.error.message} ${sent.error.details.map((d) => d.message).join(' ')}`, bad: true },
    );
    return sent.ok;
  };
  const group = (plans: boolean) =>
    ways.rows
      .filter((r) => r.plans === plans)
      .map((r) => <Way key={`${r.id} ${r.chosen}`} row={r} timeZone={ways.timeZone} onChoose={choose} />);
  return (
    <section className={styles.page}>
      <h1>House rules</h1>
      <p className="quiet">
        Practitioners disagree here. A star is what was shipped; another choice is kept with its reason. The product’s
        label, local law and the licence come first.
      </p>
      <Said said={said} />
      <h2>These decide the plan and the consultation</h2>
      <ul>{group(true)}</ul>
      <h2>These are said on the tray card</h2>
      <p className="quiet">The words at the table and on the after-care card stay the usual ones.</p>
      <ul>{group(false)}</ul>
    </section>
  );
}

interface WayProps {
  readonly row: WayRow;
  readonly timeZone: string;
  readonly onChoose: (row: WayRow, choice: string, reason: string) => Promise<boolean>;
}

function Way({ row, timeZone, onChoose }: WayProps) {
  const [wanted, setWanted] = useState<string | null>(null);
  const [reason, setReason] = useState('');
  const [shipped] = row.choices;
  const tap = (choice: string): void => {
    if (choice === row.chosen) return setWanted(null);
    // back to what was shipped needs no reason
    if (choice === shipped.id) void onChoose(row, choice, '');
    else setWanted(choice);
  };
  return (
    <li className={styles.way} aria-label={row.name}>
      <h3>{row.name}</h3>
      <div className={styles.choices}>
        {row.choices.map((c) => (
          <Button
            key={c.id}
            aria-pressed={c.id === row.chosen}
            aria-expanded={wanted === c.id ? true : undefined}
            onClick={() => tap(c.id)}
          >
            {c.name}
            {c.id === shipped.id ? ' ★' : ''}
          </Button>
        ))}
      </div>
      {wanted === null ? (
        <p className="quiet">
          {row.chosen === shipped.id || row.reason === ''
            ? `★ ${row.why}`
            : [row.reason, row.by, row.atMs === null ? '' : dayMonthYearAt(row.atMs, timeZone)]
                .filter(Boolean)
                .join(', ')}
        </p>
      ) : (
        <div className={styles.weekday}>
          <Input
            aria-label={`Why: ${row.name}`}
            placeholder="why this house does it so"
            maxLength={160}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            style={{ width: 340 }}
          />
          <Button type="primary" disabled={reason.trim() === ''} onClick={() => void onChoose(row, wanted, reason)}>
            Keep it so
          </Button>
          <Button type="text" onClick={() => setWanted(null)}>
            Leave it
          </Button>
        </div>
      )}
    </li>
  );
}
