// Which acts a journal may take: the same machine that the table works by, asked act by act. What the hands did in
// another order than proposed is taken; what cannot have happened, or must not, is refused with the reason.

import { AID_STEPS } from './firstAid';
import type { LiveGroup } from './live';
import { isSpread, liesOnSkin, liveStrips } from './liveStrips';
import { FIRST_COAT, SETTING, UNLAID } from './state';
import { isStep } from './steps';
import { bringsWax, deeds, hasBegun, standing, type TableEvent } from './tableEvents';
import { isTurned } from './turning';
import { wristStands } from './wristTest';

export interface ActFault {
  /** Place of the act among those that were sent. */
  readonly index: number;
  readonly code:
    | 'act.no-such-strip'
    | 'act.no-such-product'
    | 'act.no-such-step'
    | 'act.wrist-first'
    | 'act.turn-first'
    | 'act.wax-on-skin'
    | 'act.stopped'
    | 'act.not-stopped'
    | 'act.held'
    | 'act.on-the-skin'
    | 'act.off-already'
    | 'act.not-laid'
    | 'act.not-the-last'
    | 'act.no-such-zone'
    | 'act.no-more-passes'
    | 'act.incomplete';
  readonly message: string;
}

/** Why one act cannot be taken. */
export type Fault = Omit<ActFault, 'index'>;

/** What an act is judged by: the groups of the table at that moment, and whether another round may be laid. */
export interface Admitting {
  readonly groupsAt: (counted: readonly TableEvent[]) => readonly LiveGroup[];
  readonly roundFault: (counted: readonly TableEvent[], act: TableEvent) => Fault | null;
}

/** A table whose groups are given once and for all: no round is added to it. */
export const fixedTable = (groups: readonly LiveGroup[]): Admitting => ({
  groupsAt: () => groups,
  roundFault: () => ({ code: 'act.no-such-zone', message: 'No further round can be laid here.' }),
});

function layFault(groups: readonly LiveGroup[], counted: readonly TableEvent[], strip: string): Fault | null {
  const group = groups.find((g) => g.jobs.some((j) => j.id === strip));
  const stage = liveStrips(groups, counted).get(strip)?.stage;
  if (!group || stage === undefined) return { code: 'act.no-such-strip', message: `The plan has no strip ${strip}.` };
  if (counted.some((e) => e.kind === 'stop')) {
    return { code: 'act.stopped', message: 'The work was stopped: nothing is laid after that.' };
  }
  if (counted.filter((e) => e.kind === 'hold' || e.kind === 'resume').at(-1)?.kind === 'hold') {
    return { code: 'act.held', message: 'The work is held: go on first, then lay.' };
  }
  if (!isTurned(groups, group, counted)) {
    return { code: 'act.turn-first', message: 'The client has to turn before this strip: note the turn first.' };
  }
  if (!wristStands(groups, group, counted)) {
    return { code: 'act.wrist-first', message: 'No wrist test of this product was noted: nothing is laid before it.' };
  }
  if (stage === UNLAID || stage === FIRST_COAT) return null;
  return stage === SETTING
    ? { code: 'act.on-the-skin', message: `Strip ${strip} is on the skin already.` }
    : { code: 'act.off-already', message: `Strip ${strip} is off already: this skin is not waxed again.` };
}

function pullFault(groups: readonly LiveGroup[], counted: readonly TableEvent[], strip: string): Fault | null {
  const live = liveStrips(groups, counted).get(strip);
  if (live === undefined) return { code: 'act.no-such-strip', message: `The plan has no strip ${strip}.` };
  return live.stage === SETTING || isSpread(live)
    ? null
    : { code: 'act.not-laid', message: `Strip ${strip} does not lie on the skin.` };
}

/** Wax is never on the skin across a turn. */
const turnFault = (groups: readonly LiveGroup[], counted: readonly TableEvent[]): Fault | null =>
  [...liveStrips(groups, counted).values()].some(liesOnSkin)
    ? { code: 'act.wax-on-skin', message: 'Wax is on the skin: it comes off before the client turns.' }
    : null;

function undoFault(counted: readonly TableEvent[], undoes: string): Fault | null {
  const last = deeds(counted).at(-1);
  return last?.id === undoes ? null : { code: 'act.not-the-last', message: 'Only the last act can be taken back.' };
}

const INCOMPLETE: Fault = { code: 'act.incomplete', message: 'The act does not say what it was done with.' };

function faultOf({ groupsAt, roundFault }: Admitting, journal: readonly TableEvent[], act: TableEvent): Fault | null {
  const counted = standing(journal);
  const groups = groupsAt(counted);
  const { strip, product, undoes, mark, step } = act;
  switch (act.kind) {
    case 'spread':
      if (strip === undefined) return INCOMPLETE;
      if (isSpread(liveStrips(groups, counted).get(strip))) {
        return { code: 'act.on-the-skin', message: `Strip ${strip} is spread already: its cloth comes next.` };
      }
      return groups.some((g) => g.jobs.some((j) => j.id === strip && j.spreads))
        ? layFault(groups, counted, strip)
        : { code: 'act.incomplete', message: `Strip ${strip} is not spread first: it is laid.` };
    case 'laid':
      return strip === undefined ? INCOMPLETE : layFault(groups, counted, strip);
    case 'pulled':
      return strip === undefined ? INCOMPLETE : pullFault(groups, counted, strip);
    case 'turned':
      return act.position === undefined ? INCOMPLETE : turnFault(groups, counted);
    case 'mark':
      if (strip === undefined || mark === undefined) return INCOMPLETE;
      return groups.some((g) => g.jobs.some((j) => j.id === strip))
        ? null
        : { code: 'act.no-such-strip', message: `The plan has no strip ${strip}.` };
    case 'step':
      if (step === undefined) return INCOMPLETE;
      return isStep(groups, step) ? null : { code: 'act.no-such-step', message: `The plan has no step ${step}.` };
    case 'aid':
      if (!AID_STEPS.some((s) => s === step)) return INCOMPLETE;
      return counted.some((e) => e.kind === 'stop')
        ? null
        : { code: 'act.not-stopped', message: 'Nothing was stopped.' };
    case 'wrist':
    case 'reheat':
    case 'lump':
      if (product === undefined) return INCOMPLETE;
      return groups.some((g) => g.product === product)
        ? null
        : { code: 'act.no-such-product', message: 'The plan does not work with this product.' };
    case 'round':
      if (act.round === undefined) return INCOMPLETE;
      return counted.some((e) => e.kind === 'stop')
        ? { code: 'act.stopped', message: 'The work was stopped: nothing is laid after that.' }
        : roundFault(counted, act);
    case 'incident':
      if (act.incident === undefined || act.incident.what.length === 0) return INCOMPLETE;
      return act.incident.corrects === null || counted.some((e) => e.id === act.incident?.corrects)
        ? null
        : { code: 'act.incomplete', message: 'There is no such record to correct.' };
    case 'undo':
      return undoes === undefined ? INCOMPLETE : undoFault(counted, undoes);
    case 'hold':
    case 'resume':
    case 'stop':
      return null;
  }
}

/**
 * The first act that the journal cannot take; null where it takes all.
 * @param admitting the table's groups, which a round that is added changes
 * @param journal what stands in it already, in order
 * @param acts what is to be added, in order; none of them stands in it yet
 */
export function actFault(
  admitting: Admitting,
  journal: readonly TableEvent[],
  acts: readonly TableEvent[],
): ActFault | null {
  for (const [index, act] of acts.entries()) {
    const fault = faultOf(admitting, [...journal, ...acts.slice(0, index)], act);
    if (fault) return { index, ...fault };
  }
  return null;
}

/** True where these acts bring the first wax onto the skin: then the plan must stand. */
export const beginsWith = (journal: readonly TableEvent[], acts: readonly TableEvent[]): boolean =>
  !hasBegun(journal) && acts.some(bringsWax);
