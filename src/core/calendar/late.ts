// A client comes late: what still fits before the next visit, and what is dropped with the least lost. What is dropped
// is whole zones; the fixed minutes (talk, clean up, turnover) stay.

export interface LateZone {
  readonly key: string;
  /** At the table, min. */
  readonly minutes: number;
}

export interface LateInput {
  /** When it can begin, minute of the day. */
  readonly startMin: number;
  readonly zones: readonly LateZone[];
  /** Preparing, finishing, turnover, min. */
  readonly fixedMin: number;
  /** When the practitioner must be free: the next visit, or closing time. */
  readonly freeBy: number;
}

export interface LateAnswer {
  /** When all of it would be over, minute of the day. */
  readonly endMin: number;
  /** Minutes by which all of it runs into what comes next; 0 where it fits. */
  readonly overMin: number;
  /** Zones to be dropped so that the rest fits, in their order; all of them where not even one does. */
  readonly drop: readonly string[];
}

/** Sets of zones are tried one by one: more than this are not. */
const MOST_ZONES = 12;

/** Keeps the most minutes of work that fit; of two that keep as many, the one that drops fewer zones. */
export function lateAnswer({ startMin, zones, fixedMin, freeBy }: LateInput): LateAnswer {
  const total = zones.reduce((s, z) => s + z.minutes, 0);
  const endMin = startMin + fixedMin + total;
  if (endMin <= freeBy) return { endMin, overMin: 0, drop: [] };
  const room = freeBy - startMin - fixedMin;
  const tried = zones.slice(0, MOST_ZONES);
  let best = 0;
  let bestMinutes = -1;
  let bestCount = -1;
  for (let set = 0; set < 2 ** tried.length; set++) {
    const kept = tried.filter((_, i) => (set >> i) % 2 === 1);
    const minutes = kept.reduce((s, z) => s + z.minutes, 0);
    if (minutes > room) continue;
    const isBetter = minutes > bestMinutes + 1e-9 || (minutes > bestMinutes - 1e-9 && kept.length > bestCount);
    if (isBetter) [best, bestMinutes, bestCount] = [set, minutes, kept.length];
  }
  const drop = zones.filter((_, i) => i >= MOST_ZONES || (best >> i) % 2 === 0);
  return { endMin, overMin: endMin - freeBy, drop: drop.map((z) => z.key) };
}
