'use client';

import { useMemo } from 'react';
import type { Picture } from '@/core/exam';
import { handStrip, LEVEL_FACTS, practicePiece, type Level, type Practised, type Question } from '@/core/practice';
import { ZONES } from '@/core/anatomy';
import { add, scale, unit, type Vec } from '@/core/shared';
import { SkinSheet } from '@/features/practice/SkinSheet.client';
import { StripDrawing } from '@/features/practice/StripDrawing';
import { useLiveWorker } from '@/ui/useLiveWorker';
import styles from './Exam.module.css';

const SEED = 5;
const WORDS: Readonly<Record<Picture, string>> = {
  none: '',
  growth: '',
  lay: 'laid along the growth, its tab past the hair',
  pull: 'pulled against the growth, low',
};

/** Mean way of the hair near a place. */
function wayAt({ hairs }: Practised, at: Vec, cm: number): Vec {
  const near = hairs.filter((h) => Math.hypot(h.at[0] - at[0], h.at[1] - at[1]) < cm);
  return unit(near.reduce<Vec>((s, h) => add(s, h.way), [0, 0])) ?? [0, 1];
}

/** The zone with its hair; the strip of the step where one is drawn. */
export function ExamPicture({ level, picture }: { readonly level: Level; readonly picture: Picture }) {
  const { scene } = useMemo(() => practicePiece(level, 'plain', SEED), [level]);
  const { answer } = useLiveWorker<Question, Practised>(
    () => new Worker(new URL('../../workers/practice.worker.ts', import.meta.url), { type: 'module' }),
    { scene, acts: [], slab: null, asks: null },
  );
  const { zone, side, hair } = LEVEL_FACTS[level];
  const [width, length] = ZONES[zone].stripCm.soft;
  const strip = useMemo(() => {
    if (!answer) return null;
    const middle: Vec = [answer.sheetCm[0] / 2, answer.sheetCm[1] / 2];
    const way = wayAt(answer, middle, width);
    const half = Math.min(length, 0.6 * Math.min(...answer.sheetCm)) / 2;
    return handStrip(add(middle, scale(way, -half)), add(middle, scale(way, half)), Math.min(width, half));
  }, [answer, width, length]);
  if (!answer) {
    return (
      <div className={styles.picture} role="status">
        The skin is being drawn …
      </div>
    );
  }
  return (
    <figure className={styles.picture}>
      <SkinSheet
        {...{ answer, zone, side }}
        coarseness={hair.coarseness}
        revealed={null}
        signs={false}
        asks={null}
        label={`${ZONES[zone].name} with its hair${WORDS[picture] ? `: a strip ${WORDS[picture]}` : ''}.`}
      >
        {(drawn) =>
          strip && (picture === 'lay' || picture === 'pull') ? (
            <StripDrawing
              {...{ drawn, strip }}
              isOff={false}
              pulled={undefined}
              planned={undefined}
              aim={picture === 'pull' ? scale(strip.lay, -1) : null}
            />
          ) : null
        }
      </SkinSheet>
      {WORDS[picture] ? <figcaption>{WORDS[picture]}</figcaption> : null}
    </figure>
  );
}
