'use client';

import type { PlanHeat } from '@/core/plan';
import { USUAL_POT, type HeatingInput } from '@/core/pots';
import type { Product } from '@/core/products';
import { useWorkerAnswer } from '@/ui/useWorkerAnswer';
import { plural } from '@/ui/words';
import type { PotAnswer } from '@/workers/pot.worker';

const minutes = (s: number): string => `about ${Math.max(1, Math.round(s / 60))} min`;

/**
 * How long the pot takes from cold, when it is switched down, and what topping up costs, for a usual pot; computed in a
 * worker.
 */
export function PotLine({
  product,
  heat,
  roomC,
}: {
  readonly product: Product;
  readonly heat: PlanHeat;
  readonly roomC: number;
}) {
  const { min, target, max } = heat.workingC;
  const lossK = heat.potC - target;
  const input: HeatingInput = {
    product,
    pot: USUAL_POT,
    roomC,
    window: { minC: min + lossK, targetC: target + lossK, maxC: max + lossK },
  };
  const answer = useWorkerAnswer<HeatingInput, PotAnswer>(
    () => new Worker(new URL('../../../workers/pot.worker.ts', import.meta.url), { type: 'module' }),
    input,
  );
  const come = answer === null ? 'asked' : 'known';
  const words = answer && answer !== 'failed' ? sentence(answer, product) : 'From cold: working it out …';
  return (
    <p className="quiet" role="status" data-pot={answer === 'failed' ? 'failed' : come}>
      {answer === 'failed' ? 'From cold: this tablet could not work it out.' : words}
    </p>
  );
}

function sentence({ steadyS, switchDown, pulsesS, toppedUp }: PotAnswer, product: Product): string {
  const pot = `${USUAL_POT.waxG} g, ${USUAL_POT.heaterW} W, lid on`;
  if (product.family === 'sugar') {
    if (!pulsesS) return 'From room temperature the microwave does not bring it there evenly: use a warmer.';
    const longest = Math.max(0, ...pulsesS);
    return pulsesS.length === 0
      ? 'At room temperature it is in its window already: test it in the hand.'
      : `From room temperature, microwave: ${plural(pulsesS.length, 'pulse')} of at most ${longest} s for ${USUAL_POT.waxG} g, stirred and rested after each.`;
  }
  if (!switchDown) return `From cold this pot (${pot}) does not get there in three hours.`;
  const steady = steadyS === null ? '' : ` At the target from the start: ${minutes(steadyS)}.`;
  const more =
    toppedUp === null
      ? ''
      : ` Topped up with ${toppedUp.addG} g at work: right again after ${toppedUp.readyS === null ? 'hours' : minutes(toppedUp.readyS)}, core up to ${Math.round(toppedUp.apartK)} K cooler; stir, and test anew.`;
  return switchDown.switchDownS === 0
    ? `From cold: ${minutes(switchDown.readyS)} (${pot}).${more}`
    : `From cold: full heat for ${minutes(switchDown.switchDownS)}, then down; ready after ${minutes(switchDown.readyS)} (${pot}).${steady} Nothing from the rim before it is stirred.${more}`;
}
