// What the chart found about the hair itself, in sentences for the plan. Common practice, no source.

import type { Hair } from '../hair';
import { LEAST_CROSSING } from '../field';

/** A fifth of what a strip acts on: over a whole zone even a small patch is worth a sentence. */
const WORTH_SAYING = LEAST_CROSSING / 5;

export function hairNotes(hair: Hair, crossingShare: number): readonly string[] {
  const has = (flag: 'flat' | 'under-skin' | 'layers'): boolean => hair.flags?.includes(flag) ?? false;
  return [
    ...(crossingShare >= WORTH_SAYING
      ? [
          `Hair crosses on part of this zone (${Math.round(100 * crossingShare)} % of all): what is left there after a strip stands the other way and is taken along its own growth.`,
        ]
      : []),
    ...(has('flat') ? ['Hair lies flat: lift it with powder and a stroke against the growth before each strip.'] : []),
    ...(has('layers')
      ? ['Hair stands in layers: what is left after the first strip is the next layer, not a failure.']
      : []),
    ...(has('under-skin')
      ? [
          'Hair under the skin stays closed: no digging; gentle exfoliation from day 2–3, and refer what is hot, swollen or weeping.',
        ]
      : []),
  ];
}
