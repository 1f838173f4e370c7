// A visit as rounds: how the client lies, then one pot at one heat, then region by region. The client is turned as
// seldom as can be; a pot is never warmed up again for a zone that was left for later.

import { POSITIONS, positionsOf, turnOf, type Position, type Side, type ZoneId } from '../anatomy';

export interface ZoneInVisit {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly product: string;
  /** Which of the pot's heats it is worked at: 0 is the warmest. */
  readonly stage: number;
  /** Position asked for; it must be one of the zone's. */
  readonly position?: Position | undefined;
}

export interface Round {
  readonly position: Position;
  readonly product: string;
  readonly stage: number;
  /** Places in the list given, in the order of work; the sides of a zone stand together. */
  readonly zones: readonly number[];
}

/** Zones worked before the client is turned. */
interface Lying {
  readonly position: Position;
  readonly zones: readonly number[];
}

const allowed = (z: ZoneInVisit): readonly Position[] => (z.position ? [z.position] : positionsOf(z.zone));

/** What can be worked now: a pot comes to its cooler heats only when nothing is left for the warmer ones. */
function possible(zones: readonly ZoneInVisit[], left: ReadonlySet<number>, wanted: readonly number[]): number[] {
  const stays = [...left].filter((i) => !wanted.includes(i));
  const isBlocked = (i: number): boolean =>
    stays.some((k) => zones[k]?.product === zones[i]?.product && (zones[k]?.stage ?? 0) < (zones[i]?.stage ?? 0));
  return wanted.filter((i) => !isBlocked(i));
}

/** What is worked at each step of a sequence of positions; null where something is left at its end. */
function worked(
  zones: readonly ZoneInVisit[],
  sequence: readonly Position[],
  waits: (zone: ZoneInVisit, step: number) => boolean,
): readonly Lying[] | null {
  const left = new Set(zones.keys());
  const lying: Lying[] = [];
  for (const [step, position] of sequence.entries()) {
    const wanted = [...left].filter((i) => {
      const zone = zones[i];
      return zone !== undefined && allowed(zone).includes(position) && !waits(zone, step);
    });
    const now = possible(zones, left, wanted);
    for (const i of now) left.delete(i);
    lying.push({ position, zones: now });
  }
  return left.size === 0 && lying.every((l) => l.zones.length > 0) ? lying : null;
}

/** Sequences of so many positions, face up first. */
const sequences = (length: number): readonly (readonly Position[])[] =>
  length === 0
    ? [[]]
    : sequences(length - 1).flatMap((s) => POSITIONS.filter((p) => p !== s.at(-1)).map((p) => [...s, p]));

const notAsUsual = (zones: readonly ZoneInVisit[], lying: readonly Lying[]): number =>
  lying.reduce(
    (n, l) => n + l.zones.filter((i) => zones[i] !== undefined && allowed(zones[i])[0] !== l.position).length,
    0,
  );

function fewestTurns(zones: readonly ZoneInVisit[]): readonly Lying[] {
  // every position works at least one zone
  for (let length = 1; length <= zones.length; length++) {
    const found = sequences(length).flatMap((sequence) => {
      // a zone waits for its usual position where that still comes
      const usual = worked(zones, sequence, (z, step) => {
        const [first] = allowed(z);
        return first !== undefined && sequence[step] !== first && sequence.includes(first, step + 1);
      });
      const made = usual ?? worked(zones, sequence, () => false);
      return made ? [{ made, odd: notAsUsual(zones, made) }] : [];
    });
    const best = found.sort((a, b) => a.odd - b.odd)[0];
    if (best) return best.made;
  }
  return [];
}

/** Products of one position: the pot at hand first, the one that the next position needs last. */
function inPots(own: readonly string[], before: string | undefined, next: readonly string[]): readonly string[] {
  const shared = own.filter((p) => p !== before && next.includes(p)).at(-1);
  const first = before !== undefined && own.includes(before) ? [before] : [];
  const middle = own.filter((p) => !first.includes(p) && p !== shared);
  return [...first, ...middle, ...(shared === undefined ? [] : [shared])];
}

/**
 * The rounds of a visit. Zones go in the usual course of the hands; `wish` puts some before others, by their place in
 * the list, within what position and pot allow.
 */
export function visitRounds(zones: readonly ZoneInVisit[], wish: readonly number[] = []): readonly Round[] {
  if (zones.length === 0) return [];
  const wished = (i: number): number => (wish.includes(i) ? wish.indexOf(i) : wish.length);
  const course = (a: number, b: number): number =>
    wished(a) - wished(b) || turnOf(zones[a]?.zone ?? 'foot') - turnOf(zones[b]?.zone ?? 'foot') || a - b;
  const lying = fewestTurns(zones);
  const rounds: Round[] = [];
  lying.forEach((l, step) => {
    const sorted = [...l.zones].sort(course);
    const productOf = (i: number): string => zones[i]?.product ?? '';
    const next = [...new Set((lying[step + 1]?.zones ?? []).map(productOf))];
    const products = [...new Set(sorted.map(productOf))];
    // a wish goes before the saving of a change of pot
    const pots = l.zones.some((i) => wish.includes(i)) ? products : inPots(products, rounds.at(-1)?.product, next);
    for (const product of pots) {
      const ofPot = sorted.filter((i) => productOf(i) === product);
      const stages = [...new Set(ofPot.map((i) => zones[i]?.stage ?? 0))].sort((a, b) => a - b);
      for (const stage of stages) {
        const at = ofPot.filter((i) => zones[i]?.stage === stage);
        // both sides of a zone follow each other
        const order = [...new Set(at.map((i) => zones[i]?.zone))].flatMap((id) =>
          at.filter((i) => zones[i]?.zone === id),
        );
        rounds.push({ position: l.position, product, stage, zones: order });
      }
    }
  });
  return rounds;
}
