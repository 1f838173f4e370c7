// Seeded generator (mulberry32, public domain): the core's only source of chance, always passed in.

export interface Random {
  /** Uniform in [0, 1). */
  next(): number;
  /** Uniform in [low, high). */
  between(low: number, high: number): number;
  /** Whole number, both ends included. */
  whole(low: number, high: number): number;
  /** Standard normal (Box–Muller). */
  normal(): number;
  pick<T>(items: readonly [T, ...T[]]): T;
}

export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const whole = (low: number, high: number): number => low + Math.floor(next() * (high - low + 1));
  return {
    next,
    between: (low, high) => low + next() * (high - low),
    whole,
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    pick: (items) => items[whole(0, items.length - 1)] ?? items[0],
  };
}
