'use client';

import { Button, InputNumber, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import { heatFigure, sourceWords, wayWords, windowWords } from '@/features/live/potWords';
import { WayArrow } from '@/features/live/WayArrow';
import type { PotOnPage } from '@/server/services/pots';
import type { PotFault } from '@/sim/protocol';
import { PotDrawing } from './PotDrawing';
import type { PotActs } from './usePotActs';
import styles from './Pots.module.css';

interface Props {
  readonly pot: PotOnPage;
  readonly timeZone: string;
  readonly acts: PotActs;
  readonly faults: readonly string[];
}

export const SENSORS = [
  { value: 'none', label: 'Measured by hand' },
  { value: 'simulated', label: 'Simulated sensor' },
] as const;

const FAULTS: readonly { readonly value: PotFault; readonly label: string }[] = [
  { value: 'NONE', label: 'No fault' },
  { value: 'DROPOUT', label: 'Loose plug: silent now and then' },
  { value: 'DRIFT', label: 'Probe drifts: reads too little' },
  { value: 'STUCK', label: 'Thermostat sticks' },
];

/** One pot: its section, its heat, and what hands note of it. */
export function PotRow({ pot, timeZone, acts, faults }: Props) {
  const window = windowWords(pot, timeZone);
  return (
    <article className={styles.pot} aria-label={pot.name} data-hot={pot.isOverSet || pot.next?.at === 'over'}>
      <div className={styles.drawn}>
        <PotDrawing
          waxG={pot.waxG}
          isOn={pot.setC !== null}
          hasProbe={pot.sensor !== 'none'}
          isPaste={pot.family === 'sugar'}
        />
      </div>
      <div className={styles.told}>
        <h2>{pot.name}</h2>
        <p className={styles.figure}>
          <b data-testid="heat">{heatFigure(pot.tempC)}</b>
          {pot.way ? <WayArrow way={pot.way} /> : null}
          <span>
            {wayWords(pot)}
            <br />
            <span className="quiet">{sourceWords(pot, timeZone)}</span>
          </span>
        </p>
        {window === '' ? <p className="quiet">No visit of today wants it.</p> : <p data-at={pot.next?.at}>{window}</p>}
        <p className="quiet">{pot.waxG} g in it. An estimate: the wrist decides.</p>
        {faults.map((f) => (
          <p key={f} role="alert" className={styles.bad}>
            {f}
          </p>
        ))}
      </div>
      <PotHands pot={pot} acts={acts} />
    </article>
  );
}

/** What was measured by hand, where the thermostat stands, what is in the pot. */
function PotHands({ pot, acts }: Pick<Props, 'pot' | 'acts'>) {
  const [measured, setMeasured] = useState<number | null>(null);
  const [setting, setSetting] = useState<number | null>(null);
  const { id, version, waxG, sensor } = pot;
  const note = async (): Promise<void> => {
    if (measured !== null && (await acts.note(id, { kind: 'measured', tempC: measured }))) setMeasured(null);
  };
  const set = async (): Promise<void> => {
    if (setting !== null && (await acts.note(id, { kind: 'set', tempC: setting }))) setSetting(null);
  };
  return (
    <div className={styles.hands}>
      <div className={styles.line}>
        <InputNumber
          aria-label={`Measured in ${pot.name}, °C`}
          min={0}
          max={150}
          value={measured}
          onChange={setMeasured}
          onPressEnter={() => void note()}
          placeholder="thermometer"
          suffix="°C"
        />
        <Button type="primary" disabled={measured === null} onClick={() => void note()}>
          Note what I measured
        </Button>
      </div>
      <div className={styles.line}>
        <InputNumber
          aria-label={`Thermostat of ${pot.name}, °C`}
          min={20}
          max={120}
          value={setting}
          onChange={setSetting}
          onPressEnter={() => void set()}
          placeholder={pot.setC === null ? 'off' : `${Math.round(pot.setC)}`}
          suffix="°C"
        />
        <Button disabled={setting === null} onClick={() => void set()}>
          Thermostat set
        </Button>
        <Button disabled={pot.setC === null} onClick={() => void acts.note(id, { kind: 'set', tempC: null })}>
          Off
        </Button>
      </div>
      <details className={styles.more}>
        <summary>Wax in it, sensor, put away</summary>
        <div className={styles.line}>
          <InputNumber
            key={waxG}
            aria-label={`Wax in ${pot.name}, g`}
            min={20}
            max={5000}
            precision={0}
            defaultValue={waxG}
            onBlur={(e) => {
              const g = Number(e.target.value.replace(/\D/g, ''));
              if (g !== waxG && g > 0) void acts.change(id, { version, waxG: g, sensor, active: true });
            }}
            suffix="g"
          />
          <Select
            aria-label={`Sensor of ${pot.name}`}
            value={sensor}
            options={[...SENSORS]}
            onChange={(to) => void acts.change(id, { version, waxG, sensor: to, active: true })}
          />
        </div>
        {sensor === 'simulated' ? (
          <Select
            aria-label={`Fault to try with ${pot.name}`}
            placeholder="Try a fault of the simulated sensor"
            options={[...FAULTS]}
            onChange={(fault) => void acts.fault(id, fault)}
          />
        ) : null}
        <Popconfirm
          title={`Put ${pot.name} away?`}
          description="What was noted of it stays."
          okText="Put away"
          cancelText="Keep it"
          onConfirm={() => void acts.change(id, { version, waxG, sensor, active: false })}
        >
          <Button>Put away</Button>
        </Popconfirm>
      </details>
    </div>
  );
}
