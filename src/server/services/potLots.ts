// Lots in a pot, written one after the other: what is poured onto a rest is in it together with the rest.

const BETWEEN = ', ';

export const lotsIn = (lot: string): readonly string[] =>
  lot
    .split(BETWEEN.trim())
    .map((l) => l.trim())
    .filter((l) => l !== '');

/** What is in a pot after a pour; an empty pot begins anew. @param restG what was in it before */
export const lotsAfter = (lot: string, poured: readonly string[], restG: number): string =>
  [...new Set([...(restG > 0 ? lotsIn(lot) : []), ...poured])].join(BETWEEN);
