'use client';

import { SizeField } from '@/ui/SizeField.client';
import { deg } from '@/formats/heat';
import { HeatField } from '@/ui/HeatField.client';
import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import type { KitchenActs } from './useKitchen';
import styles from './Kitchen.module.css';

/** Where it is cooked: how high, where the studio's own water boils by its own thermometer, in which pot. */
export function Where({ acts }: { readonly acts: KitchenActs }) {
  const { settings, waterC, isPreset } = acts.kitchen;
  const [draft, setDraft] = useState(settings);
  const [isSaved, setSaved] = useState(false);
  const { kettle } = draft;
  const isChanged = JSON.stringify({ ...draft, hands: '' }) !== JSON.stringify({ ...settings, hands: '' });
  const save = async (): Promise<void> => setSaved(await acts.save({ ...draft, hands: settings.hands }));
  return (
    <details className={styles.where}>
      <summary>
        Water boils here at {deg(waterC, 1)}
        {isPreset ? ': nobody has said where this is' : ''}
      </summary>
      <div className={styles.fields}>
        <span id="test-words">Your own water, by your thermometer</span>
        <HeatField
          aria-labelledby="test-words"
          min={80}
          max={105}
          step={0.5}
          value={draft.boilsC}
          placeholder="not tried"
          onChange={(boilsC) => setDraft({ ...draft, boilsC })}
        />
        <span id="height-words">Height above the sea</span>
        <InputNumber
          aria-labelledby="height-words"
          min={-400}
          max={5000}
          precision={0}
          value={draft.heightM}
          placeholder="0"
          onChange={(heightM) => setDraft({ ...draft, heightM })}
          suffix="m"
        />
        <span id="wide-words">Pot, inside width</span>
        <SizeField
          of="cm"
          aria-labelledby="wide-words"
          min={8}
          max={50}
          value={kettle.widthCm}
          onChange={(cm) => setDraft({ ...draft, kettle: { ...kettle, widthCm: cm ?? kettle.widthCm } })}
        />
        <span id="high-words">Pot, inside height</span>
        <SizeField
          of="cm"
          aria-labelledby="high-words"
          min={5}
          max={50}
          value={kettle.heightCm}
          onChange={(cm) => setDraft({ ...draft, kettle: { ...kettle, heightCm: cm ?? kettle.heightCm } })}
        />
      </div>
      <p className="quiet">
        The water test goes first: it takes in the height, the weather and what your thermometer reads wrong.
      </p>
      <Button disabled={!isChanged} onClick={() => void save()}>
        Keep this
      </Button>
      {isSaved && !isChanged ? <span role="status"> Kept.</span> : null}
    </details>
  );
}
