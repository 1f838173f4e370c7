// Order of laying from the tabs. Repeatedly a strip with a valid tab is taken: whole end before narrow before hook,
// then where the hair is thinnest, then the lowest index (the pieces come sorted from the end where pulls start). Where
// none has one, the sore strip is the one whose removal frees most others, its tab on hair. So built the order cannot
// deadlock and needsBefore is acyclic. Bottom-up for wax on downward growth and top-down for moulded sugar follow from
// this; they are not written here.

import type { Region } from '../shared';
import { NEEDED_SHARE, tabCandidates, tabGround, VALID_SHARE, type TabCandidate, type TabGround } from './tabs';
import type { Piece, TabOn } from './types';

export interface OrderedPiece {
  readonly piece: number;
  readonly tab: TabCandidate;
  readonly tabOn: TabOn;
  /** Indices of pieces that must be off before. */
  readonly needsBefore: readonly number[];
}

interface Option {
  readonly tab: TabCandidate;
  /** Computed when it is first asked for: most strips need only their first candidate. */
  readonly ground: () => TabGround;
}

function once<T>(make: () => T): () => T {
  let known: { readonly value: T } | null = null;
  return () => (known ??= { value: make() }).value;
}

/** What a hand can tell in density: half a step of five (from memory). Less is no reason to leave the row. */
export const FELT_DENSITY = 0.5;
const felt = (density: number): number => Math.round(density / FELT_DENSITY);

const RANK = { end: 0, narrow: 1, hook: 2, stick: 3 } as const;

/** Shares of a tab on ground that still bears hair, and whether any one strip under it is still to come. */
function blocked(
  option: Option,
  cleared: ReadonlySet<number>,
): { readonly valid: boolean; readonly hairShare: number } {
  const ground = option.ground();
  const waiting = ground.over.filter((o) => !cleared.has(o.piece));
  const hairShare = waiting.reduce((s, o) => s + o.share, 0) + ground.hair;
  const valid = waiting.every((o) => o.share <= NEEDED_SHARE) && 1 - hairShare - ground.excluded >= VALID_SHARE;
  return { valid, hairShare };
}

const needed = (option: Option, cleared: ReadonlySet<number>): readonly number[] =>
  option
    .ground()
    .over.filter((o) => o.share > NEEDED_SHARE && cleared.has(o.piece))
    .map((o) => o.piece);

/**
 * Puts the pieces in order. `hair` is hair that no piece takes, `exclusions` the clearance of marks; `density` of each
 * piece, 1–5, where it differs from place to place; `never` ground on which no tab may lie: the eye, hair that stays.
 */
export function orderPieces(
  pieces: readonly Piece[],
  hair: Region,
  exclusions: Region,
  density: readonly number[] = [],
  { never = [], shortTabs = false }: { readonly never?: Region; readonly shortTabs?: boolean } = {},
): readonly OrderedPiece[] {
  const options: readonly (readonly Option[])[] = pieces.map((piece, own) =>
    tabCandidates(piece, shortTabs).map((tab) => ({
      tab,
      ground: once(() => tabGround(tab, pieces, own, hair, exclusions, never)),
    })),
  );
  const cleared = new Set<number>();
  const order: OrderedPiece[] = [];
  const bestOf = (piece: number, done: ReadonlySet<number>): Option | undefined =>
    options[piece]?.find((o) => blocked(o, done).valid);
  while (order.length < pieces.length) {
    const open = pieces.flatMap((_, i) => (cleared.has(i) ? [] : [i]));
    const ready = open
      .flatMap((piece) => {
        const option = bestOf(piece, cleared);
        return option ? [{ piece, option }] : [];
      })
      .sort(
        (a, b) =>
          RANK[a.option.tab.kind] - RANK[b.option.tab.kind] ||
          felt(density[a.piece] ?? 0) - felt(density[b.piece] ?? 0) ||
          a.piece - b.piece,
      )[0];
    const next = ready ?? sorePiece(open, options, cleared, bestOf);
    if (!next) break; // every piece has at least one candidate, so this ends only with no piece left
    const needsBefore = needed(next.option, cleared);
    const onSkin = needsBefore.length > 0 ? 'cleared' : 'bare';
    order.push({
      piece: next.piece,
      tab: next.option.tab,
      tabOn: ready ? onSkin : 'hair',
      needsBefore,
    });
    cleared.add(next.piece);
  }
  return order;
}

/** A tab's edge may come this far over the border of ground on which nothing may lie, share of the tab. */
const MOST_NEVER = 0.1;

function sorePiece(
  open: readonly number[],
  options: readonly (readonly Option[])[],
  cleared: ReadonlySet<number>,
  bestOf: (piece: number, done: ReadonlySet<number>) => Option | undefined,
): { readonly piece: number; readonly option: Option } | undefined {
  return open
    .flatMap((piece) => {
      // on the eye and on hair that stays no tab may lie at all, nor inside a mark's clearance: these come last
      const least = [...(options[piece] ?? [])].sort(
        (a, b) =>
          Number(a.ground().never > MOST_NEVER) - Number(b.ground().never > MOST_NEVER) ||
          a.ground().excluded + blocked(a, cleared).hairShare - b.ground().excluded - blocked(b, cleared).hairShare,
      )[0];
      if (!least) return [];
      const after = new Set([...cleared, piece]);
      const freed = open.filter((other) => other !== piece && bestOf(other, after)).length;
      return [{ piece, option: least, freed, hair: blocked(least, cleared).hairShare }];
    })
    .sort((a, b) => b.freed - a.freed || a.hair - b.hair || a.piece - b.piece)[0];
}
