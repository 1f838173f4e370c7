// What the pots ask for today, in words.

import { sized } from '@/formats/size';
import { deg } from '@/formats/heat';
import type { PotDay } from '@/core/pots';
import { timeOfDay } from '@/ui/words';

type Act = PotDay['acts'][number];

const ACT: Readonly<Record<Act['what'], string>> = {
  on: 'switch on',
  up: 'switch up',
  down: 'switch down',
  off: 'off',
};

/** `switch on 08:40`. */
export const actWords = (act: Act, fromMs: number, timeZone: string): string =>
  `${ACT[act.what]} ${timeOfDay(fromMs + 1000 * act.atS, timeZone)}`;

export interface PotNeed {
  readonly potId: string;
  readonly title: string;
  readonly text: string;
  readonly weight: 'stop' | 'note';
  /** Where the thermostat is to be set now; null = switched off; absent = no such remedy. */
  readonly setC?: number | null;
}

interface OnePot {
  readonly potId: string;
  readonly name: string;
  readonly day: PotDay;
  readonly fromMs: number;
  readonly nowMs: number;
  readonly timeZone: string;
}

/** An act this near is asked for, ms. */
const SOON_MS = 20 * 60_000;

function lateWords({ who, byS }: NonNullable<PotDay['late']>): string {
  // what does not come there by itself has no minutes
  if (!Number.isFinite(byS)) return ` It does not get there by itself for ${who}: stir, test on the wrist.`;
  return ` ${who} waits about ${Math.max(1, Math.round(byS / 60))} min for it: test on the wrist.`;
}

/** When it is filled up, and when it is right again. */
export function refillWords(refill: PotDay['refill'], fromMs: number, timeZone: string): string {
  if (!refill) return 'take a second pot.';
  const at = (s: number): string => timeOfDay(fromMs + 1000 * s, timeZone);
  const again = refill.stillShortG > 0 ? `; ${sized(refill.stillShortG, 'g')} more on the way` : '';
  const melts = `add ${sized(refill.addG, 'g')} at ${at(refill.atS)}, right again about ${at(refill.readyAtS)}${again}`;
  return refill.isInTime ? `${melts}.` : `${melts}: too late for it, take a second pot.`;
}

/** What is to be done about one pot now, or cannot be. */
export function potNeeds({ potId, name, day, fromMs, nowMs, timeZone }: OnePot): readonly PotNeed[] {
  const needs: PotNeed[] = [];
  const [next] = day.acts;
  const dueMs = next ? fromMs + 1000 * next.atS : Infinity;
  if (next && dueMs - nowMs <= SOON_MS) {
    const setC = next.setC === null ? null : Math.round(next.setC);
    const late = day.late ? lateWords(day.late) : '';
    const when = dueMs <= nowMs + 60_000 ? 'now' : `at ${timeOfDay(dueMs, timeZone)}`;
    const text =
      setC === null ? `Off ${when}: nothing more is worked from it today.` : `Set to ${deg(setC)} ${when}.${late}`;
    needs.push({ potId, title: name, text, weight: day.late ? 'stop' : 'note', setC });
  }
  for (const [one, other] of day.clashes) {
    needs.push({
      ...{ potId, title: name, weight: 'stop' },
      text: `${one} and ${other} want heats that do not meet, at one time: one pot has one heat.`,
    });
  }
  if (day.short) {
    const { who, needsG, holdsG } = day.short;
    const says = `${sized(needsG, 'g')} needed for ${who}, ${sized(holdsG, 'g')} in the pot by then`;
    needs.push({ potId, title: name, weight: 'note', text: `${says}: ${refillWords(day.refill, fromMs, timeZone)}` });
  }
  return needs;
}
