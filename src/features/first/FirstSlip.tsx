import type { Stroke } from '@/core/field';
import type { Plan } from '@/core/plan';
import type { FirstRun } from '@/server/services/firstRun';
import { plural } from '@/ui/words';
import { ArmStrips } from './ArmSheets';
import { lostWords, opensWords } from './firstWords';
import styles from './First.module.css';

interface SlipProps {
  readonly step: string;
  readonly here: FirstRun['products'];
  readonly plan: Plan | null;
  readonly strokes: readonly Stroke[];
}

/** What the choice opens and what is lost without; the arm that waits; at the end the plan in words. */
export function FirstSlip({ step, here, plan, strokes }: SlipProps) {
  if (step === 'comb' && plan && strokes.length > 0) {
    const [zone] = plan.zones;
    const product = here.find((p) => p.id === zone?.choice?.product);
    return (
      <div className={styles.slip}>
        <h2>Your first plan</h2>
        <p>
          <strong>{product?.name ?? 'Nothing holds'}</strong>
        </p>
        <p>
          {plural(zone?.strips.length ?? 0, 'strip')}, about {Math.round(plan.time.allMinutes)} min at the table, an
          estimate.
        </p>
        <p className="quiet">
          Every client’s plan is made so, from their hair and skin. The wrist test comes before the first lay, always;
          the product’s label goes first.
        </p>
      </div>
    );
  }
  return (
    <div className={styles.slip}>
      {here.length > 0 && step !== 'comb' ? (
        <>
          <h2>With {here.length === 1 ? 'this' : `these ${here.length}`} you can</h2>
          {opensWords(here).map((w) => (
            <p key={w.name}>
              <strong>{w.name}:</strong> {w.says}
            </p>
          ))}
          {lostWords(here).map((w) => (
            <p key={w} className="quiet">
              {w}
            </p>
          ))}
        </>
      ) : null}
      {plan && step !== 'comb' ? (
        <>
          <h2>Waiting in step 6</h2>
          <ArmStrips plan={plan} strokes={strokes} maxHeight={170} isWaiting />
        </>
      ) : null}
      {step === 'comb' && here.length > 0 ? (
        <p>One stroke is enough: the strips turn with the hair, and so does the pull.</p>
      ) : null}
      {here.length === 0 ? (
        <p className="quiet">What stands on your shelf decides what can be planned: it is asked in step 3.</p>
      ) : null}
    </div>
  );
}
