// Zones of one visit are chosen together: few pots hot, few change-overs. Each zone takes one of its eligible options;
// one more pot must earn its place. That is the uncapacitated facility location problem with equal costs of opening
// (products open, zones are served). Solved exactly: branch and bound over products, bounded by dual ascent
// (Erlenkotter 1978, Operations Research 26:992, from memory). Products that another one matches or betters on every
// zone are left out first, and no zone moves further from its best than a pot is worth, so what stays is small.

import type { Option } from './types';

/** What one more hot pot costs in score. */
const POT_COST = 0.06;
/** Sums of scores that differ by less are alike; scores are of the order of 1. */
const ALIKE = 1e-12;

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

/** What each zone loses with each product against its best; Infinity where that product is no answer for it. */
type Losses = readonly (readonly number[])[];

function lossesOf(zones: readonly (readonly Option[])[], ids: readonly string[]): Losses {
  return zones.map((options) => {
    const best = Math.max(...options.map(worth));
    return ids.map((id) => {
      const loss = best - Math.max(...options.filter((o) => o.product.id === id).map(worth));
      // a pot of its own would be cheaper than to lose more
      return loss > POT_COST + ALIKE ? Infinity : loss;
    });
  });
}

/** Products that are needed at all: of those alike on every zone the first stays. */
function undominated(losses: Losses, products: number): readonly number[] {
  const at = (zone: readonly number[], p: number): number => zone[p] ?? Infinity;
  const beats = (p: number, q: number): boolean => losses.every((zone) => at(zone, p) <= at(zone, q));
  const all = Array.from({ length: products }, (_, i) => i);
  return all.filter((q) => !all.some((p) => p !== q && beats(p, q) && (p < q || !beats(q, p))));
}

/**
 * Least total of losses and pots by dual ascent: never above the true one. Each zone in turn pays as much as it can,
 * until one more would pay for a pot of its own; what it pays towards a pot the later ones need not.
 */
function dualBound(losses: Losses, candidates: readonly number[], open: readonly number[]): number {
  const slack = new Float64Array((losses[0]?.length ?? 0) + 1);
  for (const p of candidates) slack[p] = POT_COST;
  for (const p of open) slack[p] = 0;
  let bound = open.length * POT_COST;
  for (const zone of losses) {
    let value = Infinity;
    for (const p of candidates) value = Math.min(value, (zone[p] as number) + (slack[p] as number)); // products of it
    for (const p of candidates) {
      const paid = value - (zone[p] as number);
      if (paid > 0) slack[p] = (slack[p] as number) - paid;
    }
    bound += value;
  }
  return bound;
}

interface Found {
  readonly open: readonly number[];
  readonly total: number;
}

/** Least losses with a set of pots; Infinity where a zone has no answer among them. */
function totalOf(losses: Losses, open: readonly number[]): number {
  const lost = losses.reduce((sum, zone) => sum + Math.min(...open.map((p) => zone[p] ?? Infinity)), 0);
  return lost + open.length * POT_COST;
}

/** The pots to begin with: the one that helps most, as long as one helps. */
function greedy(losses: Losses, products: readonly number[]): Found {
  // before any pot stands every zone lacks one: counted as more than all losses and pots together
  const capped = (open: readonly number[]): number =>
    losses.reduce((sum, zone) => sum + Math.min(losses.length + 1, ...open.map((p) => zone[p] ?? Infinity)), 0) +
    open.length * POT_COST;
  let found: Found = { open: [], total: capped([]) };
  for (;;) {
    const next = products
      .filter((p) => !found.open.includes(p))
      .map((p): Found => ({ open: [...found.open, p], total: capped([...found.open, p]) }))
      .reduce<Found | null>((best, f) => (best === null || f.total < best.total - ALIKE ? f : best), null);
    if (next === null || next.total >= found.total - ALIKE) return found;
    found = next;
  }
}

/** The set of pots with the least total, and of those alike the first found. */
function bestPots(losses: Losses, products: readonly number[]): readonly number[] {
  let best = greedy(losses, products);
  const branch = (candidates: readonly number[], open: readonly number[]): void => {
    if (losses.some((zone) => candidates.every((p) => zone[p] === Infinity))) return;
    if (dualBound(losses, candidates, open) >= best.total - ALIKE) return;
    const total = open.length === 0 ? Infinity : totalOf(losses, open);
    if (total < best.total - ALIKE) best = { open, total };
    // the pot that would serve most zones at their best decides most
    const free = candidates.filter((p) => !open.includes(p));
    const served = (p: number): number => losses.filter((zone) => (zone[p] ?? Infinity) <= ALIKE).length;
    const [first] = [...free].sort((p, q) => served(q) - served(p) || p - q);
    if (first === undefined) return;
    branch(candidates, [...open, first]);
    branch(
      candidates.filter((p) => p !== first),
      open,
    );
  };
  branch(products, []);
  return best.open;
}

/** One option per zone, null where nothing is allowed. Exact and deterministic; ties go to what stands first. */
export function chooseTogether(zones: readonly ZoneOptions[]): readonly (Option | null)[] {
  const open = zones.map((z) => (z.stopped ? [] : allowed(z)));
  const answerable = open.filter((options) => options.length > 0);
  const ids = [...new Set(answerable.flatMap((options) => options.map((o) => o.product.id)))];
  const losses = lossesOf(answerable, ids);
  const pots = new Set(bestPots(losses, undominated(losses, ids.length)).map((p) => ids[p]));
  return open.map((options) => {
    const within = options.filter((o) => pots.has(o.product.id));
    return within.reduce<Option | null>((best, o) => (best === null || worth(o) > worth(best) ? o : best), null);
  });
}
