'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { LEVELS, PIECES, practicePiece, type Practised, type Question } from '@/core/practice';
import type { Product } from '@/core/products';
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
}

/** In the browser only: it begins with what the tablet has kept. */
export function usePractice(products: readonly Product[], seed: number): Practising {
  const [practice, setPractice] = useState(() => kept(products) ?? begun('first-steps', 'plain', seed));
  const [asks, ask] = useState<number | null>(null);
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
  const step = useCallback((next: Step) => {
    if (next.do === 'next' || next.do === 'begin' || next.do === 'pull') ask(null);
    setPractice((p) => stepped(p, next));
  }, []);
  return { practice, product, answer, isFresh, failed, touchC, asks, ask, step };
}
