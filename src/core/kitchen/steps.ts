// The steps of a batch, in their order, each with what is done and what ends it. Common practice; minutes from memory.

export const BATCH_STEPS = ['weigh', 'boil', 'cook', 'dish', 'cool', 'knead', 'jar'] as const;
export type BatchStep = (typeof BATCH_STEPS)[number];

/** What was noted of the colour, from straw to burnt. */
export const COLOURS = ['straw', 'pale gold', 'gold', 'honey-gold', 'amber', 'brown', 'burnt'] as const;
export type Colour = (typeof COLOURS)[number];
/** The colour of paste that is done. */
export const DONE_COLOUR: Colour = 'honey-gold';

/** In a heat-proof dish in cold water: it falls by half of what it is above the bath in so many minutes. */
const HALVES_IN_MIN = 12;
const BATH_C = 18;
/** So warm hands can take it. */
export const TOUCHABLE_C = 42;
export const KNEAD_MIN = 6;
export const KEEPS_DAYS = 90;

/** Minutes in the bath until hands can take it. */
export const coolsInMin = (fromC: number): number =>
  Math.max(0, HALVES_IN_MIN * Math.log2((fromC - BATH_C) / (TOUCHABLE_C - BATH_C)));

/** The step after one; null after the last. */
export const nextStep = (step: BatchStep): BatchStep | null => BATCH_STEPS[BATCH_STEPS.indexOf(step) + 1] ?? null;

/** Lots are counted on: `S-1`, `S-2`. */
export function nextLot(lots: readonly string[]): string {
  const numbers = lots.flatMap((lot) => {
    const [, n] = /^S-(\d+)$/.exec(lot) ?? [];
    return n === undefined ? [] : [Number(n)];
  });
  return `S-${Math.max(0, ...numbers) + 1}`;
}
