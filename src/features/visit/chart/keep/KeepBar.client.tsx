'use client';

import { sized, withSizes } from '@/formats/size';
import { howMuchFor } from '@/core/agreement';
import { BROW_STEPS, stepOf } from '@/core/outcomes';
import type { ZoneId } from '@/core/anatomy';
import type { KeepShown } from './keepShown';
import { radioKeys } from '@/ui/radioKeys';
import styles from './Keep.module.css';

interface Props {
  readonly zone: ZoneId;
  readonly outcome: string;
  readonly shown: KeepShown;
  /** Name of the other side where it is worked too: `right`. */
  readonly other: string | null;
  readonly disabled: boolean;
  readonly stands: boolean;
  readonly onStep: (step: number, outcome: string) => void;
  readonly onOutcome: (outcome: string) => void;
  /** Back to the other side's line, or to what was agreed. */
  readonly onReset: () => void;
}

/** What is agreed for the zone, moved where one sees what it means, and how far the two sides lie apart. */
export function KeepBar({ zone, outcome, shown, other, disabled, stands, onStep, onOutcome, onReset }: Props) {
  const choices = howMuchFor(zone);
  const step = BROW_STEPS.find((s) => s.step === shown.step && s.outcome === outcome) ?? stepOf(outcome);
  const says = zone === 'brow' ? step.says : choices.find((c) => c.id === outcome)?.says;
  return (
    <div className={styles.bar}>
      <p className={styles.says} aria-live="polite">
        {zone === 'brow' ? (
          <b>
            Step {step.step} of {BROW_STEPS.length - 1}.{' '}
          </b>
        ) : null}
        {withSizes(says ?? '')}
        {shown.byHand ? ' Moved by hand.' : ''}
        {stands ? ' The table has begun: the line stands.' : ''}
        {shown.by === 'other' && other !== null ? <span className="quiet"> As on the {other}.</span> : null}
        {shown.apartMm !== null && other !== null ? (
          <b className={shown.apartMm > 0 ? styles.apart : undefined}>
            {' '}
            {shown.apartMm > 0 ? `${sized(shown.apartMm, 'mm')} apart from the ${other}.` : 'Both sides alike.'}
          </b>
        ) : null}
      </p>
      <div className={styles.choices}>
        {zone === 'brow' ? (
          <Steps at={step.step} disabled={disabled} onStep={onStep} />
        ) : (
          <div
            role="radiogroup"
            aria-label="How much comes off"
            className={styles.outcomes}
            tabIndex={-1}
            onKeyDown={radioKeys}
          >
            {choices.map((c) => (
              <button
                key={c.id}
                type="button"
                role="radio"
                aria-checked={c.id === outcome}
                disabled={disabled}
                onClick={() => onOutcome(c.id)}
              >
                {c.label}
              </button>
            ))}
          </div>
        )}
        {shown.by === 'own' && (shown.byHand || shown.otherDrawn) && !disabled ? (
          <button type="button" className={styles.reset} onClick={onReset}>
            {shown.otherDrawn ? `As on the ${other}` : 'As agreed'}
          </button>
        ) : null}
      </div>
    </div>
  );
}

const NAMES: Readonly<Record<string, string>> = { natural: 'Natural', tidy: 'Tidy', reshape: 'Reshape' };

function Steps({
  at,
  disabled,
  onStep,
}: {
  readonly at: number;
  readonly disabled: boolean;
  readonly onStep: Props['onStep'];
}) {
  return (
    <div
      role="radiogroup"
      aria-label="How far the line comes nearer"
      className={styles.steps}
      tabIndex={-1}
      onKeyDown={radioKeys}
    >
      {BROW_STEPS.map((s, k) => {
        const first = BROW_STEPS[k - 1]?.outcome !== s.outcome;
        return (
          <button
            key={s.step}
            type="button"
            role="radio"
            aria-checked={s.step === at}
            aria-label={`Step ${s.step}, ${s.outcome}: ${withSizes(s.says)}`}
            disabled={disabled}
            data-done={s.step < at ? 'true' : undefined}
            onClick={() => onStep(s.step, s.outcome)}
          >
            <i />
            <span>{first ? NAMES[s.outcome] : ''}</span>
          </button>
        );
      })}
    </div>
  );
}
