'use client';

import { SizeField } from '@/ui/SizeField.client';
import { HeatField } from '@/ui/HeatField.client';
import { deg } from '@/formats/heat';
import { Button, Input, Popconfirm } from 'antd';
import { useState } from 'react';
import type { OpenBatch } from '@/server/services/kitchen';
import type { BatchNow } from './batchNow';
import type { KitchenActs } from './useKitchen';
import styles from './Kitchen.module.css';

interface Props {
  readonly acts: KitchenActs;
  readonly batch: OpenBatch;
  readonly now: BatchNow;
}

/** The keys of the step in hand, its end as the main one. */
export function StepKeys(props: Props) {
  const { step } = props.batch;
  return (
    <div className={styles.key}>
      <Popconfirm
        title={`Throw ${props.batch.lot} away?`}
        description="What was noted of it stays."
        okText="Throw it away"
        cancelText="Keep it"
        onConfirm={() => void props.acts.act({ thrown: { words: 'thrown away' } })}
      >
        <Button type="text" className={styles.away ?? ''}>
          Throw it away
        </Button>
      </Popconfirm>
      {step === 'boil' || step === 'cook' ? <OnHeat {...props} /> : null}
      {step === 'dish' ? <OnDish {...props} /> : null}
      {step === 'cool' ? (
        <Button type="primary" size="large" onClick={() => void props.acts.act({ step: 'knead' })}>
          Hands can take it
        </Button>
      ) : null}
      {step === 'knead' ? (
        <Button type="primary" size="large" onClick={() => void props.acts.act({ step: 'jar' })}>
          It is opaque
        </Button>
      ) : null}
      {step === 'jar' ? <IntoJar {...props} /> : null}
    </div>
  );
}

/** What the thermometer says; the end is taken at a heat that was read, never at one that was guessed. */
function OnHeat({ acts, batch }: Props) {
  const [heat, setHeat] = useState<number | null>(null);
  const note = async (): Promise<void> => {
    if (heat !== null && (await acts.act({ heat }))) setHeat(null);
  };
  return (
    <>
      <HeatField
        aria-label="Heat read in the pot"
        min={0}
        max={200}
        value={heat}
        onChange={setHeat}
        onPressEnter={() => void note()}
        placeholder="it reads"
        size="large"
      />
      <Button size="large" disabled={heat === null} onClick={() => void note()}>
        I read this
      </Button>
      {batch.step === 'boil' ? (
        <Button type="primary" size="large" onClick={() => void acts.act({ step: 'cook' })}>
          It boils and is clear
        </Button>
      ) : (
        <Button
          type="primary"
          size="large"
          disabled={heat === null}
          onClick={() => (heat === null ? undefined : void acts.act({ off: heat }))}
        >
          {heat === null ? 'Off the heat: read it first' : `Off the heat at ${deg(heat)}`}
        </Button>
      )}
    </>
  );
}

function OnDish({ acts }: Props) {
  return (
    <>
      <Button
        size="large"
        onClick={() => void acts.act({ trouble: 'too-soft' }).then((is) => (is ? acts.act({ on: true }) : is))}
      >
        Too soft: back on the heat
      </Button>
      <Button type="primary" size="large" onClick={() => void acts.act({ step: 'cool' })}>
        Right: into the cold bath
      </Button>
    </>
  );
}

function IntoJar({ acts, batch }: Props) {
  const [jarG, setJarG] = useState<number | null>(null);
  const [words, setWords] = useState('');
  return (
    <>
      <SizeField
        of="g"
        whole
        aria-label="Weighed in the jar"
        min={10}
        max={8000}
        value={jarG}
        onChange={setJarG}
        placeholder="weighed"
        size="large"
      />
      <Input
        aria-label="How it turned out"
        size="large"
        maxLength={400}
        placeholder="how it turned out"
        value={words}
        onChange={(e) => setWords(e.target.value)}
      />
      <Button
        type="primary"
        size="large"
        disabled={jarG === null}
        onClick={() => (jarG === null ? undefined : void acts.act({ jar: { jarG, words } }))}
      >
        In the jar: {batch.lot}
      </Button>
    </>
  );
}
