// What each service took at a visit, kept when it is closed: its share of the time and of the material, and what it was
// worked with. For what an hour of it earns.

import 'server-only';
import { minutesOfService, servicesIn, type Service } from '../../core/agreement';
import { zoneKey } from '../../core/anatomy';
import { splitMinor } from '../../core/ledger';
import { TURNOVER_MIN } from '../../core/materials';
import type { Plan } from '../../core/plan';
import type { DbOrTx } from '../db/openDatabase';
import type { ZoneRef } from '../db/schema';
import { putVisitPart } from '../repos/ledgerRepo';

/** What is no service of the studio's list. */
export const OTHER = 'other';

/** The services of a visit: those that were named, else those whose zones were all worked. */
export function servicesOfVisit(
  services: readonly Service[],
  named: readonly string[],
  zones: readonly ZoneRef[],
): readonly Service[] {
  const said = services.filter((s) => named.includes(s.id));
  return said.length > 0 ? said : servicesIn(services, zones);
}

interface Closed {
  readonly visitId: string;
  readonly plan: Plan;
  readonly services: readonly Service[];
  readonly serviceMinutes: Readonly<Record<string, number>>;
  /** At the table by the journal, else by the plan, min. */
  readonly tookMin: number;
}

/** Nothing is kept of a visit at which nothing was worked. */
export function keepParts(db: DbOrTx, { visitId, plan, services, serviceMinutes, tookMin }: Closed): void {
  const worked = plan.zones.filter((z) => z.choice !== null);
  if (worked.length === 0) return;
  const all = services.length > 0 ? services : [{ id: OTHER, zones: worked }];
  const weights = all.map((s) => minutesOfService(s, serviceMinutes));
  const materials = splitMinor(plan.cost.materialsMinor, weights);
  const total = weights.reduce((a, b) => a + b, 0);
  all.forEach(({ id, zones }, place) => {
    const own = new Set(zones.map(zoneKey));
    const chosen = worked.flatMap((z) => (z.choice && own.has(zoneKey(z)) ? [z.choice] : []));
    const only = <T>(values: readonly T[]): T | null => (new Set(values).size === 1 ? (values[0] ?? null) : null);
    putVisitPart(db, {
      ...{ visitId, place, service: id },
      family: only(chosen.map((c) => c.family)),
      product: only(chosen.map((c) => c.product)),
      minutes: ((tookMin + TURNOVER_MIN) * (weights[place] ?? 0)) / Math.max(1, total),
      materialsMinor: materials[place] ?? 0,
    });
  });
}
