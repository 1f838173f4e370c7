import { holdsFrom } from '@/core/matching';
import type { PlanZone } from '@/core/plan';
import { dayMonth, plural } from '@/ui/words';
import styles from './Match.module.css';

/** Hairs that a practitioner still takes by tweezers, one by one. */
const MOST_BY_TWEEZERS = 60;

/** Where hair is too short for every product: what can be done today all the same, and from when wax holds it. */
export function TooShort({ zone }: { readonly zone: PlanZone }) {
  const from = holdsFrom(zone.options);
  if (from === null) return <p>Nothing holds this hair today; each row says why.</p>;
  return (
    <section className={styles.short} aria-label="What can be done">
      <h2>Too short to hold today</h2>
      <p>One of these:</p>
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
          <strong>Wait until {dayMonth(from)}</strong>, when the first product holds it; neither shave nor pluck till
          then.
        </li>
      </ul>
    </section>
  );
}
