// How a client of the demo comes along from visit to visit: invented, like the rest.

import type { HomeCareId, Kept } from '../core/care';
import type { DbOrTx } from '../server/db/openDatabase';
import { putAdvised, putKept } from '../server/repos/homeCareRepo';
import type { DemoClient } from './scenario';

/** How far a client has come, 0 at the first visit, 1 at the last. */
const along = ({ intervals }: DemoClient, i: number): number => i / Math.max(1, intervals.length);
/** Each visit hurts a little less and is a little shorter. */
export const painOf = (client: DemoClient, i: number): number => Math.round(6 - 4 * along(client, i));
export const timesOf = (client: DemoClient, i: number): { plannedMin: number; tableMin: number } => {
  const plannedMin = 16 + 11 * client.zones.length;
  return { plannedMin, tableMin: Math.round(plannedMin * (1.3 - 0.45 * along(client, i))) };
};
/** And there was a little more hair before. */
export const thinning = (client: DemoClient, i: number): number => 0.25 * Math.round(4 * (1 - along(client, i)));

/** What is advised again and again; a client who needs nothing said hears nothing. */
const adviceFor = ({ ingrownProne, skin }: DemoClient): readonly HomeCareId[] => {
  if (ingrownProne) return ['scrub', 'hands-off'];
  return skin === 'dry' ? ['moisturise'] : [];
};

/** What was advised at a visit, and what was said at it of the visit before. */
export function insertAdvice(tx: DbOrTx, client: DemoClient, i: number, idOf: (i: number) => string): void {
  const advice = adviceFor(client);
  if (advice.length === 0) return;
  putAdvised(tx, idOf(i), advice);
  const kept: Kept = along(client, i) < 0.4 ? 'not' : 'partly';
  if (i > 0) for (const item of advice) putKept(tx, { visitId: idOf(i - 1), item }, { kept, askedAt: idOf(i) });
}
