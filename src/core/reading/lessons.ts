// A remark given three times becomes a standing lesson: the same words, or the same thing found of a zone. Common
// practice, no source; that it takes three is a house decision (from memory).

import { zoneKey, type Side, type ZoneId } from '../anatomy';
import type { CivilDate } from '../shared';
import type { StripLike } from './byPicture';
import { isSaid, type ReadField } from './said';

/** What a reading of one zone has to say to this. */
export interface ReadBefore {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly on: CivilDate;
  readonly reading: {
    readonly note: string;
    readonly left: string;
    readonly leftKind: string;
    readonly skin: string;
    readonly said?: readonly ReadField[] | undefined;
    readonly likes?: readonly StripLike[] | undefined;
  };
}

export interface Lesson {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly words: string;
  readonly times: number;
  readonly lastOn: CivilDate;
}

const TIMES = 3;

/** The same remark, whatever its capitals, full stops and spaces. */
const plain = (note: string): string =>
  note
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What is remarked of a zone: the note sentence by sentence, and what was found. */
function remarksOf({ reading }: ReadBefore): readonly (readonly [key: string, words: string])[] {
  const sentences = reading.note
    .split(/[.\n;!?]+/)
    .map((s) => s.trim())
    .filter((s) => s !== '')
    .map((s): readonly [string, string] => [plain(s), `${s.charAt(0).toUpperCase()}${s.slice(1)}.`]);
  const isLeft = isSaid(reading, 'left') && reading.left !== 'none';
  return [
    ...sentences,
    ...(isLeft && reading.leftKind === 'other-way'
      ? [['other-way', 'Hair grows another way than charted.'] as const]
      : []),
    ...(isLeft && reading.leftKind === 'flat' ? [['flat', 'Hair lies flat and stays.'] as const] : []),
    ...((reading.likes ?? []).some((l) => l.like === 'blunt')
      ? [['blunt', 'Hair breaks: slower, low, taut.'] as const]
      : []),
    ...(isSaid(reading, 'skin') && reading.skin === 'red' ? [['red', 'Skin turns very red.'] as const] : []),
  ];
}

/** Lessons of a client, by how often they were given; each day counts once. */
export function standingLessons(before: readonly ReadBefore[]): readonly Lesson[] {
  const found = new Map<string, { readonly lesson: Lesson; readonly days: Set<string> }>();
  for (const read of [...before].sort((a, b) => (a.on < b.on ? -1 : 1))) {
    for (const [key, words] of remarksOf(read)) {
      const place = `${zoneKey(read)} ${key}`;
      const days = (found.get(place)?.days ?? new Set<string>()).add(read.on);
      const lesson = { zone: read.zone, side: read.side, words, times: days.size, lastOn: read.on };
      found.set(place, { lesson, days });
    }
  }
  return [...found.values()]
    .map((f) => f.lesson)
    .filter((l) => l.times >= TIMES)
    .sort((a, b) => b.times - a.times || b.lastOn.localeCompare(a.lastOn));
}
