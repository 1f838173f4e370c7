'use client';

import { Checkbox } from 'antd';
import type { Consult } from '@/server/db/schema';
import { Steps } from '@/ui/Steps.client';
import { useBench } from '../BenchContext.client';
import { Agreement } from './Agreement.client';
import { PatchTests } from './PatchTests.client';
import styles from './Consult.module.css';

interface Props {
  readonly isMinor: boolean;
  readonly disabled: boolean;
  readonly onChange: (more: Partial<Consult>) => void;
}

/** Consent first, then how much and how. */
export function AgreedFold({ isMinor, disabled, onChange }: Props) {
  const { bench } = useBench();
  const { consult } = bench.visit;
  return (
    <section className={styles.fold} aria-label="Agreed">
      <h2>
        <i>3</i> Agreed
      </h2>
      <div className={styles.ticks} data-missing={!consult.consent || (isMinor && !consult.guardianConsent)}>
        <Checkbox
          checked={consult.consent}
          disabled={disabled}
          onChange={(e) => onChange({ consent: e.target.checked })}
        >
          Consent given{isMinor ? ' by the client' : ''}
        </Checkbox>
        {isMinor ? (
          <Checkbox
            checked={consult.guardianConsent}
            disabled={disabled}
            onChange={(e) => onChange({ guardianConsent: e.target.checked })}
          >
            A guardian has agreed
          </Checkbox>
        ) : null}
        {consult.consent ? null : <p>Hand the tablet over to have it signed, or tick it once it is given.</p>}
      </div>
      <Agreement
        agreed={consult.agreed}
        zones={bench.zones}
        disabled={disabled}
        onChange={(agreed) => onChange({ agreed })}
      />
      <h3 id="sensitivity">How sensitive today</h3>
      <Steps
        labelledBy="sensitivity"
        value={consult.sensitivity}
        words={['calm', 'a little', 'usual', 'reactive', 'very']}
        disabled={disabled}
        onChange={(sensitivity) => onChange({ sensitivity })}
      />
      <PatchTests disabled={disabled} />
    </section>
  );
}
