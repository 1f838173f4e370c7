'use client';

import { useEffect, useState } from 'react';
import type { PlanHeat } from '@/core/plan';
import { USUAL_POT, type HeatingInput } from '@/core/pots';
import type { Product } from '@/core/products';
import { plural } from '@/ui/words';
import type { PotAnswer } from '@/workers/pot.worker';

const minutes = (s: number): string => `about ${Math.max(1, Math.round(s / 60))} min`;

/** How long the pot takes from cold and when it is switched down, for a usual pot; computed in a worker. */
export function PotLine({ product, heat, roomC }: { readonly product: Product; readonly heat: PlanHeat; readonly roomC: number }) {
  const [answer, setAnswer] = useState<PotAnswer | 'failed' | null>(null);
  const { min, target, max } = heat.workingC;
  const lossK = heat.potC - target;
  const input: HeatingInput = { product, pot: USUAL_POT, roomC, window: { minC: min + lossK, targetC: target + lossK, maxC: max + lossK } };
  // by its text: every answer of the server brings new objects with the same figures
  const asked = JSON.stringify(input);
  useEffect(() => {
    setAnswer(null);
    const worker = new Worker(new URL('../../../workers/pot.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<PotAnswer>) => setAnswer(data);
    worker.onerror = () => setAnswer('failed');
    worker.postMessage(JSON.parse(asked));
    return () => worker.terminate();
  }, [asked]);
  return <p className="quiet" role="status" data-pot={answer === 'failed' ? 'failed' : answer ? 'known' : 'asked'}>{answer === 'failed' ? 'From cold: this tablet could not work it out.' : answer ? sentence(answer, product) : 'From cold: working it out …'}</p>;
}

function sentence({ steadyS, switchDown, pulsesS }: PotAnswer, product: Product): string {
  const pot = `${USUAL_POT.waxG} g, ${USUAL_POT.heaterW} W, lid on`;
  if (product.family === 'sugar') {
    if (!pulsesS) return 'From room temperature the microwave does not bring it there evenly: use a warmer.';
    const longest = Math.max(0, ...pulsesS);
    return pulsesS.length === 0 ? 'At room temperature it is in its window already: test it in the hand.' : `From room temperature, microwave: ${plural(pulsesS.length, 'pulse')} of at most ${longest} s for ${USUAL_POT.waxG} g, stirred and rested after each.`;
  }
  if (!switchDown) return `From cold this pot (${pot}) does not get there in three hours.`;
  const steady = steadyS === null ? '' : ` At the target from the start: ${minutes(steadyS)}.`;
  return switchDown.switchDownS === 0 ? `From cold: ${minutes(switchDown.readyS)} (${pot}).` : `From cold: full heat for ${minutes(switchDown.switchDownS)}, then down; ready after ${minutes(switchDown.readyS)} (${pot}).${steady} Nothing from the rim before it is stirred.`;
}
