'use client';

import { useEffect, useState } from 'react';
import { tabletNow } from './tabletClock';
import { barTime } from './words';
import styles from './TopBar.module.css';

interface Props {
  readonly atMs: number;
  readonly timeZone: string;
}

/** Today and the time on the studio's wall clock, whatever day the page below is of. */
export function BarClock({ atMs, timeZone }: Props) {
  const [now, setNow] = useState(atMs);
  useEffect(() => {
    const timer = setInterval(() => setNow(tabletNow()), 10_000);
    return () => clearInterval(timer);
  }, []);
  return (
    <time className={styles.day} dateTime={new Date(now).toISOString()} suppressHydrationWarning>
      {barTime(now, timeZone)}
    </time>
  );
}
