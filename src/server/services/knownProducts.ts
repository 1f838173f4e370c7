// Which products a client's skin has met: used at an earlier visit, or patch-tested and calm. Asked for only where it
// matters.

import 'server-only';
import { forbidsNew, type FoundFact } from '../../core/screening';
import type { DbOrTx } from '../db/openDatabase';
import type { ClientRow } from '../repos/clientRepo';
import { visitCount } from '../repos/visitRepo';
import { workedOfClient } from '../repos/workedRepo';

/**
 * Ids of known products; null where nothing forbids a new one, or where the earlier visits do not tell what was used.
 */
export function knownProducts(db: DbOrTx, client: ClientRow, facts: readonly FoundFact[]): readonly string[] | null {
  if (!forbidsNew(facts)) return null;
  const calm = client.profile.patchTests.filter((t) => t.result === 'calm').map((t) => t.product);
  const used = workedOfClient(db, client.id).map((w) => w.product);
  if (used.length === 0 && calm.length === 0 && visitCount(db, client.id) > 0) return null;
  return [...new Set([...calm, ...used])].sort();
}
