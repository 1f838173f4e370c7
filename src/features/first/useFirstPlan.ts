'use client';

import type { Stroke } from '@/core/field';
import { useWorkerAnswer, type Answer } from '@/ui/useWorkerAnswer';
import type { FirstPlanAnswer } from '@/workers/firstPlan.worker';
import { armCase } from './drawnArm';

/** The plan of the drawn arm, worked out beside the page. */
export const useFirstPlan = (
  on: string,
  products: readonly string[],
  strokes: readonly Stroke[],
): Answer<FirstPlanAnswer> =>
  useWorkerAnswer<ReturnType<typeof armCase>, FirstPlanAnswer>(
    () => new Worker(new URL('../../workers/firstPlan.worker.ts', import.meta.url), { type: 'module' }),
    products.length === 0 ? null : armCase(on, products, strokes),
  );
