import { sized } from '@/formats/size';
import type { Family } from '@/core/anatomy';
import type { Plan } from '@/core/plan';
import type { BenchZone } from '@/server/services/bench';
import { dayMonth, plural, shortSpan } from '@/ui/words';
import type { regrowthLines } from './regrowthLines';
import styles from './Return.module.css';

const FAMILY: Readonly<Record<string, string>> = { hard: 'Hard wax', soft: 'Soft wax', sugar: 'Sugar' };

interface Props {
  readonly zone: BenchZone;
  readonly growth: ReturnType<typeof regrowthLines>;
  readonly regrowth: Plan['regrowth'][number] | undefined;
  readonly family: Family | undefined;
}

/** What is known of this client's growth: when it is ready for what, from how many visits, what does not fit. */
export function HowItGrows({ growth, regrowth, family }: Props) {
  const { rateFactor, band, visits } = growth;
  const share = (factor: number): number => Math.round(100 * factor);
  return (
    <section className={styles.grows}>
      <h3>Ready for</h3>
      <ul>
        {regrowth?.ready.map((r) => (
          <li key={r.family} data-own={r.family === family}>
            <strong>{FAMILY[r.family]}</strong> {shortSpan(r.fromOn, r.toOn)}
          </li>
        ))}
      </ul>
      <p className="quiet">
        Smooth for about {regrowth?.smoothDays ?? 14} days.{' '}
        {visits > 0
          ? `From ${plural(visits, 'interval')}: about ${share(rateFactor)} % of the usual growth, likely ${share(band[0])}–${share(band[1])} %.`
          : 'From the usual growth of this zone; the client’s own visits will correct it.'}
      </p>
      {(regrowth?.doubts ?? []).map((d) => (
        <p key={`${d.on ?? ''}${d.lengthMm}`} className={styles.doubt}>
          The length of {d.on === null ? 'one visit' : dayMonth(d.on)}, {sized(d.lengthMm, 'mm')}, does not fit the
          others: {d.maybe === 'shaved' ? 'shaved in between?' : 'mistyped?'} Nothing is learned from it.
        </p>
      ))}
    </section>
  );
}
