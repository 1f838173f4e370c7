// What planning remembers from one call to the next: results of the costly engines by the whole of their input. A plan
// made with a memory equals one made without; it is only sooner there, e.g. after an answer at the consultation that
// moves no strip.

import type { Schedule } from '../hands';
import type { GrowthField } from '../field';
import type { LearnedGrowth } from '../hair';
import type { CoatHeat, Opener, SkinHeat, WorkingWindow } from '../heat';
import type { RoundSchedule } from '../rounds';
import { recaller, type Recall } from '../shared';
import type { Layout, Piece } from '../strips';

export interface PlanMemory {
  readonly windows: Recall<WorkingWindow>;
  readonly openers: Recall<readonly Opener[]>;
  readonly heats: Recall<SkinHeat>;
  readonly coats: Recall<CoatHeat>;
  readonly fields: Recall<GrowthField>;
  readonly layouts: Recall<Layout>;
  readonly cuts: Recall<readonly Piece[]>;
  readonly schedules: Recall<Schedule>;
  readonly rounds: Recall<RoundSchedule>;
  readonly learned: Recall<LearnedGrowth>;
}

/** Room for some dozens of zones; a layout is some tens of kilobytes. */
export const planMemory = (): PlanMemory => ({
  windows: recaller(600),
  openers: recaller(200),
  heats: recaller(600),
  coats: recaller(200),
  fields: recaller(60),
  layouts: recaller(240),
  cuts: recaller(120),
  schedules: recaller(600),
  rounds: recaller(300),
  learned: recaller(200),
});
