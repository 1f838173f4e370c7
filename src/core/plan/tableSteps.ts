// What is done at the table beside laying and pulling, from the plan: skin and hands are prepared before the first wax
// of each position, a new shape is looked at together, and nobody goes before the finish is done. Common practice, no
// source.

import { zoneKey } from '../anatomy';
import type { LiveGroup } from '../hands';
import type { Plan, PlanZone } from './planTypes';

/** Told once, also where a further round follows. */
const ONCE = ['care'] as const;
/** Steps before any skin is touched. */
const FIRST = ['alerts', 'hands'] as const;
const FINISH = ['light', 'residue', 'calm', 'mirror', 'care'] as const;

export type StepName = (typeof FIRST)[number] | (typeof FINISH)[number] | 'trim' | 'cleanse' | 'skin' | 'look';

/** Whether the hair of a zone is cut before it is waxed. */
export const isTrimmedFirst = ({ choice, options }: Pick<PlanZone, 'choice' | 'options'>): boolean =>
  options.some((o) => o.product === choice?.product && o.way === choice.way && o.trimFirst);

/** Which step it is, and of what: the place of a round, or a zone (with a count where it comes again). */
export function readStep(step: string): { readonly name: StepName; readonly of: string | null } {
  const [name, of = null] = step.split('@');
  return { name: name as StepName, of };
}

/** Rounds that follow each other in one position, from a place on: their skin is prepared together. */
function stretchFrom(plan: Plan, place: number): readonly number[] {
  const { rounds } = plan.schedule;
  const { position } = rounds[place] ?? { position: '' };
  const after = rounds.findIndex((r, i) => i > place && r.position !== position);
  return rounds.flatMap((_, i) => (i >= place && (after < 0 || i < after) ? [i] : []));
}

/** Zones whose skin a step is about; every zone of the plan where it says none. */
export function zonesOfStep(plan: Plan, step: string): readonly PlanZone[] {
  const { name, of } = readStep(step);
  const worked = plan.zones.filter((z) => z.strips.length > 0);
  if (of === null) return worked;
  if (of.includes('/')) return worked.filter((z) => zoneKey(z) === of.split('#')[0]);
  const strips = new Set(stretchFrom(plan, Number(of)).flatMap((i) => plan.schedule.rounds[i]?.strips ?? []));
  const here = worked.filter((z) => z.strips.some((s) => strips.has(s.id)));
  return name === 'trim' ? here.filter(isTrimmedFirst) : here;
}

/** Steps of one round of the plan, as the live table takes them. */
export function roundSteps(plan: Plan, place: number): Pick<LiveGroup, 'before' | 'checks' | 'after' | 'once'> {
  const { rounds } = plan.schedule;
  const isFirstOfStretch = place === 0 || rounds[place - 1]?.position !== rounds[place]?.position;
  const trim = `trim@${place}`;
  const ids = rounds[place]?.strips ?? [];
  return {
    before: [
      ...(place === 0 ? FIRST : []),
      ...(isFirstOfStretch
        ? [...(zonesOfStep(plan, trim).length > 0 ? [trim] : []), `cleanse@${place}`, `skin@${place}`]
        : []),
    ],
    checks: plan.zones
      .filter((z) => z.agreed === 'reshape' && z.strips.length > 0 && z.strips.every((s) => ids.includes(s.id)))
      .map((z) => ({ step: `look@${zoneKey(z)}`, jobs: z.strips.map((s) => ids.indexOf(s.id)) })),
    after: place === rounds.length - 1 ? FINISH : [],
    once: ONCE,
  };
}

/** Before a zone is gone over again: dried and prepared anew, only there. */
export const stepAgain = (zone: Pick<PlanZone, 'zone' | 'side'>, nth: number): string => `skin@${zoneKey(zone)}#${nth}`;
