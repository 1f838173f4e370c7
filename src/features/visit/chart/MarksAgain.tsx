import { Button } from 'antd';
import type { ChartMark, Spot } from '@/server/db/schema';
import { dayMonthYear, plural } from '@/ui/words';
import styles from './Chart.module.css';

interface Props {
  readonly marks: readonly ChartMark[];
  /** Places that the client tapped on the form and that are on no chart yet. */
  readonly tapped: readonly Spot[];
  readonly disabled: boolean;
  readonly onMarks: (marks: readonly ChartMark[]) => void;
  readonly onTapped: (spot: Spot) => void;
}

const seen = ({ kind, at, radiusMm, note, since }: ChartMark): ChartMark => ({
  kind,
  at,
  radiusMm,
  ...(note ? { note } : {}),
  ...(since ? { since } : {}),
});

/** Marks known from before, to be looked at again, and places tapped by the client. Until then they count as there. */
export function MarksAgain({ marks, tapped, disabled, onMarks, onTapped }: Props) {
  const open = marks.filter((m) => m.unseen);
  if (disabled || open.length + tapped.length === 0) return null;
  return (
    <section className={styles.again} aria-label="Marks to look at again">
      {open.length > 1 ? (
        <p>
          <strong>{plural(open.length, 'mark')} from before: still there?</strong>
          <Button onClick={() => onMarks(marks.map(seen))}>All still there</Button>
        </p>
      ) : null}
      <ul>
        {open.map((m) => (
          <li key={`${m.kind}${m.at.join()}`}>
            <span>
              {open.length === 1 ? <strong>Still there?</strong> : null}
              {describe(m)}
            </span>
            <Button onClick={() => onMarks(marks.map((o) => (o === m ? seen(o) : o)))}>Still there</Button>
            <Button onClick={() => onMarks(marks.filter((o) => o !== m))}>Gone</Button>
          </li>
        ))}
        {tapped.map((s, i) => (
          <li key={`tapped${i}`}>
            <span>The client tapped a {s.kind === 'sore' ? 'sore place' : 'mark'} here on the form.</span>
            <Button onClick={() => onTapped(s)}>Put it on the chart</Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** `mole, 6 mm, since 3 March 2026: dark and flat` */
const describe = (m: ChartMark): string =>
  `${m.kind}, ${2 * m.radiusMm} mm across${m.since ? `, since ${dayMonthYear(m.since)}` : ''}${m.note ? `: ${m.note}` : ''}`;
