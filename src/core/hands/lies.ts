// Whether wax lies on skin by a table's journal. It errs towards yes: a strip counts as on the skin until its pull.

import { standing, type TableEvent } from './tableEvents';

/** True where a strip was laid, or its wax spread, and has not been pulled since. */
export function waxLies(events: readonly TableEvent[]): boolean {
  const lies = new Set<string>();
  for (const { kind, strip = '' } of standing(events)) {
    if (kind === 'laid' || kind === 'spread') lies.add(strip);
    else if (kind === 'pulled') lies.delete(strip);
  }
  return lies.size > 0;
}
