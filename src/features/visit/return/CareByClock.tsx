import { zoneKey } from '@/core/anatomy';
import { careAfter, careBefore, careCatalogue } from '@/core/care';
import { deeds, standing } from '@/core/hands';
import { laterDate } from '@/core/shared';
import { careLines } from '@/formats/careCard';
import type { Bench } from '@/server/services/bench';
import { dayMonth } from '@/ui/words';
import { GiveCare } from './GiveCare';
import styles from './Return.module.css';

/** From when all that was worked is ready again for what it was worked with; null where some of it never is. */
function readyFrom(plan: Bench['plan']): string | null {
  const days = plan.zones.flatMap((z) => {
    if (!z.choice) return [];
    const { family } = z.choice;
    const regrowth = plan.regrowth.find((r) => zoneKey(r) === zoneKey(z));
    return [regrowth?.ready.find((r) => r.family === family)?.fromOn ?? null];
  });
  return days.reduce<string | null>(
    (late, d) => (late === null || d === null ? null : laterDate(late, d)),
    days[0] ?? null,
  );
}

interface Props {
  readonly bench: Bench;
  readonly nowMs: number;
  /** The next visit; null while none is chosen. */
  readonly next: { readonly startsAtMs: number; readonly minutes: number } | null;
}

/** What is allowed again when, counted from the finish; then what is to be done before the next visit. */
export function CareByClock({ bench, nowMs, next }: Props) {
  const { plan, studio, journal, visit } = bench;
  const { timeZone } = studio;
  const worked = plan.zones.filter((z) => z.choice);
  const zones = [...new Set(worked.map((z) => z.zone))];
  const families = [...new Set(worked.flatMap((z) => (z.choice ? [z.choice.family] : [])))];
  const finishedMs = deeds(standing(journal)).at(-1)?.atMs ?? visit.closedAtMs ?? nowMs;
  const after = careLines(careAfter(zones, families), finishedMs, { nowMs, timeZone });
  const before = next === null ? [] : careLines(careBefore(), next.startsAtMs, { nowMs, timeZone });
  const readyOn = readyFrom(plan);
  const { care } = careCatalogue(undefined);
  return (
    <section className={styles.clock}>
      <h2>After-care, by the clock</h2>
      {/* what cannot wait stands where nothing hides it */}
      <p className={styles.ring}>{care.ring}</p>
      {zones.length > 0 ? <GiveCare visitId={bench.visit.id} next={next} key={next?.startsAtMs ?? 0} /> : null}
      <dl>
        {after.map((l) => (
          <div key={l.when}>
            <dt>{l.when}:</dt> <dd>{l.what}</dd>
          </div>
        ))}
      </dl>
      <p>
        <strong>{care.noShaving}</strong>
        {readyOn === null ? '' : ` The hair is ready from about ${dayMonth(readyOn)}.`}
      </p>
      {before.length > 0 ? (
        <>
          <h3>Before the next</h3>
          <dl>
            {before.map((l) => (
              <div key={l.when}>
                <dt>{l.when}:</dt> <dd>{l.what}</dd>
              </div>
            ))}
          </dl>
        </>
      ) : null}
    </section>
  );
}
