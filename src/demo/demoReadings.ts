// What was read at the demo's past visits.

import 'server-only';
import { and, eq } from 'drizzle-orm';
import type { Plan } from '../core/plan';
import { clamp, type Random } from '../core/shared';
import type { Db } from '../server/db/openDatabase';
import { readings, type Reading } from '../server/db/schema';
import { readingsOf } from '../server/repos/visitRepo';

export function readingFor(random: Random, first: boolean): Reading {
  const left = random.next() < (first ? 0.8 : 0.45) ? 'few' : 'none';
  return {
    v: 1,
    removedPct: Math.round(first ? random.between(84, 93) : random.between(92, 99)),
    brokenPct: Math.round(random.between(1, first ? 8 : 4)),
    left,
    leftKind: left === 'none' ? 'none' : random.pick(['short', 'flat', 'other-way']),
    bleeding: random.next() < (first ? 0.5 : 0.15) ? 'points' : 'none',
    skin: random.pick(['calm', 'pink', 'pink']),
    tweezed: left === 'none' ? 0 : random.whole(3, 16),
    heatFelt: random.pick(['right', 'right', 'right', 'right', 'right', 'too-warm']),
    note:
      left === 'few'
        ? random.pick([
            'Upper edge was missed: grows sideways.',
            'A few short ones left for next time.',
            'Pressed longer, calm after a minute.',
          ])
        : '',
  };
}

export const READ_SEED = 12;

/** What was read at a planned visit lies about what was planned: this studio's products hold as shipped. */
export function readAsPlanned(db: Db, visitId: string, plan: Plan, random: Random): void {
  for (const { zone, side, data } of readingsOf(db, visitId)) {
    const chosen = plan.zones.find((z) => z.zone === zone && z.side === side);
    const { product, way } = chosen?.choice ?? {};
    const option = chosen?.options.find((o) => o.product === product && o.way === way);
    if (!option) continue;
    const left = (1 - option.removedShare) * Math.exp(0.3 * random.normal());
    const removedPct = clamp(Math.round(100 * (1 - left)), 80, 99);
    db.update(readings)
      .set({ data: { ...data, removedPct, removedSaid: true } })
      .where(and(eq(readings.visitId, visitId), eq(readings.zone, zone), eq(readings.side, side)))
      .run();
  }
}
