// Zones of one visit are chosen together: few pots hot, few changes, both sides alike, one product on a limb. A zone
// moves away from its own best only within its tier and its preferences, a little dearer at most. Exact: branch and
// bound over the zones, states of equal pots compared; the branches grow with the number of products to the power of
// the zones at worst, and the bound leaves a few dozen of them.

import type { Side, ZoneId } from '../anatomy';
import { CLEAN_WITHIN, type Ranked, type ZoneMatch } from './matchZone';

/** One more hot pot, and one more product on a limb, in minutes of cost. */
export const POT_MIN = 4;
export const LIMB_MIN = 3;
/** A zone moves at most so much dearer than its own best: the larger of the two. */
const DEARER = { share: 0.25, min: 2 } as const;
/** Costs that differ by less are alike, min. */
const ALIKE = 1e-9;

const LIMBS: readonly (readonly ZoneId[])[] = [
  ['thigh-front', 'thigh-back', 'knee', 'lower-leg-front', 'lower-leg-back', 'foot'],
  ['upper-arm', 'forearm', 'hand'],
];

export interface VisitZone {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly match: ZoneMatch;
  /** Forced by the practitioner. */
  readonly force?: { readonly product?: string | undefined; readonly way?: string | undefined } | undefined;
  /** Stopped zones are not chosen for. */
  readonly stopped: boolean;
}

export type Moved = 'both-sides' | 'one-pot';

export interface VisitChoice {
  readonly option: Ranked;
  /** Why it is not what the zone alone would have had; null where it is. */
  readonly moved: Moved | 'by-hand' | null;
}

/** What a zone may be given: within its tier and preferences, a little dearer and hardly less clean. */
function admissible({ match, force }: VisitZone): readonly Ranked[] {
  if (force?.product !== undefined || force?.way !== undefined) {
    return match.options.filter(
      (o) =>
        o.eligible &&
        (force.product === undefined || o.product.id === force.product) &&
        (force.way === undefined || o.way === force.way),
    );
  }
  const { best } = match;
  if (!best) return [];
  const most = Math.max(best.cost * (1 + DEARER.share), best.cost + DEARER.min);
  return match.within.filter((o) => o.cost <= most && o.staysShare <= best.staysShare + CLEAN_WITHIN);
}

const sameAs = (o: Ranked) => (p: Ranked) => p.product.id === o.product.id && p.way === o.way;

/** What is worked alike: one zone, or both sides of it. */
interface Unit {
  readonly members: readonly number[];
  readonly limb: number;
  /** By product: the cheapest way, with its options in the order of the members. */
  readonly choices: readonly {
    readonly product: string;
    readonly cost: number;
    readonly options: readonly Ranked[];
  }[];
}

/** Options that all of the zones can have, from each one's own list. */
const common = (lists: readonly (readonly Ranked[])[]): readonly (readonly Ranked[])[] =>
  (lists[0] ?? []).flatMap((o) => {
    const row = lists.map((list) => list.find(sameAs(o)));
    return row.every((r) => r !== undefined) ? [row as readonly Ranked[]] : [];
  });

function unitOf(members: readonly number[], zones: readonly VisitZone[], rows: readonly (readonly Ranked[])[]): Unit {
  const byProduct = new Map<string, Unit['choices'][number]>();
  for (const options of rows) {
    const product = options[0]?.product.id ?? '';
    const cost = options.reduce((s, o) => s + o.cost, 0);
    const known = byProduct.get(product);
    // of the ways of one product each zone's own best goes first where they cost alike
    if (!known || cost < known.cost - ALIKE) byProduct.set(product, { product, cost, options });
  }
  const zone = zones[members[0] ?? 0]?.zone;
  return {
    members,
    limb: LIMBS.findIndex((l) => zone !== undefined && l.includes(zone)),
    choices: [...byProduct.values()].sort((a, b) => a.cost - b.cost),
  };
}

/** Both sides share product and way, unless nothing that both may have is left. */
function unitsOf(zones: readonly VisitZone[]): readonly Unit[] {
  const open = zones.flatMap((z, i) => (z.stopped || admissible(z).length === 0 ? [] : [i]));
  const names = [...new Set(open.map((i) => zones[i]?.zone))];
  return names.flatMap((name) => {
    const members = open.filter((i) => zones[i]?.zone === name);
    const own = members.map((i) => admissible(zones[i] as VisitZone)); // members are indices of zones
    const shared = common(own);
    if (shared.length > 0) return [unitOf(members, zones, shared)];
    const tier = Math.max(...members.map((i) => zones[i]?.match.best?.tier ?? 0));
    const forced = members.some((i) => zones[i]?.force !== undefined);
    const alike = forced
      ? []
      : common(members.map((i) => (zones[i]?.match.options ?? []).filter((o) => o.eligible && o.tier <= tier)));
    if (alike.length > 0) return [unitOf(members, zones, alike)];
    return members.map((i, k) =>
      unitOf(
        [i],
        zones,
        (own[k] ?? []).map((o) => [o]),
      ),
    );
  });
}

interface State {
  readonly cost: number;
  readonly pots: readonly string[];
  /** Products by limb, of the limbs that the units passed so far. */
  readonly limbs: readonly (readonly string[])[];
  readonly picks: readonly number[];
}

const withOne = (list: readonly string[], one: string): readonly string[] =>
  list.includes(one) ? list : [...list, one].sort();

/**
 * The least that the units from `from` on can still cost with some pots hot: a new pot's price is shared by all that
 * could use it.
 */
function restOf(units: readonly Unit[], from: number): (pots: readonly string[]) => number {
  const rest = units.slice(from);
  const users = new Map<string, number>();
  for (const u of rest) for (const c of u.choices) users.set(c.product, (users.get(c.product) ?? 0) + 1);
  const priced = rest.map((u) => u.choices.map((c) => ({ ...c, opening: POT_MIN / (users.get(c.product) ?? 1) })));
  const known = new Map<string, number>();
  return (pots) => {
    const key = pots.join(' ');
    const before = known.get(key);
    if (before !== undefined) return before;
    const least = priced.reduce(
      (sum, choices) => sum + Math.min(...choices.map((c) => c.cost + (pots.includes(c.product) ? 0 : c.opening))),
      0,
    );
    known.set(key, least);
    return least;
  };
}

function after(state: State, unit: Unit, pick: number): State {
  const { product, cost } = unit.choices[pick] as Unit['choices'][number]; // pick is an index of choices
  const pots = withOne(state.pots, product);
  const on = state.limbs[unit.limb] ?? [];
  const grown = withOne(on, product);
  return {
    cost:
      state.cost +
      cost +
      (pots.length > state.pots.length ? POT_MIN : 0) +
      (unit.limb >= 0 && on.length > 0 && grown.length > on.length ? LIMB_MIN : 0),
    pots,
    limbs: unit.limb < 0 ? state.limbs : state.limbs.map((l, i) => (i === unit.limb ? grown : l)),
    picks: [...state.picks, pick],
  };
}

const EMPTY: State = { cost: 0, pots: [], limbs: LIMBS.map(() => []), picks: [] };

/** Each unit in turn takes what costs least on top of what those before it took. */
const inTurn = (units: readonly Unit[], opened: readonly string[]): State =>
  units.reduce((s, u) => {
    const tries = [...u.choices.keys()].map((pick) => {
      const made = after(s, u, pick);
      // a pot that is to be opened anyway is not counted against the unit that comes first
      const opens =
        made.pots.length > s.pots.length && opened.includes(made.pots.find((p) => !s.pots.includes(p)) ?? '');
      return { made, cost: made.cost - (opens ? POT_MIN : 0) };
    });
    return tries.reduce((b, t) => (t.cost < b.cost - ALIKE ? t : b)).made; // a unit has a choice
  }, EMPTY);

/** Pots that are tried as open for all, the most used first. */
const MOST_TRIED = 8;

/** A good total to begin with: as each would by itself, in turn, or in turn round one pot that is open anyway. */
function firstTotal(units: readonly Unit[]): number {
  const uses = new Map<string, number>();
  for (const u of units) for (const c of u.choices) uses.set(c.product, (uses.get(c.product) ?? 0) + 1);
  const products = [...uses]
    .sort((a, b) => b[1] - a[1])
    .slice(0, MOST_TRIED)
    .map(([product]) => product);
  const own = units.reduce((s, u) => after(s, u, 0), EMPTY);
  return Math.min(own.cost, inTurn(units, []).cost, ...products.map((p) => inTurn(units, [p]).cost));
}

/**
 * States kept after each unit. Visits of a day stay far below it; a wholesaler's shelf on every zone does not, and
 * there the most promising ones are followed.
 */
const MOST_STATES = 200;

/** Picks of all units with the least total; of those alike the first found, each unit's own cheapest first. */
function bestPicks(units: readonly Unit[]): readonly number[] {
  if (units.length === 0) return [];
  let level: readonly State[] = [EMPTY];
  const first = firstTotal(units);
  for (const [k, unit] of units.entries()) {
    const next = new Map<string, State>();
    const rest = restOf(units, k + 1);
    for (const state of level) {
      for (const pick of unit.choices.keys()) {
        const made = after(state, unit, pick);
        if (made.cost + rest(made.pots) > first + ALIKE) continue;
        const key = [made.pots, ...made.limbs].map((l) => l.join(' ')).join('|');
        const known = next.get(key);
        if (!known || made.cost < known.cost - ALIKE) next.set(key, made);
      }
    }
    const kept = [...next.values()];
    level = kept.length <= MOST_STATES ? kept : kept.sort((a, b) => a.cost - b.cost).slice(0, MOST_STATES);
  }
  return level.reduce<State | null>((b, s) => (b === null || s.cost < b.cost - ALIKE ? s : b), null)?.picks ?? [];
}

/** One option per zone, null where nothing is allowed. Exact and deterministic. */
export function chooseTogether(zones: readonly VisitZone[]): readonly (VisitChoice | null)[] {
  const units = unitsOf(zones);
  const picks = bestPicks(units);
  const out: (VisitChoice | null)[] = zones.map(() => null);
  units.forEach((unit, u) => {
    const options = unit.choices[picks[u] ?? 0]?.options ?? [];
    unit.members.forEach((i, k) => {
      const option = options[k];
      const zone = zones[i];
      if (!option || !zone) return;
      const isOwn = zone.match.best !== null && sameAs(option)(zone.match.best);
      const alone = unit.members.length > 1 && zone.match.best !== null;
      const sides =
        alone &&
        !unit.members.every((m) => zones[m]?.match.best && sameAs(zones[m].match.best)(zone.match.best as Ranked));
      const why: Moved = sides ? 'both-sides' : 'one-pot';
      const moved = zone.force?.product !== undefined || zone.force?.way !== undefined ? 'by-hand' : why;
      out[i] = { option, moved: isOwn && moved !== 'by-hand' ? null : moved };
    });
  });
  return out;
}
