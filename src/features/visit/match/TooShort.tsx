import type { PlanZone } from '@/core/plan';
import { dayMonth, plural } from '@/ui/words';
import styles from './Match.module.css';

/** Hairs that a practitioner still takes by tweezers, one by one. */
const MOST_BY_TWEEZERS = 60;

/** Where hair is too short for every product: what can be done today all the same, and from when wax holds it. */
export function TooShort({ zone }: { readonly zone: PlanZone }) {
  const waiting = zone.options.flatMap((o) => (o.readyOn && !o.eligible ? [o.readyOn] : [])).sort();
  const [from] = waiting;
  if (from === undefined) return <p>Nothing holds this hair today; each row says why.</p>;
  return (
    <section className={styles.short} aria-label="What can be done">
      <h2>Too short for every product today</h2>
      <ul>
        <li>
          <strong>Thread it</strong> today, where that is offered: it holds hair of any length.
        </li>
        {zone.hairs > 0 && zone.hairs <= MOST_BY_TWEEZERS ? (
          <li>
            <strong>Tweeze</strong> about {plural(zone.hairs, 'hair')} today.
          </li>
        ) : (
          <li>
            <strong>Tweeze</strong> only what shows: about {zone.hairs} hairs are too many for all of it.
          </li>
        )}
        <li>
          <strong>Wait until {dayMonth(from)}</strong>: from then on the first product holds it. Nothing shaved or
          plucked until then.
        </li>
      </ul>
    </section>
  );
}
