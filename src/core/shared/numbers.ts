// Small number helpers shared by the engines.

/** Holds `x` to [low, high]. For model internals only: input out of range is refused, never clamped. */
export const clamp = (x: number, low: number, high: number): number => Math.min(high, Math.max(low, x));

/** Rounds to `digits` decimals (half away from zero within floating precision). */
export function roundTo(x: number, digits: number): number {
  const k = 10 ** digits;
  // never −0: it is lost on the way through a file, and then what was kept differs from what is made
  return Math.round(x * k) / k + 0;
}

export const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
