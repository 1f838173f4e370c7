'use client';

import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useEffect, useState } from 'react';
import { useBoxesChanged } from '@/features/live/OnEveryPage.client';
import { isSent, waitingWords } from '@/features/visit/sync/box';
import { disputedDocs } from '@/features/visit/sync/reduce';
import { allBoxes, dropRefused, type KeptBox } from '@/features/visit/sync/store';
import styles from './TodayView.module.css';

/** What waits on this tablet for the server, and what it did not take: both stay until they are gone or seen. */
export function WaitingHere() {
  const [boxes, setBoxes] = useState<readonly KeptBox[]>([]);
  const changed = useBoxesChanged();
  useEffect(() => {
    let isStanding = true;
    void allBoxes().then((found) => {
      if (isStanding) setBoxes(found);
    });
    return () => {
      isStanding = false;
    };
  }, [changed]);
  if (boxes.length === 0) return null;
  return (
    <section className={styles.waiting} aria-label="On this tablet">
      <ul>
        {boxes.map(({ box, isOwn }) => (
          <li key={`${box.visitId}${isOwn ? '' : '-other'}`}>
            {isSent(box) ? null : (
              <p>
                <strong>{waitingWords(box)}</strong> of <Link href={`/visits/${box.visitId}`}>{box.who}’s visit</Link>{' '}
                {disputedDocs(box).length > 0
                  ? 'was changed by another tablet too: open it and choose.'
                  : 'waits on this tablet and is sent when the server takes it.'}
              </p>
            )}
            {box.refused.map((r) => (
              <p key={r.id} role="alert">
                <strong>
                  {r.what === 'acts'
                    ? `${r.count} ${r.count === 1 ? 'act' : 'acts'} of ${box.who}’s visit`
                    : `A change of ${box.who}’s visit`}
                </strong>{' '}
                {r.count === 1 ? 'was' : 'were'} not taken: {r.why} If it happened, write it into the note of the visit.{' '}
                <Link href={`/visits/${box.visitId}`}>Look at the visit</Link>
                {isOwn ? <Button onClick={() => void dropRefused(box.visitId, r.id)}>Understood</Button> : null}
              </p>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
