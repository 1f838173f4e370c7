// What clients' own visits say of their growth, for lists of many clients: the tables that learning rests on are worked
// out once for all of them.

import 'server-only';
import { growthMemory, learnGrowth, type LearnedGrowth } from '../../core/hair';
import { recaller } from '../../core/shared';

const memory = growthMemory();
/** A day's clients with all their zones, several times over. */
const learned = recaller<LearnedGrowth>(2000);

export const learnedGrowth = (...[growth, history, seen]: Parameters<typeof learnGrowth>): LearnedGrowth =>
  learned(JSON.stringify([growth, history, seen]), () => learnGrowth(growth, history, seen, memory));
