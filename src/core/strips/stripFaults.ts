// Rules that strips laid out by hand may break, each named with the strip and in words. The plan is made all the same:
// the hand decides, the rule is said. Limits: engines of the layout itself (common practice, no source; figures from
// memory).

import { isInside } from '../shared';
import type { GrowthField } from '../field';
import { angleErrors } from './angleErrors';
import { isSliver, isTooLarge } from './lanes';
import type { Layout } from './layOut';
import type { LayoutInput } from './types';

export type StripFaultCode = 'cover' | 'too-long' | 'too-wide' | 'off-growth' | 'sliver' | 'sore';

export interface StripFault {
  readonly code: StripFaultCode;
  /** Null: of the zone as a whole. */
  readonly strip: string | null;
  readonly text: string;
}

const LEAST_COVER = 0.98;
/** A strip may stand this far off its hair on the mean, degrees, and have this share pulled across. */
const MOST_OFF_DEG = 25;
const MOST_ACROSS = 0.25;

export function stripFaults(
  layout: Layout,
  field: GrowthField,
  input: Pick<LayoutInput, 'largestCm' | 'fade'>,
): readonly StripFault[] {
  const [widest, longest] = input.largestCm;
  const faults: StripFault[] = [];
  const { coveredShare } = layout.cover;
  if (coveredShare < LEAST_COVER) {
    faults.push({
      code: 'cover',
      strip: null,
      text: `${Math.floor(100 * coveredShare)} % of the hair is covered; the rest would stay.`,
    });
  }
  for (const s of layout.strips) {
    const say = (code: StripFaultCode, text: string): void => {
      faults.push({ code, strip: s.id, text });
    };
    const off = angleErrors([s], field);
    if (off.meanDeg > MOST_OFF_DEG || off.over40 > MOST_ACROSS) {
      say(
        'off-growth',
        `Hair here stands ${Math.round(off.meanDeg)}° off the strip on average: it would be pulled across and break.`,
      );
    }
    if (isTooLarge({ ...s, widthCm: 0 }, input.largestCm)) {
      say(
        'too-long',
        `${Math.round(10 * s.lengthCm)} mm long; this hand pulls up to about ${Math.round(10 * longest)} mm.`,
      );
    }
    if (isTooLarge({ ...s, lengthCm: 0 }, input.largestCm)) {
      say('too-wide', `${Math.round(10 * s.widthCm)} mm wide; up to about ${Math.round(10 * widest)} mm here.`);
    }
    // dabs of a faded border are small, and their rim lies on hair that stays
    if (input.fade && isInside([input.fade.band], s.outline[0] ?? s.tab)) continue;
    if (isSliver(s, input.largestCm)) {
      say('sliver', 'Hardly worth a strip: join it to its neighbour, or leave it to the tweezers.');
    }
    if (s.tabOn === 'hair') say('sore', 'No bare or cleared skin for its tab: the pull would start on hair.');
  }
  return faults;
}
