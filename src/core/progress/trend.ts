// Where a figure goes over many visits, without being led by one odd visit: Theil–Sen line (median of all slopes), and
// Mann–Kendall for whether it goes anywhere at all (both textbook methods, formulas from memory).

export interface TrendPoint {
  /** Days, in order. */
  readonly day: number;
  readonly value: number;
}

export interface Trend {
  /** On the line at the first and at the last visit. */
  readonly from: number;
  readonly to: number;
  /** It goes up or down more than chance would (one in twenty on each side). */
  readonly isClear: boolean;
}

/** Fewer visits than this show no trend. */
export const TREND_FROM = 4;
const CLEAR_Z = 1.645;

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = sorted.length / 2;
  return sorted.length % 2 === 1 ? (sorted[Math.floor(mid)] ?? 0) : ((sorted[mid - 1] ?? 0) + (sorted[mid] ?? 0)) / 2;
};

/** Null with fewer than four points. */
export function trendOf(points: readonly TrendPoint[]): Trend | null {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || points.length < TREND_FROM) return null;
  const slopes: number[] = [];
  let rises = 0;
  for (const [i, a] of points.entries()) {
    for (const b of points.slice(i + 1)) {
      if (b.day > a.day) slopes.push((b.value - a.value) / (b.day - a.day));
      rises += Math.sign(b.value - a.value);
    }
  }
  const slope = slopes.length === 0 ? 0 : median(slopes);
  const foot = median(points.map((p) => p.value - slope * p.day));
  const n = points.length;
  // ties make it rarer that chance does it: without their correction the test is the stricter one
  const spread = Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const z = (Math.abs(rises) - 1) / spread;
  return { from: foot + slope * first.day, to: foot + slope * last.day, isClear: z >= CLEAR_Z };
}
