'use client';

import { HeatField } from '@/ui/HeatField.client';
import { deg, heatNumber, heatSign } from '@/formats/heat';
import { Button } from 'antd';
import { useState } from 'react';
import type { PotOnPage } from '@/server/services/pots';
import { dayMonth } from '@/ui/words';
import type { PotActs } from './usePotActs';
import styles from './Pots.module.css';

interface Props {
  readonly pot: PotOnPage;
  readonly acts: PotActs;
}

const FELT = [
  { value: 'too-cool', label: 'too cool' },
  { value: 'right', label: 'right' },
  { value: 'too-warm', label: 'too warm' },
] as const;

/** What was measured by hand, where the thermostat stands; as on the last day when it was right, in one tap. */
export function PotHands({ pot, acts }: Props) {
  const [measured, setMeasured] = useState<number | null>(null);
  const [setting, setSetting] = useState<number | null>(null);
  const { id } = pot;
  const note = async (): Promise<void> => {
    if (measured !== null && (await acts.note(id, { kind: 'measured', tempC: measured }))) setMeasured(null);
  };
  const set = async (): Promise<void> => {
    if (setting !== null && (await acts.note(id, { kind: 'set', tempC: setting }))) setSetting(null);
  };
  return (
    <div className={styles.hands}>
      <AsOn pot={pot} acts={acts} />
      <div className={styles.line}>
        <HeatField
          aria-label={`Measured in ${pot.name}, ${heatSign()}`}
          min={0}
          max={150}
          value={measured}
          onChange={setMeasured}
          onPressEnter={() => void note()}
          placeholder="thermometer"
        />
        <Button
          type="primary"
          aria-label="Note what I measured"
          disabled={measured === null}
          onClick={() => void note()}
        >
          Note
        </Button>
      </div>
      <div className={styles.line}>
        <HeatField
          aria-label={`Thermostat of ${pot.name}, ${heatSign()}`}
          min={20}
          max={120}
          value={setting}
          onChange={setSetting}
          onPressEnter={() => void set()}
          placeholder={pot.setC === null ? 'off' : `set ${heatNumber(pot.setC)}`}
        />
        <Button aria-label="Thermostat set" disabled={setting === null} onClick={() => void set()}>
          Set
        </Button>
        <Button disabled={pot.setC === null} onClick={() => void acts.note(id, { kind: 'set', tempC: null })}>
          Off
        </Button>
      </div>
      <div className={styles.wrist} role="group" aria-labelledby={`wrist-${id}`}>
        <span id={`wrist-${id}`}>Wrist</span>
        {FELT.map(({ value, label }) => (
          <Button key={value} onClick={() => void acts.note(id, { kind: 'wrist', felt: value })}>
            {label}
          </Button>
        ))}
      </div>
    </div>
  );
}

/** The last day on which it felt right: where it stood then is one tap away. */
function AsOn({ pot, acts }: Props) {
  const { asOn, id, setC } = pot;
  if (!asOn) return null;
  const was = [asOn.tempC === null ? '' : `${deg(asOn.tempC)} in it`, 'felt right'];
  const isSo = asOn.setC !== null && setC !== null && Math.round(asOn.setC) === Math.round(setC);
  return (
    <div className={styles.asOn}>
      <Button
        block
        disabled={asOn.setC === null || isSo}
        onClick={() => void acts.note(id, { kind: 'set', tempC: asOn.setC })}
      >
        As on {dayMonth(asOn.on)}
        {asOn.setC === null ? '' : `: ${deg(asOn.setC)}`}
      </Button>
      <small className="quiet">{[isSo ? 'set so now' : '', ...was].filter(Boolean).join(', ')}</small>
    </div>
  );
}
