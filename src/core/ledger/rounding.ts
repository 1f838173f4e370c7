// How money is rounded, in one place and by one rule, named on the page: to the whole minor unit, a half away from
// nothing, each line by itself. Parts of a sum always add up to it.

/** Said wherever rounded sums stand. */
export const ROUNDING_RULE = 'each line to the smallest coin, a half up';

const whole = (...ns: readonly number[]): void => {
  for (const n of ns) if (!Number.isSafeInteger(n)) throw new RangeError('Money is counted in whole minor units.');
};

/** `n` / `d` to the whole unit, a half away from nothing. Whole numbers, `d` above nothing; throws on anything else. */
export function dividedMinor(n: number, d: number): number {
  whole(n, d);
  if (d <= 0) throw new RangeError('Divided by nothing.');
  const by = BigInt(d);
  const twice = 2n * BigInt(Math.abs(n)) + by;
  const up = Number(twice / (2n * by));
  return n < 0 ? 0 - up : up;
}

/** `amount` × `times` / `of`, rounded once: shares, rates, percentages. The product may be beyond a safe number. */
export function shareMinor(amountMinor: number, times: number, of: number): number {
  whole(amountMinor, times, of);
  if (of <= 0) throw new RangeError('A share of nothing.');
  const n = BigInt(amountMinor) * BigInt(times);
  const by = BigInt(of);
  const up = Number((2n * (n < 0n ? -n : n) + by) / (2n * by));
  return n < 0n ? 0 - up : up;
}

/** Tax that is inside of an amount, minor units. Example: vatInside(11900, 1900) = 1900: 19 % in 119.00. */
export const vatInside = (amountMinor: number, basisPoints: number): number =>
  basisPoints === 0 ? 0 : shareMinor(amountMinor, basisPoints, 10_000 + basisPoints);

/**
 * An amount in parts by weight that add up to it exactly (largest remainder; equal remainders in order). All weights
 * nothing: equal parts. No weights: no parts.
 */
export function splitMinor(amountMinor: number, weights: readonly number[]): readonly number[] {
  whole(amountMinor, ...weights);
  if (weights.some((w) => w < 0)) throw new RangeError('A weight below nothing.');
  const total = weights.reduce((a, b) => a + b, 0);
  const of = total === 0 ? weights.map(() => 1) : weights;
  const sum = BigInt(total === 0 ? weights.length : total);
  const sign = amountMinor < 0 ? -1 : 1;
  const amount = BigInt(Math.abs(amountMinor));
  const parts = of.map((w, i) => {
    const n = amount * BigInt(w);
    return { i, floor: Number(n / (sum || 1n)), rest: n % (sum || 1n) };
  });
  let left = Math.abs(amountMinor) - parts.reduce((s, p) => s + p.floor, 0);
  const given = parts.map((p) => p.floor);
  for (const { i } of [...parts].sort((a, b) => Number(b.rest - a.rest) || a.i - b.i)) {
    if (left <= 0) break;
    given[i] = (given[i] ?? 0) + 1;
    left--;
  }
  return given.map((g) => (g === 0 ? 0 : sign * g));
}

/** Digits after the point by the currency (ISO 4217): 2 of the euro, 0 of the yen, 3 of the dinar. */
export const currencyDigits = (currency: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
