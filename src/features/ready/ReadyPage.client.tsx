'use client';

import { Button, Checkbox, Progress, Radio } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { addDays } from '@/core/shared';
import type { ReadyLine, ReadyList } from '@/server/services/outlook';
import { shortDateTime, dayMonth } from '@/ui/words';
import { barOf, readyFinding, readyScale, readyWords, type ReadyScale } from './readyWords';
import { useForecast, type Worked } from './useForecast';
import styles from './Ready.module.css';

const AT_ONCE = 60;
const WEEK = 7;

/** Who is ready when: a bar a client over the weeks, the window that closes first on top. */
export function ReadyPage({ first }: { readonly first: ReadyList }) {
  const [worked, setWorked] = useState<Worked>('worked');
  const [all, setAll] = useState(false);
  const [most, setMost] = useState(AT_ONCE);
  const { list, progress, fault } = useForecast(first, worked);
  const { today, timeZone } = list;
  const scale = readyScale(today);
  const lines = list.lines.filter((l) => all || l.bookedMs === null);
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{readyFinding(list)}</h1>
        <p className="quiet">What closes first stands first. Days are estimates: the comb decides.</p>
      </div>
      <div className={styles.tools}>
        <Radio.Group
          value={worked}
          onChange={(e) => setWorked(e.target.value as Worked)}
          optionType="button"
          aria-label="Worked with"
          options={[
            { value: 'worked', label: 'As last time' },
            { value: 'hard', label: 'With hard wax' },
            { value: 'soft', label: 'With soft wax' },
            { value: 'sugar', label: 'With sugar' },
          ]}
        />
        <Checkbox checked={all} onChange={(e) => setAll(e.target.checked)}>
          Booked ones too
        </Checkbox>
        <span className={styles.progress} role="status">
          {progress === null ? null : (
            <Progress percent={Math.round(100 * progress)} size="small" aria-label="Working it out" />
          )}
        </span>
      </div>
      {fault === '' ? null : <p role="alert">{fault}</p>}
      {lines.length === 0 ? (
        <p className={styles.empty}>
          {list.lines.length === 0 ? 'The first visit that is closed stands here.' : 'All who are due are booked.'}
        </p>
      ) : (
        <div className={styles.chart}>
          <Weeks scale={scale} today={today} />
          <ul>
            {lines.slice(0, most).map((l) => (
              <Row
                key={`${l.clientId} ${l.lastOn} ${l.what}`}
                line={l}
                scale={scale}
                today={today}
                timeZone={timeZone}
              />
            ))}
          </ul>
        </div>
      )}
      {lines.length > most ? (
        <Button onClick={() => setMost(most + 5 * AT_ONCE)}>{lines.length - most} more</Button>
      ) : null}
      {list.more > 0 ? <p className="quiet">And {list.more} whose turn comes later, or is long past.</p> : null}
    </section>
  );
}

const atDay = (days: number, scale: ReadyScale): React.CSSProperties => ({ left: `${(100 * days) / scale.days}%` });

function Weeks({ scale, today }: { readonly scale: ReadyScale; readonly today: string }) {
  const steps = Array.from({ length: scale.days / WEEK }, (_, i) => WEEK * i);
  return (
    <div className={styles.weeks} aria-hidden="true">
      <span className={styles.axis}>
        {steps.map((d) => (
          <i key={d} style={atDay(d, scale)} data-today={addDays(scale.fromOn, d) === today}>
            {addDays(scale.fromOn, d) === today
              ? 'today'
              : dayMonth(addDays(scale.fromOn, d)).replace(/(\w{3})\w*$/, '$1')}
          </i>
        ))}
      </span>
    </div>
  );
}

interface RowProps {
  readonly line: ReadyLine;
  readonly scale: ReadyScale;
  readonly today: string;
  readonly timeZone: string;
}

function Row({ line, scale, today, timeZone }: RowProps) {
  const { name, what, clientId, fromOn, toOn, bookedMs, state } = line;
  const bar = fromOn === null || toOn === null ? null : barOf(scale, fromOn, toOn);
  const week = fromOn !== null && fromOn > today ? fromOn : today;
  return (
    <li className={styles.row}>
      <Link href={`/clients/${clientId}`} className={styles.who}>
        <strong>{name}</strong>
        <small>{what}</small>
      </Link>
      <span className={styles.lane}>
        <i className={styles.now} style={barOf(scale, today, today) ? { left: `${(100 * 14) / scale.days}%` } : {}} />
        {bar ? (
          <span className={styles.bar} data-state={state} style={{ left: `${bar.left}%`, width: `${bar.width}%` }} />
        ) : null}
      </span>
      <span className={styles.words} data-state={state}>
        {readyWords(line, today)}
      </span>
      {bookedMs === null ? (
        <Link href={`/week?on=${week}`} className={styles.act}>
          To the week
        </Link>
      ) : (
        <span className={styles.booked}>booked {shortDateTime(bookedMs, timeZone)}</span>
      )}
    </li>
  );
}
