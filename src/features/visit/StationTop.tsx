import type { ReactNode } from 'react';
import { useBench } from './BenchContext.client';
import { ZoneTabs } from './ZoneTabs.client';
import styles from './ZoneTabs.module.css';

interface Props {
  readonly title: string;
  readonly meta?: ReactNode;
  readonly action?: ReactNode;
  /** A few words beside a zone's name. */
  readonly note?: (key: string) => string;
}

/** Head of a station: the zones and the one next step in a row, then what one is looking at. */
export function StationTop({ title, meta, action, note }: Props) {
  const { bench } = useBench();
  const many = bench.zones.length > 1;
  const words = (
    <div className={styles.words}>
      <h1>{title}</h1>
      {meta ? <p className="quiet">{meta}</p> : null}
    </div>
  );
  return (
    <div className={styles.top}>
      <div className={styles.line}>
        {many ? <ZoneTabs {...(note ? { note } : {})} /> : words}
        <div className={styles.action}>{action}</div>
      </div>
      {many ? words : null}
    </div>
  );
}
