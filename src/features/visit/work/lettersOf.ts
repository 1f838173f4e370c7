/** How many usual letters wide a word is: an M is wider, an I narrower. */
export function lettersOf(word: string): number {
  const count = (of: RegExp): number => word.match(of)?.length ?? 0;
  return Math.min(6, Math.round(word.length + (count(/[MW]/g) - count(/I/g)) / 2));
}
