// What the record says of a reading and of the table, in words: only what was said and what was done.

import { SEEN, standing, type TableEvent } from '../../core/hands';
import { readStep } from '../../core/plan';
import { isSaid, type ReadField } from '../../core/reading';
import type { Reading } from '../db/schema';

const LEFT = { none: 'nothing left', few: 'a few left', patch: 'a patch left', many: 'much left' } as const;
const FELT = { 'too-warm': 'felt too warm', right: 'felt right', 'too-cool': 'felt too cool' } as const;
const BLED = { none: 'no bleeding', points: 'bleeding points', 'keeps-on': 'bleeding that did not stop' } as const;

/** `Read: 96 % removed, nothing left, skin pink, felt right.`; what nobody said is not in it. */
export function readWords(reading: Reading): string {
  const said: readonly (readonly [ReadField, string])[] = [
    ['broken', `${reading.brokenPct} % broken`],
    ['left', LEFT[reading.left]],
    ['tweezed', `${reading.tweezed} tweezed`],
    ['skin', `skin ${reading.skin}`],
    ['bleeding', BLED[reading.bleeding]],
    ['heatFelt', FELT[reading.heatFelt]],
  ];
  const words = [
    ...(reading.removedSaid ? [`${reading.removedPct} % removed`] : []),
    ...said.filter(([field]) => isSaid(reading, field)).map(([, w]) => w),
  ];
  return `${words.length > 0 ? `${words.join(', ')}.` : 'not read.'} ${reading.note}`.trim();
}

const STEPS: Readonly<Record<string, string>> = {
  alerts: 'alerts looked at',
  hands: 'hands and gloves',
  trim: 'trim',
  cleanse: 'cleansing',
  skin: 'drying and powder or oil',
  look: 'the look in the mirror',
  light: 'bright light and touch',
  residue: 'residue off',
  calm: 'bleeding calm',
  mirror: 'the client’s look in the mirror',
  care: 'care told',
};

/** What the table has to say beside lays and pulls: left out, early, stopped, seen. */
export function tableWords(journal: readonly TableEvent[]): readonly string[] {
  const counted = standing(journal);
  const leftOut = counted.flatMap((e) =>
    e.kind === 'step' && e.skipped && e.step !== undefined ? [STEPS[readStep(e.step).name] ?? e.step] : [],
  );
  const early = counted.filter((e) => e.earlyS !== undefined);
  const aid = new Set(counted.flatMap((e) => (e.kind === 'aid' ? [e.step] : [])));
  const seen: readonly string[] = [...SEEN.filter((s) => aid.has(s)), ...(aid.has('not-a-burn') ? ['not a burn'] : [])];
  return [
    ...(leftOut.length > 0 ? [`Left out at the table: ${leftOut.join(', ')}.`] : []),
    ...(early.length > 0
      ? [`Pulled before the window: ${early.length}, up to ${Math.max(...early.map((e) => e.earlyS ?? 0))} s early.`]
      : []),
    ...(counted.some((e) => e.kind === 'stop')
      ? [`The work was stopped.${seen.length > 0 ? ` Noted: ${seen.join(', ')}.` : ''}`]
      : []),
  ];
}
