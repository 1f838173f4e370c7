// Which products a client's skin has met: used at an earlier visit, or patch-tested and calm. Asked for only where it
// matters.

import 'server-only';
import { forbidsNew, type FoundFact } from '../../core/screening';
import type { DbOrTx } from '../db/openDatabase';
import type { ClientRow } from '../repos/clientRepo';
import { closedVisits, readPlan } from '../repos/visitRepo';

/**
 * Ids of known products; null where nothing forbids a new one, or where the earlier visits do not tell what was used.
 */
export function knownProducts(db: DbOrTx, client: ClientRow, facts: readonly FoundFact[]): readonly string[] | null {
  if (!forbidsNew(facts)) return null;
  const calm = client.profile.patchTests.filter((t) => t.result === 'calm').map((t) => t.product);
  const visits = closedVisits(db, client.id);
  const plans = visits.flatMap((v) => (v.planHash === null ? [] : (readPlan(db, v.planHash) ?? [])));
  if (visits.length > 0 && plans.length === 0 && calm.length === 0) return null;
  return [...new Set([...calm, ...plans.flatMap((p) => p.zones.flatMap((z) => z.choice?.product ?? []))])].sort();
}
