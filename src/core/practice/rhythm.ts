// The rhythm of hand sugar (common practice, no source; times from memory): two or three slow strokes press the lump in
// against the growth, one flick takes it off with it, parallel to the skin. Beginners pat and smear.

export type RhythmStroke = {
  /** Against the growth, with it, across it, or a pat that went nowhere. */
  readonly kind: 'against' | 'with' | 'across' | 'pat';
  readonly tenthsS: number;
};

export const RHYTHM_FAULTS = ['pat', 'way', 'few', 'smear', 'hasty', 'slow-flick', 'uneven', 'short'] as const;
export type RhythmFault = (typeof RHYTHM_FAULTS)[number];

/** Times over that are asked for. */
export const RHYTHM_TURNS = 3;
const PRESSES = { least: 2, most: 3 } as const;
/** Tenths of a second: a shorter press-in did not press, a longer flick draws the hair out slowly. */
const PRESS_LEAST = 3;
const FLICK_MOST = 4;
/** The longest turn against the shortest. */
const UNEVEN = 2.2;

const LETTERS = { against: 'a', with: 'w', across: 'x', pat: 'p' } as const;
const KINDS = new Map(Object.entries(LETTERS).map(([kind, letter]) => [letter, kind as RhythmStroke['kind']]));
const MOST_STROKES = 40;

/** Strokes as one word, e.g. `a06a07w02`: a letter and tenths of a second. */
export const rhythmWord = (strokes: readonly RhythmStroke[]): string =>
  strokes.map((s) => LETTERS[s.kind] + String(Math.min(99, Math.max(0, s.tenthsS))).padStart(2, '0')).join('');

/** Null where it is no such word. */
export function strokesOf(word: string): readonly RhythmStroke[] | null {
  if (word.length === 0 || word.length % 3 !== 0 || word.length > 3 * MOST_STROKES) return null;
  const strokes = Array.from({ length: word.length / 3 }, (_, k) => {
    const kind = KINDS.get(word[3 * k] as 'a');
    const tenthsS = Number(word.slice(3 * k + 1, 3 * k + 3));
    return kind && /^\d\d$/.test(word.slice(3 * k + 1, 3 * k + 3)) ? { kind, tenthsS } : null;
  });
  return strokes.every((s) => s !== null) ? strokes : null;
}

/** Strokes cut after every flick. */
function turnsOf(strokes: readonly RhythmStroke[]): readonly (readonly RhythmStroke[])[] {
  const turns: RhythmStroke[][] = [[]];
  for (const stroke of strokes) {
    turns.at(-1)?.push(stroke);
    if (stroke.kind === 'with') turns.push([]);
  }
  return turns.filter((t) => t.length > 0);
}

function faultOfTurn(turn: readonly RhythmStroke[]): RhythmFault | null {
  const flick = turn.at(-1);
  const presses = turn.slice(0, -1);
  if (turn.some((s) => s.kind === 'pat')) return 'pat';
  if (flick?.kind !== 'with' || presses.some((s) => s.kind !== 'against')) return 'way';
  // slowly with the growth and nothing before it: it was to be pressed in, the wrong way
  if (presses.length === 0 && flick.tenthsS > FLICK_MOST) return 'way';
  if (presses.length < PRESSES.least) return 'few';
  if (presses.length > PRESSES.most) return 'smear';
  if (presses.some((s) => s.tenthsS < PRESS_LEAST)) return 'hasty';
  return flick.tenthsS > FLICK_MOST ? 'slow-flick' : null;
}

/** The first thing that was not the rhythm; null where it was. */
export function rhythmFault(strokes: readonly RhythmStroke[]): RhythmFault | null {
  const turns = turnsOf(strokes);
  const [fault] = turns.flatMap((t) => faultOfTurn(t) ?? []);
  if (fault) return fault;
  if (turns.length < RHYTHM_TURNS) return 'short';
  const spans = turns.map((t) => t.reduce((s, x) => s + x.tenthsS, 0));
  return Math.max(...spans) > UNEVEN * Math.min(...spans) ? 'uneven' : null;
}

/** Has the hand flicked as often as is asked, or missed already? */
export const isRhythmDone = (strokes: readonly RhythmStroke[]): boolean => {
  const fault = rhythmFault(strokes);
  return fault === null || (turnsOf(strokes).length >= RHYTHM_TURNS && strokes.at(-1)?.kind === 'with');
};
