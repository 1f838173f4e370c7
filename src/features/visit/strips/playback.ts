// The plan at a moment: how each strip stands, and the spans that the timeline draws.

import type { Plan } from '@/core/plan';
import type { StripLook } from './StripSheet';

export interface Span {
  readonly id: string;
  readonly layFrom: number;
  readonly layTo: number;
  readonly readyAt: number;
  readonly pullFrom: number;
  readonly pullTo: number;
  /** Row below the hands: strips on the skin at once lie under each other. */
  readonly row: number;
}

export function spansOf(plan: Plan): readonly Span[] {
  const { events } = plan.schedule;
  const setMin = new Map(plan.zones.flatMap((z) => z.strips.map((s) => [s.id, s.setS.min])));
  const ids = [...new Set(events.flatMap((e) => (e.do === 'lay' && e.strip ? [e.strip] : [])))];
  const freeAt: number[] = [];
  return ids.flatMap((id): Span[] => {
    const lays = events.filter((e) => e.do === 'lay' && e.strip === id);
    const pull = events.find((e) => e.do === 'pull' && e.strip === id);
    const [first] = lays;
    const last = lays.at(-1);
    if (!first || !last || !pull) return [];
    const found = freeAt.findIndex((t) => t <= first.atS);
    const row = found < 0 ? freeAt.length : found;
    freeAt[row] = pull.atS + pull.forS;
    const layTo = last.atS + last.forS;
    return [
      {
        id,
        layFrom: first.atS,
        layTo,
        readyAt: layTo + (setMin.get(id) ?? 0),
        pullFrom: pull.atS,
        pullTo: pull.atS + pull.forS,
        row,
      },
    ];
  });
}

function lookAt(s: ReturnType<typeof spansOf>[number], atS: number): StripLook {
  if (atS < s.layFrom) return 'planned';
  if (atS < s.layTo) return 'laying';
  if (atS < s.readyAt) return 'setting';
  if (atS < s.pullFrom) return 'ready';
  return atS < s.pullTo ? 'now' : 'off';
}

export function looksAt(plan: Plan, atS: number): ReadonlyMap<string, StripLook> {
  return new Map(spansOf(plan).map((s): [string, StripLook] => [s.id, lookAt(s, atS)]));
}

/** `4:07` of seconds. */
export const minutes = (s: number): string => `${Math.floor(s / 60)}:${String(Math.round(s) % 60).padStart(2, '0')}`;
