'use client';

import { SizeField } from '@/ui/SizeField.client';
import { sized, sizeSign } from '@/formats/size';
import { Link } from '@/ui/Link';
import { Button, Checkbox, Input, InputNumber, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import type { PotChange, PotOnPage } from '@/server/services/pots';
import type { TodayPot } from '@/server/services/todayPots';
import type { PotFault } from '@/sim/protocol';
import { SchoolAdvice } from './SchoolAdvice';
import type { PotActs } from './usePotActs';
import styles from './Pots.module.css';

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

const SCHOOLS: readonly { readonly value: PotOnPage['school']; readonly label: string }[] = [
  { value: 'steady', label: 'Steady' },
  { value: 'melt-off', label: 'Melt, then off' },
  { value: 'pulses', label: 'Pulses' },
  { value: 'bath', label: 'Water bath' },
];

interface Props {
  readonly pot: PotOnPage;
  readonly ofDay: TodayPot | undefined;
  readonly roomC: number;
  readonly acts: PotActs;
}

/** What is in it, how it is heated, what it is; behind a word, because it is seldom changed. */
export function PotMore({ pot, ofDay, roomC, acts }: Props) {
  const { id, version, waxG, sensor, school } = pot;
  const change = (more: Partial<PotChange>): void =>
    void acts.change(id, { version, waxG, sensor, active: true, ...more });
  return (
    <div className={styles.moreGrid}>
      <Grams pot={pot} acts={acts} />
      <div>
        <div role="group" aria-label={`How ${pot.name} is heated`} className={styles.schools}>
          {SCHOOLS.map(({ value, label }) => (
            <Button key={value} aria-pressed={value === school} onClick={() => change({ school: value })}>
              {label}
            </Button>
          ))}
        </div>
        {ofDay ? <SchoolAdvice pot={pot} ofDay={ofDay} roomC={roomC} /> : null}
      </div>
      <div className={styles.line}>
        <InputNumber
          key={pot.heaterW}
          aria-label={`Heater of ${pot.name}, W`}
          min={10}
          max={2000}
          precision={0}
          defaultValue={pot.heaterW}
          onBlur={(e) => {
            const watts = Number(e.target.value.replace(/\D/g, ''));
            if (watts >= 10 && watts !== pot.heaterW) change({ heaterW: watts });
          }}
          suffix="W"
        />
        <Checkbox checked={pot.lid} onChange={(e) => change({ lid: e.target.checked })}>
          lid on
        </Checkbox>
      </div>
      <Input
        key={pot.lot}
        aria-label={`Lot in ${pot.name}`}
        maxLength={40}
        defaultValue={pot.lot}
        placeholder="lot, as on the tin"
        onBlur={(e) => (e.target.value.trim() === pot.lot ? undefined : change({ lot: e.target.value.trim() }))}
      />
      <Select
        aria-label={`Sensor of ${pot.name}`}
        value={sensor}
        options={[...SENSORS]}
        onChange={(to) => change({ sensor: to })}
      />
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
        onConfirm={() => change({ active: false })}
      >
        <Button>Put away</Button>
      </Popconfirm>
      <Link href={`/products/${pot.productId}#fit`}>It behaves otherwise than its label: fit it from what is seen</Link>
    </div>
  );
}

/** Weighed, or filled up; the visits count it down between. */
function Grams({ pot, acts }: Pick<Props, 'pot' | 'acts'>) {
  const [grams, setGrams] = useState<number | null>(null);
  const note = async (kind: 'weighed' | 'added'): Promise<void> => {
    if (grams !== null && (await acts.note(pot.id, { kind, grams }))) setGrams(null);
  };
  return (
    <div className={styles.line}>
      <SizeField
        of="g"
        whole
        aria-label={`Wax in ${pot.name}, ${sizeSign('g')}`}
        min={0}
        max={5000}
        value={grams}
        onChange={setGrams}
        placeholder={`${sized(pot.waxG, 'g')} by count`}
      />
      <Button disabled={grams === null} onClick={() => void note('weighed')}>
        Weighed
      </Button>
      <Button disabled={grams === null} onClick={() => void note('added')}>
        Added
      </Button>
    </div>
  );
}
