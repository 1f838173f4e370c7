// Looks through the trail's chain once an hour; what it finds stands on Today until the server starts anew.

import 'server-only';
import type { Db } from './db/openDatabase';
import { trailFault } from './trail';

const holder = globalThis as typeof globalThis & { strickleTrailFault?: boolean };

export const trailHasFault = (): boolean => holder.strickleTrailFault ?? false;

export async function lookThroughTrail(db: Db): Promise<void> {
  holder.strickleTrailFault = (await trailFault(db)) !== null;
}
