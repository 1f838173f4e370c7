// A pot in words, the same everywhere: how warm, which way, who says so, whether it is what the next visit wants.

import { deg, degApart, degSpan } from '@/formats/heat';
import type { LoadWarning } from '@/core/pots';
import type { LivePot } from '@/server/pots/livePot';
import { timeOfDay } from '@/ui/words';

const WAY_WORDS = { rising: 'getting warmer', falling: 'cooling', steady: 'steady' } as const;

/** `56°`; a dash where nothing is known. */
export const heatFigure = (tempC: number | null): string => (tempC === null ? '–' : deg(tempC));

/** Who says so, in a word. */
export const shortSource = ({ from, isSimulated }: LivePot): string => {
  if (from === 'hand') return 'by hand';
  return isSimulated ? 'simulated' : 'sensor';
};
/** Who says so: `simulated sensor`, `by hand 09:41`. */
export function sourceWords({ from, isSimulated, atMs, isSilent }: LivePot, timeZone: string): string {
  if (from === 'probe') return isSimulated ? 'simulated sensor' : 'sensor';
  const silent = isSilent ? 'sensor silent' : '';
  const hand = from === 'hand' && atMs !== null ? `by hand ${timeOfDay(atMs, timeZone)}` : '';
  return [silent, hand].filter(Boolean).join(', ') || 'not measured';
}

/** `steady, set to 56°`, `cooling, switched off`. */
export const wayWords = ({ way, setC }: LivePot): string =>
  [way === null ? '' : WAY_WORDS[way], setC === null ? 'switched off' : `set to ${deg(setC)}`]
    .filter(Boolean)
    .join(', ');

const AT_WORDS = { in: 'in the window', under: 'under the window', over: 'over the window' } as const;
/** `in the window of 10:15`; empty where no visit of today works with it. */
export function windowWords({ next }: LivePot, timeZone: string): string {
  if (!next) return '';
  const span = degSpan(next.minC, next.maxC);
  const time = timeOfDay(next.startsAtMs, timeZone);
  return next.at === null ? `wanted at ${span}, ${time}` : `${AT_WORDS[next.at]} of ${time}, ${span}`;
}

/** What is wrong with it, and what to do; empty where nothing is. */
export function faultWords({ isOverSet, isSilent, apartK, setC }: LivePot): readonly string[] {
  const set = setC === null ? '' : heatFigure(setC);
  const apart = apartK === null ? '' : `${degApart(Math.abs(apartK))} ${apartK < 0 ? 'less' : 'more'}`;
  return [
    isOverSet
      ? `Warmer than it is set (${set}): the thermostat may be stuck. Pull the plug, let it cool, test anew.`
      : '',
    apart === '' ? '' : `The sensor tells ${apart} than was measured by hand: the warmer counts. Look at the probe.`,
    isSilent ? 'The sensor tells nothing: look at its plug, measure by hand meanwhile.' : '',
  ].filter(Boolean);
}

/** What is said before a load is taken, in one line. */
export function loadWords(warning: LoadWarning): string {
  switch (warning.kind) {
    case 'over':
      return `Pot ${heatFigure(warning.tempC)}, over ${heatFigure(warning.limitC)}: stir, cool, wrist anew.`;
    case 'under':
      return `Pot ${heatFigure(warning.tempC)}, under ${heatFigure(warning.limitC)}: stiff. Warm it, wrist anew.`;
    case 'apart':
      return 'Sensor and thermometer disagree: trust the wrist.';
    case 'silent':
      return 'The sensor is silent: trust the wrist.';
  }
}
