// What each school of heating asks for, in one line; always an estimate.

import { deg } from '@/formats/heat';
import type { PotOnPage } from '@/server/services/pots';
import { plural } from '@/ui/words';
import type { PotAnswer } from '@/workers/pot.worker';

const minutes = (s: number): string => `about ${Math.max(1, Math.round(s / 60))} min`;

export function schoolWords(school: PotOnPage['school'], answer: PotAnswer): string {
  const { steadyS, switchDown, pulsesS, holdC } = answer;
  const hold = deg(holdC);
  if (school === 'bath') {
    return `Water at ${hold} under the can; stir often. Disputed: slow, and water must not get into the wax.`;
  }
  if (school === 'pulses') {
    if (pulsesS === null) return 'Pulses do not bring it there evenly: use a warmer.';
    if (pulsesS.length === 0) return 'Warm enough at room temperature: test it in the hand.';
    return `From cold: ${plural(pulsesS.length, 'pulse')} of at most ${Math.max(...pulsesS)} s, rested and stirred after each.`;
  }
  if (school === 'melt-off' && switchDown) {
    const { switchDownS, readyS, highC, holdC: downC } = switchDown;
    return `From cold: ${deg(highC)} for ${minutes(switchDownS)}, then down to ${deg(downC)}: the core melts in the rim’s heat. Ready after ${minutes(readyS)}.`;
  }
  return steadyS === null
    ? `Held at ${hold} it does not get there from cold in three hours.`
    : `From cold, held at ${hold}: ready after ${minutes(steadyS)}.`;
}
