import { Button } from 'antd';
import { ZONES, zoneKey } from '@/core/anatomy';
import type { Spot } from '@/server/db/schema';
import { sideWord } from '@/ui/words';
import styles from './Consult.module.css';

interface Props {
  readonly spots: readonly Spot[];
  /** Keys of the zones on the bench. */
  readonly here: readonly string[];
  readonly disabled: boolean;
  readonly onLeaveOut: (spot: Spot) => void;
  readonly onSeen: (spot: Spot) => void;
}

function seenWords(kind: Spot['kind'], onBench: boolean): string {
  if (kind === 'sore') return 'Looked: fine';
  return onBench ? 'Seen, marked on the chart' : 'Seen';
}

/** Places the client has tapped: each is looked at, then left out or worked around. */
export function TappedSpots({ spots, here, disabled, onLeaveOut, onSeen }: Props) {
  if (spots.length === 0) return null;
  return (
    <section aria-label="Places the client has tapped">
      <h2>Look at these first</h2>
      <ul className={styles.ask}>
        {spots.map((s, i) => {
          const name = sideWord(ZONES[s.zone].name, s.side);
          const onBench = here.includes(zoneKey(s));
          return (
            <li key={i}>
              <span>
                <strong>{name}</strong>{' '}
                <span className="quiet">
                  {s.kind === 'sore' ? 'tapped as sore' : 'tapped as a mark or mole'}
                  {onBench ? '' : ', not on the bench today'}
                </span>
              </span>
              {onBench && s.kind === 'sore' ? (
                <Button disabled={disabled} onClick={() => onLeaveOut(s)}>
                  Sore: leave this zone
                </Button>
              ) : null}
              <Button disabled={disabled} onClick={() => onSeen(s)}>
                {seenWords(s.kind, onBench)}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
