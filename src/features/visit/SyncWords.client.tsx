'use client';

// What the frame says of saving: the word in the corner, what was not taken and why, what another tablet wrote too.

import { Button } from 'antd';
import { createPortal } from 'react-dom';
import { ZONES, type ZoneId } from '@/core/anatomy';
import { BAR_STATE } from '@/ui/TopBar.client';
import { useMounted } from '@/ui/useMounted';
import { sideWord } from '@/ui/words';
import { useSync } from './BenchContext.client';
import styles from './Bench.module.css';

const SYNC_WORDS = {
  saved: 'All saved',
  saving: 'Saving …',
  waiting: 'Server away: kept on this tablet',
  conflict: 'Another tablet saved something newer',
} as const;

/** The same where the bar is narrow. */
const SHORT_WORDS = { saved: 'Saved', saving: 'Saving', waiting: 'Kept here', conflict: 'Conflict' } as const;

export function SyncLine({ onKeys }: { readonly onKeys: () => void }) {
  const { sync } = useSync();
  const mounted = useMounted();
  const bar = mounted ? document.getElementById(BAR_STATE) : null;
  if (!bar) return null;
  return createPortal(
    <p className={styles.sync} data-sync={sync}>
      <span role="status" title={sync === 'waiting' ? 'Sent when the server is back' : undefined}>
        <span data-long>{SYNC_WORDS[sync]}</span>
        <span data-short aria-hidden="true">
          {SHORT_WORDS[sync]}
        </span>
      </span>
      <button type="button" onClick={onKeys}>
        Keys
      </button>
    </p>,
    bar,
  );
}

/** `the chart of Underarm, left`, `the consultation`. */
function documentWords(key: string): string {
  const [kind, zone, side] = key.split('|');
  const place = zone === undefined ? '' : sideWord(ZONES[zone as ZoneId].name, side ?? ''); // keys are made from both
  if (kind === 'chart') return `the chart of ${place}`;
  if (kind === 'reading') return `what was read of ${place}`;
  return kind === 'zones' ? 'the list of zones' : 'the consultation';
}

/** What needs a person: two writings of one thing, and what the server did not take. Both are kept until then. */
export function NotTaken() {
  const { disputed, refused, choose, understood } = useSync();
  return (
    <>
      {disputed.map((key) => (
        <div key={key} role="alert" className={styles.conflict}>
          <strong>Another tablet changed {documentWords(key)} too.</strong> Both are kept until you choose.
          <Button onClick={() => choose(key, 'mine')}>Keep mine</Button>
          <Button onClick={() => choose(key, 'theirs')}>Take the newer</Button>
        </div>
      ))}
      {refused.map((r) => (
        <div key={r.id} role="alert" className={styles.conflict}>
          <span>
            <strong>{r.what === 'acts' ? actsWords(r.count) : 'One change was not taken.'}</strong> {r.why}
          </span>
          <Button onClick={() => understood(r.id)}>Understood</Button>
        </div>
      ))}
    </>
  );
}

const actsWords = (count: number): string => (count === 1 ? 'One act was not noted.' : `${count} acts were not noted.`);

/** Stands where the plan will: it is made beside the server, which goes on answering. */
export function Planning() {
  return (
    <div className={styles.planning} role="status" aria-busy="true">
      <h1>Planning …</h1>
      <p className="quiet">Heat, strips and order are being worked out for these answers.</p>
    </div>
  );
}
