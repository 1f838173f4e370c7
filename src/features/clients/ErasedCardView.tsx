import { Link } from '@/ui/Link';
import type { Erased } from '@/server/services/erase';
import { dayMonthYear } from '@/ui/words';
import styles from './Clients.module.css';

/** What stands in the place of a card whose person asked to be forgotten. */
export function ErasedCardView({ erased }: { readonly erased: Erased }) {
  return (
    <section className={`${styles.page} ${styles.few}`}>
      <p className={styles.crumb}>
        <Link href="/clients">Clients</Link>
      </p>
      <h1>This person is erased</h1>
      <p>
        On {dayMonthYear(erased.on)}
        {erased.by === null ? '' : `, by ${erased.by}`}. Card, charts, visits, forms, messages and the record are gone.
      </p>
      <h2>What stays</h2>
      <ul className={styles.plain}>
        {erased.kept.map((k) => (
          <li key={k}>{k}</li>
        ))}
      </ul>
    </section>
  );
}
