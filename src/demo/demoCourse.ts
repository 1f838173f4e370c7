// How a client of the demo comes along from visit to visit: invented, like the rest.

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
