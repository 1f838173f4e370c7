'use client';

import { sized } from '@/formats/size';
import { deg } from '@/formats/heat';
import { useState } from 'react';
import { BATCH_STEPS, type BatchStep } from '@/core/kitchen';
import type { Kitchen } from '@/server/services/kitchen';
import { Fault } from '@/ui/Fault';
import { FootSteps } from '@/ui/FootSteps';
import { BatchLog } from './BatchLog';
import { batchNow } from './batchNow';
import { Cooking, headingFor } from './Cooking';
import { Rooms } from '@/ui/Rooms';
import { useKitchen } from './useKitchen';
import { useSeconds } from '@/ui/useSeconds';
import { Weighing, type Draft } from './Weighing';
import styles from './Kitchen.module.css';

const STEP_NAMES: Readonly<Record<BatchStep, string>> = {
  weigh: 'Weigh',
  boil: 'Boil',
  cook: 'Cook',
  dish: 'Cold dish',
  cool: 'Cool',
  knead: 'Knead',
  jar: 'Jar',
};

/** The paste kitchen: what is weighed, the batch on the stove, those before. */
export function KitchenPage({ first }: { readonly first: Kitchen }) {
  const acts = useKitchen(first);
  const { kitchen, fault } = acts;
  const { open } = kitchen;
  const nowMs = useSeconds(first.nowMs);
  const [draft, setDraft] = useState<Draft>({ firmness: null, jarG: 1000 });
  const [title, under] = open
    ? headingFor(open, nowMs)
    : ['Weigh sugar, water and lemon', 'By weight: so a batch that was good can be cooked again.'];
  // cooled, the heat that was last read says nothing any more
  const isRead = open !== null && BATCH_STEPS.indexOf(open.step) <= BATCH_STEPS.indexOf('dish');
  const last = isRead ? batchNow(open, nowMs).last : null;
  const isHot = open !== null && open.step !== 'jar';
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <div>
          <h1>{title}</h1>
          <p>{under}</p>
        </div>
        {last ? (
          <p className={styles.figure} data-testid="heat" aria-label="Heat last read">
            {deg(last.tempC)}
          </p>
        ) : null}
        <Rooms of="pots" here="/kitchen" />
      </div>
      <p className={styles.caution} data-hot={isHot}>
        <b>It burns deep and it sticks.</b> Sleeves down, nobody near, never cold water in. On skin: cool running water,
        20 minutes.
      </p>
      <Fault text={fault} />
      <div className={styles.body}>
        <div className={styles.work}>
          {open ? (
            <Cooking acts={acts} batch={open} nowMs={nowMs} />
          ) : (
            <Weighing acts={acts} draft={draft} onDraft={setDraft} />
          )}
        </div>
        <BatchLog
          acts={acts}
          onAgain={open ? null : (b) => setDraft({ firmness: b.firmness, jarG: b.jarG ?? draft.jarG })}
        />
      </div>
      <FootSteps
        label="Steps of a batch"
        here={open?.step ?? 'weigh'}
        steps={BATCH_STEPS.map((id) => ({ id, name: STEP_NAMES[id], result: stepResult(kitchen, id) }))}
      />
    </section>
  );
}

/** What a step gave, or will give. */
function stepResult({ open, nextLot }: Kitchen, step: BatchStep): string {
  if (!open) return step === 'jar' ? `lot ${nextLot}` : '';
  const began = open.notes.findLast((n) => n.kind === 'step' && n.what === step)?.atMs;
  const min = (ms: number): string => `${Math.max(0, Math.round((ms - open.weighedAtMs) / 60_000))} min`;
  if (step === 'weigh') return `${sized(open.recipe.sugarG, 'g')} sugar`;
  if (step === 'dish' && open.offC !== null) return `off at ${deg(open.offC)}`;
  if (step === 'cook') return `to ${deg(open.endC)}`;
  if (step === 'jar') return `lot ${open.lot}`;
  return began === undefined || step === 'boil' ? '' : `after ${min(began)}`;
}
