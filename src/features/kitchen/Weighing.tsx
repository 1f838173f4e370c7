'use client';

import { SizeField } from '@/ui/SizeField.client';
import { sized, withSizes } from '@/formats/size';
import { deg } from '@/formats/heat';
import { Button, Radio } from 'antd';
import { useState } from 'react';
import {
  boilPlan,
  endC,
  firmnessFor,
  headroom,
  LOST_SHARE,
  recipeFor,
  sugarForJarG,
  yieldG,
  type Firmness,
  type Hands,
} from '@/core/kitchen';
import { KettleDrawing } from './KettleDrawing';
import { minutesWords, stageWords } from './batchNow';
import { servicesWords } from './servicesWords';
import type { KitchenActs } from './useKitchen';
import { Where } from './Where';
import styles from './Kitchen.module.css';

/** What is weighed for the next batch. */
export interface Draft {
  readonly firmness: Firmness | null;
  readonly jarG: number;
}

interface Props {
  readonly acts: KitchenActs;
  readonly draft: Draft;
  readonly onDraft: (draft: Draft) => void;
}

const HANDS: readonly { readonly value: Hands; readonly label: string }[] = [
  { value: 'cool', label: 'cool' },
  { value: 'usual', label: 'usual' },
  { value: 'warm', label: 'warm' },
];
const PASTES: readonly { readonly value: Firmness; readonly label: string }[] = [
  { value: 'soft', label: 'Soft' },
  { value: 'firm', label: 'Firm' },
  { value: 'hard', label: 'Hard' },
];

/** What to weigh, how far to boil it, how much it makes; then it goes onto the stove. */
export function Weighing({ acts, draft, onDraft }: Props) {
  const { settings, waterC, roomC, stoveW, stoveBatches, nextLot } = acts.kitchen;
  const [sending, setSending] = useState(false);
  const advised = firmnessFor(roomC, settings.hands);
  const firmness = draft.firmness ?? advised;
  const end = endC(firmness, waterC);
  const sugarG = sugarForJarG(draft.jarG, end, waterC);
  const recipe = recipeFor(sugarG);
  const room = headroom(recipe, settings.kettle);
  const { endsAtS } = boilPlan({ recipe, endC: end, waterC, roomC, stoveW });
  const makesG = Math.round((yieldG(recipe, end, waterC) * (1 - LOST_SHARE)) / 10) * 10;
  const start = async (): Promise<void> => {
    setSending(true);
    await acts.start({ firmness, sugarG });
    setSending(false);
  };
  return (
    <>
      <div className={styles.main}>
        <div className={styles.drawn}>
          <KettleDrawing recipe={recipe} kettle={settings.kettle} isOn={false} foams={false} />
        </div>
        <div className={styles.weigh}>
          <dl className={styles.weights}>
            <div>
              <dt>Sugar</dt>
              <dd data-testid="sugar">{sized(recipe.sugarG, 'g')}</dd>
            </div>
            <div>
              <dt>Water</dt>
              <dd>{sized(recipe.waterG, 'g')}</dd>
            </div>
            <div>
              <dt>Lemon juice</dt>
              <dd>{sized(recipe.lemonG, 'g')}</dd>
            </div>
          </dl>
          <p>
            Take it off at <b>{deg(end)}</b>: {stageWords(end, waterC)}. On this stove{' '}
            {endsAtS === null ? 'it never gets there' : minutesWords(endsAtS)}
            {stoveBatches > 0 ? `, by ${stoveBatches} batches` : ', an estimate'}. Makes about{' '}
            <b>{withSizes(`${makesG.toLocaleString('en-GB')} g`)}</b>, {servicesWords(makesG)}.
          </p>
          <div className={styles.fields}>
            <span id="jar-words">In the jar</span>
            <SizeField
              of="g"
              whole
              aria-labelledby="jar-words"
              min={200}
              max={4000}
              step={50}
              value={draft.jarG}
              onChange={(g) => onDraft({ ...draft, jarG: g ?? draft.jarG })}
            />
            <span id="hands-words">Your hands today</span>
            <Radio.Group
              aria-labelledby="hands-words"
              optionType="button"
              value={settings.hands}
              options={[...HANDS]}
              onChange={(e) => void acts.save({ ...settings, hands: e.target.value as Hands })}
            />
            <span id="paste-words">Paste</span>
            <Radio.Group
              aria-labelledby="paste-words"
              optionType="button"
              value={firmness}
              options={[...PASTES]}
              onChange={(e) => onDraft({ ...draft, firmness: e.target.value as Firmness })}
            />
          </div>
          <p className="quiet">
            For a {deg(roomC)} room and {settings.hands} hands: <b>{advised}</b>.
            {firmness === advised ? '' : ` ${firmness} was chosen.`}
          </p>
          {room.isEnough ? null : (
            <p role="alert" className={styles.bad}>
              It would foam over: this pot bears {sized(room.mostSugarG, 'g')} of sugar. Take a larger pot, or less.
            </p>
          )}
          <Where acts={acts} />
        </div>
      </div>
      <div className={styles.key}>
        <p className="quiet">
          Lot {nextLot}. Long spoon, heat-proof dish in cold water, brush and thermometer laid ready.
        </p>
        <Button type="primary" size="large" disabled={!room.isEnough || sending} onClick={() => void start()}>
          All is weighed: onto the heat
        </Button>
      </div>
    </>
  );
}
