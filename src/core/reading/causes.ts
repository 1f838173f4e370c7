// Likely causes of what the strip and the skin show: naive Bayes over a small likelihood table, with the case's own
// facts as priors. Likelihoods from memory, ordered as the trade's table of faults; the evidence for each cause is
// given with it.

export type LeftKind = 'none' | 'short' | 'flat' | 'other-way' | 'anywhere';

export interface ReadingFacts {
  readonly removedShare: number;
  readonly brokenShare: number;
  readonly leftKind: LeftKind;
  /** Facts of the case. */
  readonly family: 'hard' | 'soft' | 'sugar';
  readonly workableShare: number;
  readonly crossingGrowth: boolean;
  readonly drySkin: boolean;
  readonly heatFelt: 'too-warm' | 'right' | 'too-cool';
  readonly shaved: boolean;
}

export interface Cause {
  readonly code: 'too-short' | 'wrong-way' | 'too-cool' | 'moisture' | 'next-layer' | 'dry-hair' | 'pull';
  readonly probability: number;
  readonly text: string;
  readonly remedy: string;
}

interface Row {
  readonly code: Cause['code'];
  readonly text: string;
  readonly remedy: string;
  readonly prior: (f: ReadingFacts) => number;
  /** P(evidence | cause) for: many left, many broken, each kind of leftover. */
  readonly left: number;
  readonly broken: number;
  readonly kinds: Readonly<Partial<Record<LeftKind, number>>>;
}

const MANY_LEFT = 0.9;
const MANY_BROKEN = 0.06;

const ROWS: readonly Row[] = [
  {
    code: 'too-short',
    text: 'Hair too short to hold.',
    remedy: 'Leave it for the next visit, or sugar.',
    prior: (f) => 0.3 * (1.2 - f.workableShare) + (f.shaved ? 0.3 : 0),
    left: 0.8,
    broken: 0.2,
    kinds: { short: 0.85, flat: 0.05, 'other-way': 0.03, anywhere: 0.07 },
  },
  {
    code: 'wrong-way',
    text: 'Growth differs from the chart.',
    remedy: 'Comb the chart anew there.',
    prior: (f) => (f.crossingGrowth ? 0.3 : 0.12),
    left: 0.7,
    broken: 0.5,
    kinds: { 'other-way': 0.75, flat: 0.1, short: 0.03, anywhere: 0.12 },
  },
  {
    code: 'too-cool',
    text: 'Wax too cool on the skin.',
    remedy: 'Warmer load, straight from the pot.',
    prior: (f) => (f.heatFelt === 'too-cool' ? 0.35 : 0.06),
    left: 0.7,
    broken: 0.6,
    kinds: { anywhere: 0.7, flat: 0.15, short: 0.1, 'other-way': 0.05 },
  },
  {
    code: 'moisture',
    text: 'Moisture under the wax.',
    remedy: 'Dry and powder again.',
    prior: () => 0.12,
    left: 0.8,
    broken: 0.15,
    kinds: { anywhere: 0.75, flat: 0.15, short: 0.06, 'other-way': 0.04 },
  },
  {
    code: 'next-layer',
    text: 'The next layer of the hair, not a failure.',
    remedy: 'Crossed lay or another round where allowed.',
    prior: (f) => (f.crossingGrowth || f.shaved ? 0.2 : 0.08),
    left: 0.7,
    broken: 0.1,
    kinds: { flat: 0.6, short: 0.2, anywhere: 0.15, 'other-way': 0.05 },
  },
  {
    code: 'dry-hair',
    text: 'Dry, brittle hair.',
    remedy: 'Moisturise well over the weeks before.',
    prior: (f) => (f.drySkin ? 0.2 : 0.05),
    left: 0.4,
    broken: 0.85,
    kinds: { anywhere: 0.7, short: 0.2, flat: 0.06, 'other-way': 0.04 },
  },
  {
    code: 'pull',
    text: 'Pull upward, too fast on fine hair, or on slack skin.',
    remedy: 'Slower, low and parallel, skin taut.',
    prior: () => 0.15,
    left: 0.45,
    broken: 0.75,
    kinds: { anywhere: 0.75, short: 0.15, flat: 0.05, 'other-way': 0.05 },
  },
];

/** Causes by probability, most likely first; empty where little was left and little broke. */
export function likelyCauses(facts: ReadingFacts): readonly Cause[] {
  const manyLeft = facts.removedShare < MANY_LEFT;
  const manyBroken = facts.brokenShare > MANY_BROKEN;
  if (!manyLeft && !manyBroken) return [];
  const weights = ROWS.map((row) => {
    const kind = facts.leftKind === 'none' ? 1 : (row.kinds[facts.leftKind] ?? 0.05);
    return row.prior(facts) * (manyLeft ? row.left : 1 - row.left) * (manyBroken ? row.broken : 1 - row.broken) * kind;
  });
  const total = weights.reduce((a, b) => a + b, 0);
  return ROWS.map(({ code, text, remedy }, i): Cause => ({
    code,
    text,
    remedy,
    probability: (weights[i] ?? 0) / total,
  })).sort((a, b) => b.probability - a.probability);
}
