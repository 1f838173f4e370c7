// The zones of a plan in the order of work, and the wish for another one. The sides of a zone move together; nothing
// moves across a turn.

import type { Plan } from '@/core/plan';

export interface WorkUnit {
  readonly keys: readonly string[];
  readonly position: string;
}

export function workUnits(plan: Plan): readonly WorkUnit[] {
  const units: { keys: string[]; position: string }[] = [];
  for (const { zones, position } of plan.schedule.rounds) {
    for (const key of zones) {
      const last = units.at(-1);
      const [zone] = key.split('/');
      if (last?.position === position && last.keys[0]?.split('/')[0] === zone) last.keys.push(key);
      else units.push({ keys: [key], position });
    }
  }
  return units;
}

/** The keys of all zones with one unit moved by so many places; null where it cannot be. */
export function moved(units: readonly WorkUnit[], key: string, by: number): readonly string[] | null {
  const from = units.findIndex((u) => u.keys.includes(key));
  const unit = units[from];
  const other = units[from + by];
  if (!unit || !other || by === 0 || other.position !== unit.position) return null;
  const rest = units.filter((u) => u !== unit);
  return [...rest.slice(0, from + by), unit, ...rest.slice(from + by)].flatMap((u) => u.keys);
}
