// Faults seen at the table, their likely causes and what to do at once (common practice, no source; the 20 minutes of
// water are first-aid guidance from memory). By how often they come up; shown by `rankedFaults`.

import type { Family, ZoneId } from '../anatomy';

export interface Fault {
  readonly seen: string;
  readonly causes: string;
  readonly remedy: string;
  /** When it shows itself: as wax is laid, as it comes off, on what is then seen. */
  readonly when: 'lay' | 'pull' | 'after';
  /** Families in which it is seen. */
  readonly families: readonly Family[];
  /** Stop the work on this skin. */
  readonly stop?: boolean;
}

const ALL = ['hard', 'soft', 'sugar'] as const;

export const FAULTS: readonly Fault[] = [
  {
    seen: 'Strip cracks or breaks',
    when: 'pull',
    causes: 'too thin or uneven, dry skin, too cool, left too long',
    remedy:
      'Fold the lifted piece skin face outward and press it on the remains. Then a thicker rim, a trace of oil, warmer.',
    families: ['hard'],
  },
  {
    seen: 'Wax sticks to the skin',
    when: 'pull',
    causes: 'thin edges, laid too thick, moisture, pulled too early',
    remedy: 'Clean cloth over the remains, oil to dissolve. Then dry and powder.',
    families: ['hard', 'soft'],
  },
  {
    seen: 'Hair left',
    when: 'after',
    causes: 'wrong direction, too short, moisture, too cool, weak press, the next layer',
    remedy: 'Look at the direction; dry and powder; press firmly. Crossed lay for short or flat hair.',
    families: ALL,
  },
  {
    seen: 'Hair snapped',
    when: 'after',
    causes: 'too fast on fine hair, pulled upward, begun on hair, slack skin, wax too cool or thick',
    remedy: 'Slower, low and parallel, tab on bare skin, skin taut.',
    families: ALL,
  },
  {
    seen: 'Strings',
    when: 'pull',
    causes: 'touched before it had set, too hot, stick not tapped off',
    remedy: 'Press and wait. Tap the stick off, a cooler load.',
    families: ['hard'],
  },
  {
    seen: 'Stretches',
    when: 'pull',
    causes: 'film wax in one coat on coarse hair',
    remedy: 'Two coats, or the cream body. Waiting longer does not help.',
    families: ['hard'],
  },
  {
    seen: 'Rolls or slides',
    when: 'lay',
    causes: 'oil or lotion left on the skin',
    remedy: 'Wipe, dry, powder.',
    families: ['hard', 'soft'],
  },
  {
    seen: 'Clings to the glove, drips',
    when: 'lay',
    causes: 'bare glove, load too large',
    remedy: 'A trace of oil on glove and stick, smaller loads.',
    families: ['hard', 'soft'],
  },
  {
    seen: 'Paste sticks to hand or skin',
    when: 'lay',
    causes: 'warmed by the body, damp',
    remedy: 'Work a fresh cooler piece in, powder, cloth. It always washes off with water.',
    families: ['sugar'],
  },
  {
    seen: 'Paste takes no hair',
    when: 'after',
    causes: 'damp skin, too hard, too few strokes',
    remedy: 'Powder; warm or knead it; mould again.',
    families: ['sugar'],
  },
  {
    seen: 'Bruise',
    when: 'after',
    causes: 'slack skin, pulled upward, laid twice or too thick',
    remedy: 'Taut and low. No second lay there.',
    families: ALL,
  },
  {
    seen: 'Skin lifted',
    when: 'after',
    causes: 'too many passes, resurfacing products, slack skin',
    remedy: 'Stop there. First aid, record it, refer.',
    families: ALL,
    stop: true,
  },
  {
    seen: 'Burn or blister',
    when: 'after',
    causes: 'too hot, no wrist test, uneven pot',
    remedy: 'Stop. Cool running water for 20 minutes. Refer, record it.',
    families: ALL,
    stop: true,
  },
];

/** What the mark on the last strip points to. */
const POINTS_TO: Readonly<Record<string, readonly string[]>> = {
  'some-left': ['Hair left', 'Paste takes no hair'],
  broke: ['Strip cracks or breaks', 'Hair snapped'],
  sore: ['Bruise', 'Wax sticks to the skin'],
};

/** What is known of the strip in hand when somebody looks for a fault. */
export interface FaultAsked {
  readonly family: Family;
  /** The mark on the strip that came off last, where the last act was its pull. */
  readonly lastMark: string | null;
  /** What was done last; null before the first wax. */
  readonly justDone: 'lay' | 'pull' | null;
  /** Film wax in one coat, which stretches on coarse hair. */
  readonly isOneCoatFilm: boolean;
  readonly zone: ZoneId | null;
}

/** Folds and hollows, where skin is slack and damp. */
const FOLDS: readonly ZoneId[] = ['underarm', 'bikini-extended', 'front-complete', 'buttock-crease'];
const FOLD_FAULTS = ['Wax sticks to the skin', 'Bruise', 'Paste sticks to hand or skin'];

/** How likely a fault is meant, higher first: what the mark says, what was just done, what product and place do. */
function points({ seen, when }: Fault, asked: FaultAsked): number {
  const { lastMark, justDone, isOneCoatFilm, zone } = asked;
  const isMarked = POINTS_TO[lastMark ?? '']?.includes(seen) ?? false;
  // as a strip comes off what is under it is seen too
  const isNow = justDone === 'lay' ? when === 'lay' : justDone === 'pull' && when !== 'lay';
  const tends =
    (isOneCoatFilm && seen === 'Stretches') || (zone !== null && FOLDS.includes(zone) && FOLD_FAULTS.includes(seen));
  return (isMarked ? 4 : 0) + (isNow ? 2 : 0) + (tends ? 1 : 0);
}

/** Faults as they are looked for: what stops the work first, then by what is known; else by how often they come up. */
export function rankedFaults(asked: FaultAsked): readonly Fault[] {
  const rank = (f: Fault): number => (f.stop ? -100 : -points(f, asked));
  return FAULTS.filter((f) => f.families.includes(asked.family)).sort((a, b) => rank(a) - rank(b));
}
