'use client';

import { Link } from '@/ui/Link';
import type { StripMark } from '@/core/hands';
import { useSync } from '../BenchContext.client';
import type { FoundStrip } from './useTable';
import styles from './Work.module.css';

export const MARKS: readonly (readonly [StripMark, string])[] = [
  ['clean', 'clean'],
  ['some-left', 'some left'],
  ['broke', 'broke'],
  ['sore', 'sore'],
];

interface Props {
  /** The strip last pulled; its marks stand until the next pull. */
  readonly last: FoundStrip | undefined;
  readonly mark: StripMark | null;
  readonly onMark: (mark: StripMark) => void;
  readonly leaveHref: string;
}

/** Along the sheet's foot: how the last strip came off, what waits on this tablet, the way out. */
export function MarksBar({ last, mark, onMark, leaveHref }: Props) {
  const { sync } = useSync();
  return (
    <div
      className={styles.marks}
      role="group"
      aria-label={last ? `How strip ${last.strip.number} came off` : 'How the last strip came off'}
    >
      <span className={styles.markDisc} data-none={!last}>
        {last?.strip.number ?? '–'}
      </span>
      {MARKS.map(([kind, word], i) => (
        <button key={kind} type="button" aria-pressed={mark === kind} disabled={!last} onClick={() => onMark(kind)}>
          <b>{i + 1}</b> {word}
        </button>
      ))}
      <span className={styles.saved} data-sync={sync} role="status">
        {sync === 'saved' || sync === 'saving' ? '' : 'Server away: kept on this tablet'}
      </span>
      <Link href={leaveHref} className={styles.leave}>
        Leave
      </Link>
    </div>
  );
}
