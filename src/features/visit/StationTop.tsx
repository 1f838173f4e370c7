import type { ReactNode } from 'react';
import { StationFoot } from './StationFoot.client';
import { ZoneTabs } from './ZoneTabs.client';
import styles from './ZoneTabs.module.css';

interface Props {
  readonly title: string;
  readonly meta?: ReactNode;
  /** The station's acts, for the foot of the plan's slip; the main one last. */
  readonly action?: ReactNode;
  /** A few words beside a zone's name. */
  readonly note?: (key: string) => string;
}

/** Head of a station: the zones, then what one is looking at; its acts stand in the foot of the plan's slip. */
export function StationTop({ title, meta, action, note }: Props) {
  return (
    <div className={styles.top}>
      <ZoneTabs {...(note ? { note } : {})} />
      <div className={styles.words}>
        <h1>{title}</h1>
        {meta ? <p className="quiet">{meta}</p> : null}
      </div>
      {action ? <StationFoot>{action}</StationFoot> : null}
    </div>
  );
}
