'use client';

import { Button, Input, Switch } from 'antd';
import type { DaySpan } from '@/core/calendar';
import styles from './Studio.module.css';

export const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const USUAL: DaySpan = { fromMin: 540, toMin: 1080 };

const textOf = (min: number): string =>
  `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`;
/** Minutes of the day; null where it is no time. */
function minutesOf(text: string): number | null {
  const [, h, m] = /^(\d{2}):(\d{2})$/.exec(text) ?? [];
  return h === undefined || m === undefined ? null : 60 * Number(h) + Number(m);
}

interface DayProps {
  readonly name: string;
  readonly spans: readonly DaySpan[];
  readonly onChange: (spans: readonly DaySpan[]) => void;
}

/** One weekday: open or not, from when to when, a break between. */
export function DayRow({ name, spans, onChange }: DayProps) {
  const put = (index: number, part: Partial<DaySpan>): void =>
    onChange(spans.map((s, i) => (i === index ? { ...s, ...part } : s)));
  const time = (index: number, end: 'fromMin' | 'toMin', label: string) => (
    <Input
      type="time"
      aria-label={`${name}, ${label}`}
      value={textOf(spans[index]?.[end] ?? 0)}
      onChange={(e) => {
        const min = minutesOf(e.target.value);
        if (min !== null) put(index, { [end]: min });
      }}
    />
  );
  const [only] = spans;
  return (
    <li className={styles.weekday}>
      <Switch checked={spans.length > 0} onChange={(on) => onChange(on ? [USUAL] : [])} aria-label={`${name} open`} />
      <strong>{name}</strong>
      {spans.length === 0 ? <span className="quiet">closed</span> : null}
      {spans.map((_, i) => (
        <span key={i} className={styles.span}>
          {time(i, 'fromMin', i === 0 ? 'open from' : 'open again from')} to{' '}
          {time(i, 'toMin', i === 0 ? 'open to' : 'then to')}
        </span>
      ))}
      {spans.length === 1 && only && only.toMin - only.fromMin > 120 ? (
        <Button
          type="text"
          onClick={() =>
            onChange([
              { ...only, toMin: 13 * 60 },
              { fromMin: 14 * 60, toMin: Math.max(15 * 60, only.toMin) },
            ])
          }
        >
          Break at noon
        </Button>
      ) : null}
      {spans.length === 2 && only ? (
        <Button type="text" onClick={() => onChange([{ fromMin: only.fromMin, toMin: spans[1]?.toMin ?? only.toMin }])}>
          No break
        </Button>
      ) : null}
    </li>
  );
}
