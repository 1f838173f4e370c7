// Zones of one visit are chosen together: few pots hot, few change-overs. Every set of products is tried; each zone
// takes its best eligible option within the set; one more pot must earn its place.

import type { Option } from './types';

/** What one more hot pot costs in score. */
const POT_COST = 0.06;

export interface ZoneOptions {
  readonly options: readonly Option[];
  /** Forced by the practitioner. */
  readonly force?: { readonly product?: string | undefined; readonly way?: string | undefined } | undefined;
  /** Stopped zones are not chosen for. */
  readonly stopped: boolean;
}

const allowed = (zone: ZoneOptions): readonly Option[] =>
  zone.options.filter(
    (o) =>
      o.eligible &&
      (zone.force?.product === undefined || o.product.id === zone.force.product) &&
      (zone.force?.way === undefined || o.way === zone.force.way),
  );

const worth = (o: Option): number => (o.score ?? 0) - 10 * o.tier;

/** One option per zone, null where nothing is allowed. Deterministic. */
export function chooseTogether(zones: readonly ZoneOptions[]): readonly (Option | null)[] {
  const open = zones.map((z) => (z.stopped ? [] : allowed(z)));
  const ids = [...new Set(open.flat().map((o) => o.product.id))];
  let best: { picks: readonly (Option | null)[]; value: number } | null = null;
  for (let bits = 1; bits < 2 ** ids.length; bits++) {
    const set = new Set(ids.filter((_, i) => (bits >> i) & 1));
    const picks = open.map((options) => options.find((o) => set.has(o.product.id)) ?? options[0] ?? null);
    const used = new Set(picks.flatMap((p) => (p ? [p.product.id] : []))).size;
    const value = picks.reduce((s, p) => s + (p ? worth(p) : 0), 0) - POT_COST * used;
    if (!best || value > best.value + 1e-12) best = { picks, value };
  }
  return best?.picks ?? open.map(() => null);
}
