'use client';

import { sized, squareCm } from '@/formats/size';
import { Input } from 'antd';
import { useState } from 'react';
import { subdivisionAt, type Sheet, type Side, type ZoneId } from '@/core/anatomy';
import { CLEARANCE_MM, markAreaCm2 } from '@/core/field';
import type { ChartMark } from '@/server/db/schema';
import { dayMonthYear } from '@/ui/words';
import styles from './Chart.module.css';

interface Props {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly sheet: Sheet;
  readonly marks: readonly ChartMark[];
  readonly disabled: boolean;
  readonly onMarks: (marks: readonly ChartMark[]) => void;
}

/** Every mark with its place, what it keeps clear, since when it is known and a note. They stay with the client. */
export function MarkList({ zone, side, sheet, marks, disabled, onMarks }: Props) {
  if (marks.length === 0) return null;
  const put = (mark: ChartMark, more: Partial<ChartMark>): void =>
    onMarks(marks.map((m) => (m === mark ? { ...m, ...more } : m)));
  return (
    <section className={styles.marks}>
      <h3>Marks, kept with the client</h3>
      <ul>
        {marks.map((m) => {
          const place = subdivisionAt(zone, side, sheet, m.at);
          return (
            <li key={`${m.kind}${m.at.join()}`}>
              <span>
                <strong>{m.kind}</strong>
                {place ? `, ${place}` : ''} · {sized(2 * m.radiusMm, 'mm')}, keep {sized(CLEARANCE_MM[m.kind], 'mm')}:{' '}
                {squareCm(markAreaCm2(sheet.outline, m), 1)} kept clear
                {m.since ? ` · since ${dayMonthYear(m.since)}` : ''}
              </span>
              <Note
                key={m.note ?? ''}
                label={`Note on the ${m.kind}`}
                text={m.note ?? ''}
                disabled={disabled}
                onText={(note) => put(m, { note })}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Saved when it is left, not at every key. */
function Note({
  label,
  text,
  disabled,
  onText,
}: {
  readonly label: string;
  readonly text: string;
  readonly disabled: boolean;
  readonly onText: (text: string) => void;
}) {
  const [words, setWords] = useState(text);
  return (
    <Input
      aria-label={label}
      placeholder="Note"
      value={words}
      maxLength={300}
      disabled={disabled}
      onChange={(e) => setWords(e.target.value)}
      onBlur={() => {
        if (words.trim() !== text) onText(words.trim());
      }}
      onPressEnter={(e) => e.currentTarget.blur()}
    />
  );
}
