// What clients' own visits say of their growth, for lists of many clients: the tables that learning rests on are worked
// out once for all of them.

import 'server-only';
import { growthMemory, learnGrowth, type LearnedGrowth } from '../../core/hair';

const memory = growthMemory();

export const learnedGrowth = (...[growth, history, seen]: Parameters<typeof learnGrowth>): LearnedGrowth =>
  learnGrowth(growth, history, seen, memory);
