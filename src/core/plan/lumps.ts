// Lumps of hand paste: one serves many strokes, belongs to one client and goes into the bin with the glove. Counted,
// since strokes say nothing of how much was used.

import type { TableEvent } from '../hands';
import type { Plan } from './planTypes';

/**
 * Lumps by product: the first begins with the first stroke, each further one was said.
 * @param plan as it is worked at the table
 * @param counted standing events
 */
export function lumpsUsed(plan: Pick<Plan, 'zones'>, counted: readonly TableEvent[]): ReadonlyMap<string, number> {
  const of = new Map(
    plan.zones.flatMap(({ choice, strips }) =>
      choice?.way === 'moulded' ? strips.map((s): [string, string] => [s.id, choice.product]) : [],
    ),
  );
  const lumps = new Map<string, number>();
  for (const e of counted) {
    const product = e.kind === 'laid' ? of.get(e.strip ?? '') : undefined;
    if (product !== undefined && !lumps.has(product)) lumps.set(product, 1);
    if (e.kind === 'lump' && e.product !== undefined) lumps.set(e.product, (lumps.get(e.product) ?? 0) + 1);
  }
  return lumps;
}
