'use client';

import { useEffect, useMemo, useState } from 'react';
import { LEVELS, PIECES, practicePiece, type Practised, type Question } from '@/core/practice';
import type { Product } from '@/core/products';
import { sendJson } from '@/ui/sendJson';
import { useLiveWorker } from '@/ui/useLiveWorker';
import { begun, stepped, STATIONS, type Practice, type Step } from './practiceState';

/** The practice under way, on this tablet only: it is nobody's record. */
const KEPT = 'strickle-practice';

function kept(products: readonly Product[]): Practice | null {
  try {
    const found = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as Practice | null;
    const isOurs =
      found !== null &&
      LEVELS.includes(found.level) &&
      PIECES.includes(found.piece) &&
      STATIONS.includes(found.station) &&
      Array.isArray(found.acts) &&
      (found.chosen === null || products.some((p) => p.id === found.chosen?.productId));
    // what an older page kept knows nothing of what came later
    return isOurs ? { ...begun(found.level, found.piece, found.seed), ...found } : null;
  } catch {
    return null;
  }
}

export interface Practising {
  readonly practice: Practice;
  readonly product: Product | null;
  readonly answer: Practised | null;
  readonly isFresh: boolean;
  readonly failed: boolean;
  /** The pot's own heat at touch, °C; null before one is chosen. */
  readonly touchC: number | null;
  readonly asks: number | null;
  readonly ask: (hair: number | null) => void;
  readonly step: (step: Step) => void;
  /** Why the last strip does not stand in the learner’s weeks; null = it does, or is nobody’s. */
  readonly notKept: string | null;
}

/** What a strip came to, for the learner’s weeks; sent once, by an id made of what it is. Gives why it was not kept. */
async function keepStrip(
  { level, piece, seed, acts, decided }: Practice,
  answer: Practised | null,
): Promise<string | null> {
  const looked = answer?.looked;
  if (!looked?.score) return null;
  const { out, broken, left } = looked.answer;
  const [most] = looked.differed;
  const body = {
    level,
    piece,
    points: looked.score.points,
    out,
    broken,
    left,
    fault: most && most.hairs >= 2 ? most.code : null,
  };
  const waitMs = Math.round(1000 * (acts.at(-1)?.waitS ?? 0));
  const id = `strip-${seed}-${acts.length}-${waitMs}-${decided ?? 'open'}`;
  const sent = await sendJson('POST', '/api/practice/strips', body, id);
  return sent.ok ? null : `Strip ${acts.length} was not kept for your weeks: ${sent.error.message}`;
}

/** In the browser only: it begins with what the tablet has kept. */
export function usePractice(products: readonly Product[], seed: number, isNamed: boolean): Practising {
  const [practice, setPractice] = useState(() => kept(products) ?? begun('first-steps', 'plain', seed));
  const [asks, ask] = useState<number | null>(null);
  const [notKept, setNotKept] = useState<string | null>(null);
  useEffect(() => {
    try {
      localStorage.setItem(KEPT, JSON.stringify(practice));
    } catch {
      // a tablet that keeps nothing begins anew after a reload
    }
  }, [practice]);
  const { level, piece, seed: own, chosen, acts, thick } = practice;
  const { scene, potOffK } = useMemo(() => practicePiece(level, piece, own), [level, piece, own]);
  const product = products.find((p) => p.id === chosen?.productId) ?? null;
  const touchC = chosen ? chosen.setC + potOffK : null;
  const slab = useMemo((): Question['slab'] => {
    if (!product || !chosen || touchC === null) return null;
    const { way, coats } = chosen;
    return { product, way, coats, touchC, thick };
  }, [product, chosen, touchC, thick]);
  const { answer, isFresh, failed } = useLiveWorker<Question, Practised>(
    () => new Worker(new URL('../../workers/practice.worker.ts', import.meta.url), { type: 'module' }),
    { scene, acts, slab, asks, minutes: true },
  );
  const step = (next: Step): void => {
    if (next.do === 'next' || next.do === 'begin' || next.do === 'pull') ask(null);
    // a strip that is looked at and left is one of hers, if somebody has said who she is
    if (isNamed && practice.station === 'look' && isFresh && (next.do === 'next' || next.do === 'begin')) {
      void keepStrip(practice, answer).then(setNotKept);
    }
    setPractice((p) => stepped(p, next));
  };
  return { practice, product, answer, isFresh, failed, touchC, asks, ask, step, notKept };
}
