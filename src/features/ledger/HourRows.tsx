import type { Family } from '@/core/anatomy';
import type { HourRow } from '@/server/services/ledgerSums';
import type { Money } from '@/ui/money';
import { plural } from '@/ui/words';
import { FAMILY_WORDS } from './ledgerWords';
import styles from './Ledger.module.css';

/** Steps of the axis that read well, minor units of a currency with two digits. */
const STEPS = [500, 1000, 2000, 2500, 5000, 10_000, 20_000, 50_000, 100_000];
const MOST_TICKS = 5;

interface Props {
  readonly rows: readonly HourRow[];
  readonly money: Money;
}

/** What an hour of each earns, as a slab of wax as long as it is; under it what it earns with hard, soft and sugar. */
export function HourRows({ rows, money }: Props) {
  const all = rows.flatMap((r) => [r.perHourMinor, ...r.families.map((f) => f.perHourMinor)]);
  const most = Math.max(1, ...all);
  const step = STEPS.find((s) => most / s <= MOST_TICKS) ?? most;
  const end = Math.ceil(most / step) * step;
  const at = (minor: number): string => `${(100 * Math.max(0, minor)) / end}%`;
  return (
    <div className={styles.hours}>
      <div className={styles.axis} aria-hidden="true">
        {Array.from({ length: Math.round(end / step) + 1 }, (_, i) => (
          <span key={i} style={{ left: at(i * step) }}>
            {money.short(i * step)}
          </span>
        ))}
      </div>
      <ul>
        {rows.map((r) => (
          <li key={r.service} className={styles.hour}>
            <div>
              <strong>{r.name}</strong>
              <small className="quiet">
                {plural(r.visits, 'visit')} · {Math.round(r.minutes)} min
              </small>
            </div>
            <div className={styles.track}>
              {r.perHourMinor > 0 ? <Slab width={at(r.perHourMinor)} /> : null}
              {r.families.map((f) => (
                <FamilyMark key={f.family} family={f.family} left={at(f.perHourMinor)} />
              ))}
            </div>
            <b className={r.perHourMinor < 0 ? styles.loss : undefined}>{money.short(r.perHourMinor)}</b>
            <span className="visually-hidden">
              an hour
              {r.families.map((f) => `; ${FAMILY_WORDS[f.family]} ${money.short(f.perHourMinor)}`).join('')}
            </span>
          </li>
        ))}
      </ul>
      <p className={styles.key}>
        {(['hard', 'soft', 'sugar'] as const).map((f) => (
          <span key={f}>
            <FamilyMark family={f} /> {FAMILY_WORDS[f]}
          </span>
        ))}
        <span className="quiet">after material and room; turnover counted as time</span>
      </p>
    </div>
  );
}

/** A strip of set wax with the tab that it is pulled by. */
export const Slab = ({ width }: { readonly width: string }) => (
  <span className={`${styles.slab} wax-slab`} style={{ width }} aria-hidden="true" />
);

/** The shape tells, not the colour: a tab of hard wax, a cloth, a ball of sugar. */
function FamilyMark({ family, left }: { readonly family: Family; readonly left?: string }) {
  return (
    <i
      className={styles.mark}
      data-family={family}
      style={left === undefined ? undefined : { left }}
      aria-hidden="true"
    />
  );
}
