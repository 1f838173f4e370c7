import { Link } from '@/ui/Link';
import { barOf, readyWords } from '@/features/ready/readyWords';
import type { Week } from '@/server/services/week';
import styles from './Week.module.css';

export interface Wish {
  readonly id: string;
  readonly name: string;
}

interface Props {
  readonly week: Week;
  readonly wish: Wish | null;
  readonly onWish: (wish: Wish | null) => void;
}

const SHOWN_DAYS = 21;

/** Who is ready and not booked; one that is tapped is booked by the next tap on a free place. */
export function ReadyToBook({ week, wish, onWish }: Props) {
  const scale = { fromOn: week.fromOn, days: SHOWN_DAYS };
  return (
    <div className={styles.panel}>
      <h2>{week.ready.length === 0 ? 'Book ahead' : 'Ready and not booked'}</h2>
      <p className="quiet" role="status">
        {wish
          ? `Now tap a free place for ${wish.name.split(' ')[0] ?? ''}.`
          : 'Tap a free place in the week; tap a booking to see it, drag it to move it.'}
      </p>
      <ul className={styles.ready}>
        {week.ready.map((line) => {
          const bar = line.fromOn === null || line.toOn === null ? null : barOf(scale, line.fromOn, line.toOn);
          const isWish = wish?.id === line.clientId;
          return (
            <li key={`${line.clientId} ${line.what}`}>
              <button
                type="button"
                aria-pressed={isWish}
                onClick={() => onWish(isWish ? null : { id: line.clientId, name: line.name })}
              >
                <b>{line.name}</b> <span>{line.what}</span>
                <i className={styles.lane} aria-hidden="true">
                  {bar ? <i style={{ left: `${bar.left}%`, width: `${bar.width}%` }} /> : null}
                </i>
                <span>{readyWords(line, week.today)}</span>
              </button>
            </li>
          );
        })}
      </ul>
      <Link href="/ready">Who is ready when</Link>
    </div>
  );
}
