// Results of pure functions, kept by the text of what went in; the ones longest unused are dropped first.

export type Recall<T> = (key: string, make: () => T) => T;

/** A memory for at most `most` results (≥ 1). */
export function recaller<T>(most: number): Recall<T> {
  const kept = new Map<string, T>();
  return (key, make) => {
    const known = kept.get(key);
    const value = known === undefined ? make() : known;
    kept.delete(key);
    kept.set(key, value);
    if (kept.size > most) {
      for (const oldest of kept.keys()) {
        kept.delete(oldest);
        break;
      }
    }
    return value;
  };
}
