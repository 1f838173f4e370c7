// The record as it begins: what the table knows stands in it, what only a person can say does not.

import { aidOf, standing, type Incident, type IncidentKind, type TableEvent } from '@/core/hands';
import { planAtTable } from '@/core/plan';
import type { Bench } from '@/server/services/bench';

export type WrittenIncident = TableEvent & { readonly incident: Incident };

/** In the order in which they were written. */
export const incidentsOf = (journal: readonly TableEvent[]): readonly WrittenIncident[] =>
  standing(journal).filter((e): e is WrittenIncident => e.kind === 'incident' && e.incident !== undefined);

/** What was noted as seen after the stop, in the words of the record. */
const SEEN_AS: Readonly<Record<string, IncidentKind>> = { blister: 'blister', raw: 'lifted', bleeding: 'bleeding' };

const EMPTY: Incident = {
  what: [],
  zone: null,
  side: null,
  strip: null,
  product: null,
  lot: '',
  plannedC: null,
  measuredC: null,
  wristAtMs: null,
  waterMin: null,
  done: [],
  told: [],
  followUpOn: null,
  words: '',
  corrects: null,
};

/** Minutes that cool water has run since the stop; null where none has. */
export function waterMinutes(journal: readonly TableEvent[], nowMs: number): number | null {
  const minutes = Math.round((aidOf(standing(journal), nowMs)?.ranMs ?? 0) / 60_000);
  return minutes > 0 ? minutes : null;
}

export function startingIncident({ plan, journal }: Pick<Bench, 'plan' | 'journal'>): Incident {
  const counted = standing(journal);
  const last = counted.findLast((e) => e.kind === 'pulled' || e.kind === 'laid');
  if (!last) return EMPTY;
  const zone = planAtTable(plan, journal).zones.find((z) => z.strips.some((s) => s.id === last.strip));
  const strip = zone?.strips.find((s) => s.id === last.strip);
  const aid = aidOf(counted, last.atMs);
  const product = zone?.choice?.product ?? null;
  const wrist = counted.findLast((e) => e.kind === 'wrist' && e.product === product);
  const planned = strip && strip.pass > 1 ? strip.touchC : zone?.heat?.workingC.target;
  return {
    ...EMPTY,
    what: (aid?.seen ?? []).flatMap((s) => SEEN_AS[s] ?? []),
    // which zone was in hand is known, at which strip it happened is not
    zone: zone?.zone ?? null,
    side: zone?.side ?? null,
    product,
    plannedC: planned ?? null,
    wristAtMs: wrist?.atMs ?? null,
  };
}
