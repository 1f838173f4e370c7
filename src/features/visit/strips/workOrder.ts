// The zones of a plan in the order of work, and the wish for another one. The sides of a zone move together; nothing
// moves across a turn, and a zone that would have to be worked from another pot first takes that pot along.

import type { Plan } from '@/core/plan';

export interface WorkUnit {
  readonly keys: readonly string[];
  readonly position: string;
  readonly product: string;
  /** Place of its round in the plan. */
  readonly round: number;
}

export function workUnits(plan: Plan): readonly WorkUnit[] {
  const units: { keys: string[]; position: string; product: string; round: number }[] = [];
  plan.schedule.rounds.forEach(({ zones, position, product }, round) => {
    for (const key of zones) {
      const last = units.at(-1);
      const [zone] = key.split('/');
      if (last?.round === round && last.keys[0]?.split('/')[0] === zone) last.keys.push(key);
      else units.push({ keys: [key], position, product, round });
    }
  });
  return units;
}

/**
 * The keys of all zones with one unit moved by so many places; null where it cannot be: the client would have to turn,
 * or the pot to be warmed up again. Past the border of a round it goes before or after the whole of the other round,
 * since a pot is not taken up twice.
 */
export function moved(units: readonly WorkUnit[], key: string, by: number): readonly string[] | null {
  const from = units.findIndex((u) => u.keys.includes(key));
  const unit = units[from];
  const other = units[from + by];
  if (!unit || !other || by === 0 || other.position !== unit.position) return null;
  const isOther = other.round !== unit.round;
  if (isOther && other.product === unit.product) return null;
  const rest = units.filter((u) => u !== unit);
  const round = rest.flatMap((u, k) => (u.round === other.round ? [k] : []));
  const beyond = by < 0 ? Math.min(...round) : Math.max(...round) + 1;
  const to = isOther ? beyond : from + by;
  return [...rest.slice(0, to), unit, ...rest.slice(to)].flatMap((u) => u.keys);
}
