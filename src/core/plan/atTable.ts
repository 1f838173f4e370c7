// The plan as it is worked at the table: with the rounds that were added there, from marks or from reading. Such
// a round is laid, timed and recorded like the first.

import { poseKey, zoneKey } from '../anatomy';
import {
  bringsWax,
  MOST_PASSES,
  standing,
  type AddedRound,
  type AddedStrip,
  type Admitting,
  type Fault,
  type LiveGroup,
  type StripJob,
  type TableEvent,
} from '../hands';
import { isCovered, liveGroups } from './liveGroups';
import type { Plan, PlanStrip, PlanZone } from './planTypes';
import { pullS } from './stripJobs';
import { stepAgain } from './tableSteps';

type Added = TableEvent & { readonly round: AddedRound };
const addedOf = (counted: readonly TableEvent[]): readonly Added[] =>
  counted.filter((e): e is Added => e.kind === 'round' && e.round !== undefined);

const planStrip = (strip: AddedStrip, round: AddedRound, order: number): PlanStrip => {
  const { id, number, pass, over, outline, growth, lay, pull, tab, tabOn, tabKind } = strip;
  const { lengthMm, widthMm, massG, touches, needsBefore, pulls, pace, handwork } = strip;
  return {
    ...{ id, number, pass, over, outline, growth, lay, pull, tab, tabOn, tabKind },
    ...{ lengthMm, widthMm, massG, touches, needsBefore, pulls, pace, handwork },
    order,
    place: null,
    crossing: null,
    density: null,
    turnDeg: 0,
    byEye: false,
    dab: false,
    thicknessMm: round.thicknessMm,
    touchC: round.touchC,
    way: round.way,
    spreadWith: null,
    setS: round.setS,
  };
};

/** The zones as they are worked: each with the strips of the rounds that were added. `counted` are standing events. */
export function zonesAtTable(plan: Plan, counted: readonly TableEvent[]): readonly PlanZone[] {
  const added = addedOf(counted);
  if (added.length === 0) return plan.zones;
  const strips = plan.zones.reduce((n, z) => n + z.strips.length, 0);
  return plan.zones.map((z) => {
    const own = added.filter(({ round }) => zoneKey(round) === zoneKey(z));
    if (own.length === 0) return z;
    const more = own.flatMap(({ round }) => round.strips.map((s) => planStrip(s, round, strips + s.number)));
    return { ...z, strips: [...z.strips, ...more] };
  });
}

const keyOf = (counted: readonly TableEvent[]): string =>
  addedOf(counted)
    .map((e) => e.id)
    .join(' ');
const worked = new WeakMap<Plan, { readonly key: string; readonly plan: Plan }>();

/** The plan with the strips of the rounds that were added; the same value until another one is. */
export function planAtTable(plan: Plan, events: readonly TableEvent[]): Plan {
  const counted = standing(events);
  const key = keyOf(counted);
  const known = worked.get(plan);
  if (known?.key === key) return known.plan;
  const zones = zonesAtTable(plan, counted);
  const made = zones === plan.zones ? plan : { ...plan, zones };
  worked.set(plan, { key, plan: made });
  return made;
}

function jobsOf(round: AddedRound, zone: PlanZone): readonly StripJob[] {
  const index = new Map(round.strips.map((s, i) => [s.id, i]));
  const indices = (ids: readonly string[]): readonly number[] => ids.flatMap((id) => index.get(id) ?? []);
  return round.strips.map((s): StripJob => ({
    id: s.id,
    side: zone.side === 'middle' ? null : zone.side,
    pose: poseKey(zone.zone, zone.side),
    layS: s.layS,
    coats: 1,
    ...(isCovered(zone.choice) ? { spreads: true } : {}),
    setMinS: round.setS.min,
    setMaxS: round.setS.max,
    pullS: pullS(s.lengthMm / 10, s.pulls),
    pressS: zone.hands.pressS,
    needs: indices(s.needsBefore),
    touches: indices(s.touches),
  }));
}

/** How often the zone had been gone over when this round was added, counted from 1. */
const nthOf = (added: readonly Added[], own: Added): number =>
  added.filter((a) => zoneKey(a.round) === zoneKey(own.round)).indexOf(own) + 1;

function groupOf(plan: Plan, before: readonly LiveGroup[], own: Added, nth: number): LiveGroup | null {
  const { round } = own;
  const zone = plan.zones.find((z) => zoneKey(z) === zoneKey(round));
  const first = zone && before.find((g) => g.jobs.some((j) => j.id === zone.strips[0]?.id));
  if (!zone?.choice || !first) return null;
  const index = new Map(round.strips.map((s, i) => [s.id, i]));
  const sequence = round.sequence.flatMap((id) => index.get(id) ?? []);
  const stages = before.filter((g) => g.product === first.product).map((g) => g.heatStage ?? 0);
  return {
    product: first.product,
    later: true,
    heatStage: Math.max(...stages) + 1,
    ...(first.position === undefined ? {} : { position: first.position }),
    order: [...new Set(sequence)],
    jobs: jobsOf(round, zone),
    sequence,
    before: [stepAgain(zone, nth)],
    maxOnSkin: first.maxOnSkin,
    walkS: first.walkS,
    ...(first.poseS === undefined ? {} : { poseS: first.poseS }),
  };
}

/**
 * Where a round goes that was added at a moment: after what has begun, if the client still lies so or will next; else
 * last, after a turn back.
 */
function placeOf(groups: readonly LiveGroup[], added: LiveGroup, before: readonly TableEvent[]): number {
  const laid = new Set(before.flatMap((e) => (bringsWax(e) && e.strip !== undefined ? [e.strip] : [])));
  const place = groups.findLastIndex((g) => g.jobs.some((j) => laid.has(j.id))) + 1;
  const lies = [groups[place - 1], groups[place]].some((g) => g !== undefined && g.position === added.position);
  return lies ? place : groups.length;
}

const planned = new WeakMap<Plan, readonly LiveGroup[]>();
function plannedGroups(plan: Plan): readonly LiveGroup[] {
  const known = planned.get(plan) ?? liveGroups(plan);
  planned.set(plan, known);
  return known;
}

/** The groups of the table at a moment: those of the plan, and each round that was added where it is worked. */
export function tableGroups(plan: Plan, events: readonly TableEvent[]): readonly LiveGroup[] {
  const counted = standing(events);
  const added = addedOf(counted);
  let groups = plannedGroups(plan);
  for (const own of added) {
    const group = groupOf(plan, groups, own, nthOf(added, own));
    if (!group) continue;
    const place = placeOf(groups, group, counted.slice(0, counted.indexOf(own)));
    groups = groups.toSpliced(place, 0, group);
  }
  return groups;
}

const fault = (code: Fault['code'], message: string): Fault => ({ code, message });

/**
 * Why a round cannot be added: the limit of passes over a skin, ground that is not off, strips that do not fit the
 * zone. Wax that is soft is never laid twice, and nothing a fourth time.
 */
export function roundFault(plan: Plan, counted: readonly TableEvent[], { round }: TableEvent): Fault | null {
  const zone = zonesAtTable(plan, counted).find((z) => round && zoneKey(z) === zoneKey(round));
  if (!round || !zone?.choice) return fault('act.no-such-zone', 'The plan has no such zone.');
  const { family } = zone.choice;
  if (family === 'soft' || zone.hands.onePass) {
    return fault(
      'act.no-more-passes',
      'This skin has had its one pass: clear with a clean cloth, tweeze, or leave it.',
    );
  }
  const strips = new Map(zone.strips.map((s) => [s.id, s]));
  const off = new Set(counted.flatMap((e) => (e.kind === 'pulled' && e.strip !== undefined ? [e.strip] : [])));
  const marks = new Map(counted.flatMap((e) => (e.kind === 'mark' ? [[e.strip, e.mark] as const] : [])));
  for (const s of round.strips) {
    if (strips.has(s.id)) return fault('act.incomplete', `Strip ${s.id} is there already.`);
    const over = s.over.map((id) => strips.get(id));
    if (over.length === 0 || over.some((o) => o === undefined || !off.has(o.id))) {
      return fault('act.not-laid', 'A further round goes only over ground that is off.');
    }
    if (s.over.some((id) => marks.get(id) === 'sore')) {
      return fault('act.no-more-passes', 'Sore skin is not gone over again.');
    }
    const pass = 1 + Math.max(...over.map((o) => o?.pass ?? MOST_PASSES));
    if (pass > MOST_PASSES) return fault('act.no-more-passes', `No fresh wax a ${pass}th time over the same skin.`);
    if (s.pass !== pass) return fault('act.incomplete', `Strip ${s.id} is pass ${pass} over this skin.`);
    if (family === 'hard' && pass === MOST_PASSES && round.reason.trim() === '') {
      return fault('act.no-more-passes', 'A third pass of hard wax needs its reason.');
    }
  }
  const ids = round.strips.map((s) => s.id);
  const twice = ids.every((id) => round.sequence.filter((x) => x === id).length === 2);
  return new Set(ids).size === ids.length && twice && round.sequence.length === 2 * ids.length
    ? null
    : fault('act.incomplete', 'The round does not say in which order it is laid and pulled.');
}

/** What an act at this table is judged by. */
export function admitting(plan: Plan): Admitting {
  let known: { readonly key: string; readonly groups: readonly LiveGroup[] } | null = null;
  return {
    groupsAt: (counted) => {
      const key = keyOf(counted);
      if (known?.key !== key) known = { key, groups: tableGroups(plan, counted) };
      return known.groups;
    },
    roundFault: (counted, act) => roundFault(plan, counted, act),
  };
}
