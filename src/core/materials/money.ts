// Money in integer minor units. A year's takings = price × visits a week × weeks; honest sums take off what does not
// come.

/**
 * Price × visits × weeks, exact in minor units. Whole, non-negative numbers only; throws on anything else, a bug of the
 * caller.
 */
export function yearlyTakingsMinor(priceMinor: number, visitsPerWeek: number, weeks: number): bigint {
  for (const n of [priceMinor, visitsPerWeek, weeks]) {
    if (!Number.isSafeInteger(n) || n < 0) throw new RangeError('Money is counted in whole minor units.');
  }
  return BigInt(priceMinor) * BigInt(visitsPerWeek) * BigInt(weeks);
}
