// The strip that looks like yours: what each picture says (common practice, no source), and what the pictures of a zone
// say together.

import type { StripMark } from '../hands';

export const STRIP_PICTURES = ['roots', 'sparse', 'blunt', 'flakes', 'bare'] as const;
export type StripPicture = (typeof STRIP_PICTURES)[number];

/** What was said of one strip. */
export interface StripLike {
  readonly strip: string;
  readonly like: StripPicture;
}

/** The mark at the table that a picture stands for. */
export const MARK_OF: Readonly<Record<StripPicture, StripMark>> = {
  roots: 'clean',
  sparse: 'some-left',
  blunt: 'broke',
  flakes: 'sore',
  bare: 'clean',
};

/** Marks by strip: those of the table, and over them what was read since. */
export const marksRead = (
  table: ReadonlyMap<string, StripMark>,
  likes: readonly StripLike[],
): ReadonlyMap<string, StripMark> => new Map([...table, ...likes.map((l) => [l.strip, MARK_OF[l.like]] as const)]);

/** Of a strip with blunt ends about this share broke, % (from memory). */
const BLUNT_PCT = 30;

/** Broken hair over the strips that were looked at, %: for the causes, never for the record. */
export const brokenPctOf = (likes: readonly StripLike[]): number =>
  likes.length === 0 ? 0 : Math.round((BLUNT_PCT * likes.filter((l) => l.like === 'blunt').length) / likes.length);

/** Hair that came out of `hairs` where `left` stayed, %. */
export const removedPctOf = (left: number, hairs: number): number =>
  hairs <= 0 ? 100 : Math.round(100 * (1 - Math.min(1, left / hairs)));
