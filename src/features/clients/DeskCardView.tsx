import { Link } from '@/ui/Link';
import type { DeskCard } from '@/server/services/atDesk';
import { dateAndTime, dayMonthYear } from '@/ui/words';
import styles from './Clients.module.css';

/** A card as the desk sees it: who, when, how to reach them. */
export function DeskCardView({ card }: { readonly card: DeskCard }) {
  const { name, byline, phone, ahead, past, timeZone } = card;
  return (
    <section className={styles.page}>
      <p className={styles.crumb}>
        <Link href="/clients">Clients</Link>
      </p>
      <div className={styles.head}>
        <div>
          <h1>{name}</h1>
          <p className="quiet">{[byline, phone].filter(Boolean).join(' · ')}</p>
        </div>
      </div>
      <p className={`quiet ${styles.deskSays}`}>Health notes are for those who work on skin.</p>
      <div className={styles.columns}>
        <section className={styles.few}>
          <h2>Ahead</h2>
          {ahead.length === 0 ? (
            <p className="quiet">
              Nothing booked. <Link href="/week">To the week</Link>
            </p>
          ) : (
            <ul className={styles.ahead}>
              {ahead.map((b) => (
                <li key={b.id}>
                  {dateAndTime(b.startsAtMs, timeZone)}
                  <span className="quiet">
                    {' '}
                    · {b.minutes} min · {b.what}
                  </span>
                </li>
              ))}
            </ul>
          )}
        </section>
        <section className={styles.few}>
          <h2>Visits</h2>
          {past.length === 0 ? <p className="quiet">None yet.</p> : null}
          <ul className={styles.plain}>
            {past.map((on) => (
              <li key={on}>{dayMonthYear(on)}</li>
            ))}
          </ul>
        </section>
      </div>
    </section>
  );
}
