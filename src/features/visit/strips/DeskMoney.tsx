import { Link } from '@/ui/Link';
import { servicesIn } from '@/core/agreement';
import { ZONES } from '@/core/anatomy';
import { marginOf } from '@/core/materials';
import { familyMoney } from '@/core/plan';
import type { Bench } from '@/server/services/bench';
import { plural, sideWord } from '@/ui/words';
import styles from './Strips.module.css';

const FAMILY_WORDS = { hard: 'Hard wax', soft: 'Soft wax', sugar: 'Sugar' } as const;
const zoneName = (key: string): string => {
  const found = Object.values(ZONES).find((z) => key.startsWith(`${z.id}/`));
  return found ? sideWord(found.name.toLowerCase(), key.split('/')[1] ?? 'middle') : key;
};

/**
 * Price, cost and margin of this visit, and of the same visit with another family. For the desk: closed until it is
 * opened.
 */
export function DeskMoney({ bench }: { readonly bench: Bench }) {
  const { plan, studio, services, visit } = bench;
  const { money } = studio.settings;
  const booked =
    visit.consult.services.length > 0
      ? services.filter((s) => visit.consult.services.includes(s.id))
      : servicesIn(services, bench.zones);
  const priced = booked.filter((s) => money?.priceMinor[s.id] !== undefined);
  const priceMinor = priced.reduce((sum, s) => sum + (money?.priceMinor[s.id] ?? 0), 0);
  const format = new Intl.NumberFormat('en-GB', { style: 'currency', currency: studio.currency });
  const say = (minor: number): string => format.format(minor / 100);
  const rates = { labourMinorPerHour: money?.labourMinorPerHour ?? 0, roomMinorPerHour: money?.roomMinorPerHour ?? 0 };
  const own = marginOf(
    { priceMinor, materialsMinor: plan.cost.materialsMinor, minutes: plan.time.bookingMinutes },
    rates,
  );
  const rows = familyMoney(plan, priceMinor, rates);
  return (
    <details className={styles.money} data-desk>
      <summary>Money, for the desk</summary>
      {priced.length === 0 ? (
        <p>
          No price is entered for what is done today
          {booked.length > 0 ? ` (${booked.map((s) => s.name.toLowerCase()).join(', ')})` : ''}.{' '}
          <Link href="/prices">Enter prices</Link>; the costs stand here all the same.
        </p>
      ) : (
        <p>
          {priced.map((s) => s.name).join(', ')}: <strong>{say(priceMinor)}</strong>
          {priced.length < booked.length
            ? `; no price for ${booked
                .filter((s) => !priced.includes(s))
                .map((s) => s.name.toLowerCase())
                .join(', ')}`
            : ''}
        </p>
      )}
      <dl>
        <div>
          <dt>Materials</dt>
          <dd>{say(own.materialsMinor)}</dd>
        </div>
        <div>
          <dt>Hands, {plan.time.bookingMinutes} min</dt>
          <dd>{say(own.labourMinor)}</dd>
        </div>
        <div>
          <dt>Room</dt>
          <dd>{say(own.roomMinor)}</dd>
        </div>
        {priced.length > 0 ? (
          <>
            <div>
              <dt>Left over</dt>
              <dd>
                <strong>{say(own.marginMinor)}</strong>
              </dd>
            </div>
            <div>
              <dt>An hour</dt>
              <dd>{say(own.marginPerHourMinor)}</dd>
            </div>
          </>
        ) : null}
      </dl>
      <div className={styles.wide}>
        <table>
          <caption className="visually-hidden">The same visit with one family throughout</caption>
          <thead>
            <tr>
              <th>All of it with</th>
              <th>Strips</th>
              <th>At the table</th>
              <th>Materials</th>
              {priced.length > 0 ? (
                <>
                  <th>Left over</th>
                  <th>An hour</th>
                </>
              ) : null}
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.family}>
                <th scope="row">{FAMILY_WORDS[r.family]}</th>
                {r.margin === null ? (
                  <td colSpan={5}>
                    {r.notOn.length === 0
                      ? 'nothing planned'
                      : `not today on ${plural(r.notOn.length, 'zone')}: ${r.notOn.slice(0, 3).map(zoneName).join(', ')}`}
                  </td>
                ) : (
                  <>
                    <td>{r.strips}</td>
                    <td>{Math.round(r.tableMinutes)} min</td>
                    <td>{say(r.margin.materialsMinor)}</td>
                    {priced.length > 0 ? (
                      <>
                        <td>{say(r.margin.marginMinor)}</td>
                        <td>{say(r.margin.marginPerHourMinor)}</td>
                      </>
                    ) : null}
                  </>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">Estimates. What the skin and the hair want goes before what is left over.</p>
    </details>
  );
}
