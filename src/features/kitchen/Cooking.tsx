'use client';

import { sized } from '@/formats/size';
import { deg, withHeat } from '@/formats/heat';
import { coolsInMin, KNEAD_MIN, remedies, type Trouble } from '@/core/kitchen';
import type { OpenBatch } from '@/server/services/kitchen';
import { batchNow, waterStartG, type BatchNow } from './batchNow';
import { Colours } from './Colours';
import { CookCurve } from './CookCurve';
import { KettleDrawing } from './KettleDrawing';
import { StepKeys } from './StepKeys';
import type { KitchenActs } from './useKitchen';
import styles from './Kitchen.module.css';

interface Props {
  readonly acts: KitchenActs;
  readonly batch: OpenBatch;
  readonly nowMs: number;
}

/** The batch on the stove: its pot, its curve, what to do when it goes wrong, the key that ends the step. */
export function Cooking({ acts, batch, nowMs }: Props) {
  const { settings, timeZone } = acts.kitchen;
  const now = batchNow(batch, nowMs);
  const { step } = batch;
  const onHeat = step === 'boil' || step === 'cook';
  return (
    <>
      <div className={styles.main}>
        <div className={styles.drawn}>
          <KettleDrawing recipe={batch.recipe} kettle={settings.kettle} isOn={onHeat} foams={step === 'cook'} />
          {onHeat || step === 'dish' ? (
            <Colours value={now.colour} onChange={(colour) => void acts.act({ colour })} />
          ) : null}
        </div>
        <div className={styles.cook}>
          <CookCurve batch={batch} now={now} nowMs={nowMs} timeZone={timeZone} />
          <WaterLeft batch={batch} now={now} />
          <Remedies batch={batch} now={now} onTrouble={(trouble) => void acts.act({ trouble })} />
        </div>
      </div>
      <StepKeys key={step} acts={acts} batch={batch} now={now} />
    </>
  );
}

function WaterLeft({ batch, now }: { readonly batch: OpenBatch; readonly now: BatchNow }) {
  const { waterNowG, waterEndG, last } = now;
  const all = waterStartG(batch);
  const share = (g: number): string => `${Math.min(100, (100 * g) / all)}%`;
  const toGo = Math.max(0, Math.round(waterNowG - waterEndG));
  return (
    <div className={styles.water}>
      <b>Water left</b>
      <div>
        <i style={{ width: share(waterNowG) }} />
        <i data-end style={{ left: share(waterEndG) }} />
      </div>
      <span>
        {last
          ? `${sized(Math.round(waterNowG), 'g')}; ${sized(toGo, 'g')} still to boil off`
          : `${sized(Math.round(all), 'g')} at the start`}
        , {sized(Math.round(waterEndG), 'g')} at the end
      </span>
    </div>
  );
}

interface RemediesProps {
  readonly batch: OpenBatch;
  readonly now: BatchNow;
  readonly onTrouble: (trouble: Trouble) => void;
}

/** Four that go wrong, each with the one thing that helps; tapped, it is noted. */
function Remedies({ batch, now, onTrouble }: RemediesProps) {
  const { recipe, endC, waterC, roomC, firmness, notes } = batch;
  if (batch.step !== 'cook' && batch.step !== 'dish') return null;
  const readC = now.last?.tempC ?? waterC;
  const noted = new Set(notes.filter((n) => n.kind === 'trouble').map((n) => n.what));
  return (
    <div className={styles.remedies}>
      {remedies({ recipe, endC, waterC, roomC, stoveW: now.heatW, firmness, readC }).map(({ trouble, asks, says }) => (
        <button key={trouble} type="button" onClick={() => onTrouble(trouble)}>
          <b>{asks}</b>
          <span>{withHeat(says)}</span>
          {noted.has(trouble) ? <em>noted</em> : null}
        </button>
      ))}
    </div>
  );
}

/** What to do now, and the line under it. */
export function headingFor(batch: OpenBatch, nowMs: number): readonly [string, string] {
  const now = batchNow(batch, nowMs);
  const min = now.leftS === null ? null : Math.max(0, Math.round(now.leftS / 60));
  switch (batch.step) {
    case 'boil':
      return ['Stir until it is clear and boils', 'Slowly, from the floor up. Then brush the rim with water.'];
    case 'cook':
      return [
        cookTitle(batch, now),
        min === null ? 'It does not get there on this heat: turn it up.' : `About ${min} min. ${behindWords(now)}`,
      ];
    case 'dish':
      return ['A drop on the cold dish', 'Bent between two fingers it folds without cracking and does not run.'];
    case 'cool': {
      const since = batch.notes.findLast((n) => n.kind === 'step' && n.what === 'cool')?.atMs ?? nowMs;
      const left = Math.ceil(coolsInMin(batch.offC ?? batch.endC) - (nowMs - since) / 60_000);
      const when =
        left > 0 ? `About ${left} min until hands can take it; test first.` : 'Hands can take it: test first.';
      return ['In the cold bath, edges scraped in', when];
    }
    case 'knead':
      return ['Knead and pull with wet hands', `About ${KNEAD_MIN} min, until it is opaque.`];
    default:
      return [
        `Into the jar: ${batch.lot}`,
        `About ${sized(Math.round(now.makesG / 10) * 10, 'g')}. Write the lot on it.`,
      ];
  }
}

/** What the clock says is a guess: that it is there is said of a heat that was read. */
function cookTitle({ endC }: OpenBatch, { last, leftS }: BatchNow): string {
  const end = deg(endC);
  if (last && last.tempC >= endC) return 'It is there: take it off now';
  return last && leftS === 0 ? `It should be near ${end}: read it now` : `Stir slowly. At ${end} take it off.`;
}

function behindWords({ behindS, last }: BatchNow): string {
  if (last === null || behindS === null) return 'Read the heat now and then; lay a cold dish ready.';
  const min = Math.round(behindS / 60);
  if (Math.abs(min) < 1) return 'As planned: keep the heat as it is. Lay a cold dish ready.';
  return `${Math.abs(min)} min ${min > 0 ? 'behind' : 'before'} the plan. Lay a cold dish ready.`;
}
