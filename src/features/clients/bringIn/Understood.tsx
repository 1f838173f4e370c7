import type { PastLook } from '@/server/services/pastVisits';
import { dayMonthYear } from '@/ui/words';
import styles from '../Clients.module.css';

/** The first lines as they were understood, and words that stay words. */
export function Understood({ look }: { readonly look: PastLook }) {
  return (
    <>
      {look.understood.length > 0 ? (
        <div className={styles.wide}>
          <table className={styles.understood} aria-label="As it was understood">
            <thead>
              <tr>
                <th>Client</th>
                <th>Day</th>
                <th>What was done</th>
                <th>With</th>
                <th>Took</th>
                <th>Paid</th>
                <th>Hair</th>
              </tr>
            </thead>
            <tbody>
              {look.understood.map((p, i) => (
                <tr key={i}>
                  <td>{p.client}</td>
                  <td>{dayMonthYear(p.onDate)}</td>
                  <td>{p.what}</td>
                  <td>{p.family ?? p.product}</td>
                  <td>{p.minutes === null ? '' : `${p.minutes} min`}</td>
                  <td>{p.paid ?? ''}</td>
                  <td>{p.lengthMm === null ? '' : `${p.lengthMm} mm`}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
      {look.onlyWords.length > 0 ? (
        <p className="quiet">
          Not known here as zones, kept as words: {look.onlyWords.map((w) => `“${w}”`).join(', ')}. A service of the
          same name, put under Studio first, makes them known.
        </p>
      ) : null}
    </>
  );
}
