import { Button, Progress } from 'antd';
import type { ImportProgress } from '@/server/services/tableIn';
import { plural } from '@/ui/words';
import styles from '../Clients.module.css';

interface Bad {
  readonly lines: readonly { readonly line: number; readonly name: string; readonly faults: readonly string[] }[];
  readonly bad: number;
}

export function BadLines({ preview }: { readonly preview: Bad | null }) {
  if (!preview || preview.lines.length === 0) return null;
  const more = preview.bad - preview.lines.length;
  return (
    <ul className={styles.bad} aria-label="Bad lines">
      {preview.lines.map((l) => (
        <li key={l.line}>
          <strong>
            Line {l.line}
            {l.name ? `, ${l.name}` : ''}
          </strong>{' '}
          {l.faults.join(' ')}
        </li>
      ))}
      {more > 0 ? <li>and {plural(more, 'line')} more.</li> : null}
    </ul>
  );
}

/** How far it is, and the way back while it is not there. */
export function OnItsWay({ at, onGiveUp }: { readonly at: ImportProgress; readonly onGiveUp: () => void }) {
  if (at.state === 'leaving') return <p role="status">Given up: what was in goes out again …</p>;
  return (
    <div className={styles.onItsWay}>
      <Progress
        percent={Math.floor((100 * at.taken) / Math.max(1, at.total))}
        format={() => `${at.taken} of ${at.total}`}
      />
      <Button onClick={onGiveUp}>Give it up</Button>
    </div>
  );
}
