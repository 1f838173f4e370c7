'use client';

import { sized } from '@/formats/size';
import { degApart, degrees } from '@/formats/heat';
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

function sentence({ steadyS, switchDown, stirredS, pulsesS, toppedUp }: PotAnswer, product: Product): string {
  const pot = `${sized(USUAL_POT.waxG, 'g')}, ${USUAL_POT.heaterW} W, lid on`;
  if (product.family === 'sugar') {
    if (!pulsesS) return 'From room temperature the microwave does not bring it there evenly: use a warmer.';
    const longest = Math.max(0, ...pulsesS);
    return pulsesS.length === 0
      ? 'At room temperature it is in its window already: test it in the hand.'
      : `From room temperature, microwave: ${plural(pulsesS.length, 'pulse')} of at most ${longest} s for ${sized(USUAL_POT.waxG, 'g')}, stirred and rested after each.`;
  }
  if (!switchDown) return `From cold this pot (${pot}) does not get there in three hours.`;
  const { switchDownS, readyS, holdC } = switchDown;
  const sooner =
    stirredS !== null && stirredS < readyS - 60 ? `, ${Math.round(stirredS / 60)} if stirred every five minutes` : '';
  const ready = `ready after ${minutes(readyS)}${sooner} (${pot})`;
  const steady =
    steadyS === null || switchDownS === 0 ? '' : ` At ${degrees(holdC)} from the start: ${minutes(steadyS)}.`;
  return `From cold: ${heatWords(switchDown)}, ${ready}.${steady} Estimates: the label’s own heat comes first, and nothing from the rim before it is stirred.${toppedUpWords(toppedUp)}`;
}

/** Where the thermostat stands until the pot is ready, and then. */
function heatWords({ switchDownS, readyS, highC, holdC }: NonNullable<PotAnswer['switchDown']>): string {
  if (switchDownS === 0) return `thermostat at ${degrees(holdC)}`;
  if (readyS - switchDownS < 60) return `thermostat at ${degrees(highC)}, down to ${degrees(holdC)} once it is ready`;
  return `thermostat at ${degrees(highC)} for ${minutes(switchDownS)}, then down to ${degrees(holdC)}`;
}

function toppedUpWords(toppedUp: PotAnswer['toppedUp']): string {
  if (toppedUp === null) return '';
  const { addG, fallsK, readyS } = toppedUp;
  const again = readyS === null ? 'hours' : minutes(readyS);
  return ` Topped up with ${sized(addG, 'g')} at work and stirred in: ${degApart(fallsK)} cooler, right again after ${again}; test anew.`;
}
