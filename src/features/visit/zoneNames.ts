// One name for one zone on every station: its own, with its side, or both sides together.

import type { BenchZone } from '@/server/services/bench';
import { sideWord } from '@/ui/words';

/** More names than this are counted. */
const MOST_NAMED = 3;

const IRREGULAR: Readonly<Record<string, string>> = { foot: 'feet' };
/** `both underarms`, `both lower legs, front`. */
export function bothWords(name: string): string {
  const [first = '', ...rest] = name.toLowerCase().split(',');
  return [`both ${IRREGULAR[first] ?? `${first}s`}`, ...rest].join(',');
}

export const capital = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

/** `Both underarms and upper lip`; from four on they are counted. */
export function namesOf(zones: readonly Pick<BenchZone, 'zone' | 'side' | 'name'>[]): string {
  const names = zones.flatMap((z, i) => {
    const both = zones.filter((o) => o.zone === z.zone).length > 1;
    if (!both) return [sideWord(z.name, z.side).toLowerCase()];
    return zones.findIndex((o) => o.zone === z.zone) === i ? [bothWords(z.name)] : [];
  });
  if (names.length > MOST_NAMED) return `${zones.length} zones`;
  return capital(names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`);
}
