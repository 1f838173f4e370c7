// Hairs per cm² from the density felt as 1–5. Steps from memory: each about half as many again as the last.

const STEP: readonly number[] = [0.3, 0.6, 1, 1.5, 2.1];

/** Visible hairs per cm² of a zone whose density at step 3 is `atThree`. `density` 1–5, may lie between steps. */
export function hairsPerCm2(atThree: number, density: number): number {
  const low = Math.min(5, Math.max(1, Math.floor(density)));
  const high = Math.min(5, low + 1);
  const a = STEP[low - 1] ?? 1;
  const b = STEP[high - 1] ?? a;
  return atThree * (a + (b - a) * (density - low));
}
