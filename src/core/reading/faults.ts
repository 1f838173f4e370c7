// Faults seen at the table, their likely causes and what to do at once (common practice, no source; the 20 minutes of
// water are first-aid guidance from memory). By how often they come up; shown by `rankedFaults`.

export interface Fault {
  readonly seen: string;
  readonly causes: string;
  readonly remedy: string;
  /** Families in which it is seen. */
  readonly families: readonly ('hard' | 'soft' | 'sugar')[];
  /** Stop the work on this skin. */
  readonly stop?: boolean;
}

const ALL = ['hard', 'soft', 'sugar'] as const;

export const FAULTS: readonly Fault[] = [
  {
    seen: 'Strip cracks or breaks',
    causes: 'too thin or uneven, dry skin, too cool, left too long',
    remedy:
      'Fold the lifted piece skin face outward and press it on the remains. Then a thicker rim, a trace of oil, warmer.',
    families: ['hard'],
  },
  {
    seen: 'Wax sticks to the skin',
    causes: 'thin edges, laid too thick, moisture, pulled too early',
    remedy: 'Clean cloth over the remains, oil to dissolve. Then dry and powder.',
    families: ['hard', 'soft'],
  },
  {
    seen: 'Hair left',
    causes: 'wrong direction, too short, moisture, too cool, weak press, the next layer',
    remedy: 'Look at the direction; dry and powder; press firmly. Crossed lay for short or flat hair.',
    families: ALL,
  },
  {
    seen: 'Hair snapped',
    causes: 'too fast on fine hair, pulled upward, begun on hair, slack skin, wax too cool or thick',
    remedy: 'Slower, low and parallel, tab on bare skin, skin taut.',
    families: ALL,
  },
  {
    seen: 'Strings',
    causes: 'touched before it had set, too hot, stick not tapped off',
    remedy: 'Press and wait. Tap the stick off, a cooler load.',
    families: ['hard'],
  },
  {
    seen: 'Stretches',
    causes: 'film wax in one coat on coarse hair',
    remedy: 'Two coats, or the cream body. Waiting longer does not help.',
    families: ['hard'],
  },
  {
    seen: 'Rolls or slides',
    causes: 'oil or lotion left on the skin',
    remedy: 'Wipe, dry, powder.',
    families: ['hard', 'soft'],
  },
  {
    seen: 'Clings to the glove, drips',
    causes: 'bare glove, load too large',
    remedy: 'A trace of oil on glove and stick, smaller loads.',
    families: ['hard', 'soft'],
  },
  {
    seen: 'Paste sticks to hand or skin',
    causes: 'warmed by the body, damp',
    remedy: 'Work a fresh cooler piece in, powder, cloth. It always washes off with water.',
    families: ['sugar'],
  },
  {
    seen: 'Paste takes no hair',
    causes: 'damp skin, too hard, too few strokes',
    remedy: 'Powder; warm or knead it; mould again.',
    families: ['sugar'],
  },
  {
    seen: 'Bruise',
    causes: 'slack skin, pulled upward, laid twice or too thick',
    remedy: 'Taut and low. No second lay there.',
    families: ALL,
  },
  {
    seen: 'Skin lifted',
    causes: 'too many passes, resurfacing products, slack skin',
    remedy: 'Stop there. First aid, record it, refer.',
    families: ALL,
    stop: true,
  },
  {
    seen: 'Burn or blister',
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

/** Faults of a family as they are looked for: what stops the work first, then what the last mark points to. */
export function rankedFaults(family: 'hard' | 'soft' | 'sugar', lastMark: string | null): readonly Fault[] {
  const rank = ({ seen, stop }: Fault): number => {
    if (stop) return 0;
    return POINTS_TO[lastMark ?? '']?.includes(seen) ? 1 : 2;
  };
  return FAULTS.filter((f) => f.families.includes(family)).sort((a, b) => rank(a) - rank(b));
}
