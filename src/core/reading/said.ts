// What of a reading was said by the practitioner. A preset is not an answer: what nobody said is in no record, and
// nothing is learned from it.

export const READ_FIELDS = ['broken', 'left', 'skin', 'bleeding', 'tweezed', 'heatFelt'] as const;
export type ReadField = (typeof READ_FIELDS)[number];

/** @param reading `said` is absent in readings of before it was kept: these count as said */
export const isSaid = (reading: { readonly said?: readonly ReadField[] | undefined }, field: ReadField): boolean =>
  reading.said === undefined || reading.said.includes(field);

/** What clients try against the pain (common practice, no source). */
export const TRIED = ['cold-pack', 'breathing', 'no-coffee', 'cycle-days'] as const;
export type Tried = (typeof TRIED)[number];
