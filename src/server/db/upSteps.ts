// Stored documents of an older shape, brought up to the present one. Nothing is dropped; what was not known gets its
// empty value.

import { zoneKey } from '../../core/anatomy';
import { fromFormerWeights, type FormerWeights } from '../../core/matching';
import { USUAL_PRESS_S, type Plan, type PlanRound } from '../../core/plan';
import type { ClientProfile, Consult, StudioSettings } from './schema/documents';

/** A document as it lies in the file: its version is known, the rest may be older than the types say. */
interface Stored {
  readonly v: number;
}

/**
 * Consultation 1 → 2: agreed words become part of what was agreed; nobody had noted what was asked or which rules
 * judged.
 */
export function upConsult(stored: Stored): Consult {
  if (stored.v !== 1) return stored as unknown as Consult; // version 2 is written by this program only
  // version 1 held these two beside the rest
  const { agreed, tweezingAllowed, ...rest } = stored as unknown as Readonly<Record<string, unknown>>;
  return {
    ...rest,
    v: 2,
    asked: [],
    unsure: [],
    spots: [],
    services: [],
    overrides: [],
    judged: null,
    agreed: { howMuch: [], coldPack: false, company: 'either', tweezing: tweezingAllowed, words: agreed },
  } as unknown as Consult; // the rest of version 1 is unchanged in version 2
}

/** The studio's settings: what counted in the comparison was kept as weights of a sum once. */
export function upSettings(stored: StudioSettings & { readonly weights?: FormerWeights }): StudioSettings {
  const { weights, ...rest } = stored;
  return weights === undefined || rest.choosing !== undefined
    ? rest
    : { ...rest, choosing: fromFormerWeights(weights) };
}

/** A card of which nothing is known yet. */
export const EMPTY_PROFILE: ClientProfile = {
  v: 2,
  statureCm: null,
  massKg: null,
  sensitivity: 3,
  skin: 'normal',
  ingrownProne: false,
  standing: [],
  reactions: [],
  patchTests: [],
  consentOn: null,
  guardianConsentOn: null,
  blackout: [],
};

/** Client's profile 1 → 2: reactions and patch tests begin empty. */
export function upProfile(stored: Stored): ClientProfile {
  if (stored.v !== 1) return stored as unknown as ClientProfile; // version 2 is written by this program only
  // the rest of version 1 is unchanged in version 2
  return { ...stored, v: 2, reactions: [], patchTests: [] } as unknown as ClientProfile;
}

/** What older plans did not say of a heat or an option; their own figures stay. */
const HANDS_BEFORE = { pressS: USUAL_PRESS_S, smallStrips: false, onePass: false };
const HEAT_BEFORE = {
  limitC: 0,
  bounds: { low: '', high: '' },
  learned: null,
  asked: null,
  coats: [],
  restMaxS: null,
  rest: null,
};

const OPTION_BEFORE = {
  feltMarginK: null,
  cost: 0,
  parts: { minutes: 0, load: 0, broken: 0, left: 0, tweezed: 0, material: 0 },
  preferred: [],
  holdShift: 0,
};

/** What was worked together, as plans of before had it. */
interface GroupBefore {
  readonly product: string;
  readonly strips: readonly string[];
  readonly touchC?: number | null;
  readonly potC?: number | null;
  readonly coolS?: number;
}

/** Nobody had said how the client lies, nor planned an order to remember: nothing is turned and nothing is said. */
function upSchedule(schedule: Plan['schedule'], zones: Plan['zones']): Plan['schedule'] {
  const { groups, ...rest } = schedule as Plan['schedule'] & { readonly groups?: readonly GroupBefore[] };
  if (groups === undefined) return rest;
  const rounds = groups.map((g): PlanRound => {
    const own = new Set(g.strips);
    const times = schedule.events.filter((e) => e.strip !== null && own.has(e.strip));
    const keys = zones.filter((z) => z.strips.some((s) => own.has(s.id))).map(zoneKey);
    return {
      ...{ position: 'face-up', product: g.product, zones: keys, strips: g.strips },
      ...{ fromS: times[0]?.atS ?? 0, toS: Math.max(0, ...times.map((e) => e.atS + e.forS)) },
      ...{ touchC: g.touchC ?? null, potC: g.potC ?? null, coolS: g.coolS ?? 0 },
      ...{ parts: [{ zones: keys, pattern: null, sides: null }], stands: '', says: [] },
    };
  });
  return { ...rest, poseS: 0, quickestS: schedule.endS, rounds };
}

/**
 * A kept plan from before hair could cross, places had names and heat was learned: nothing crossed, no place is named,
 * nothing learned.
 */
export const upPlan = (plan: Plan): Plan => ({
  ...plan,
  returnNote: plan.returnNote ?? null,
  regrowth: plan.regrowth.map((r) => ({ ...{ doubts: [] }, ...r })),
  time: {
    ...{ allMinutes: plan.time.tableMinutes, layPullMinutes: Math.round(plan.schedule.endS / 6) / 10 },
    ...plan.time,
  },
  schedule: upSchedule(plan.schedule, plan.zones),
  zones: plan.zones.map((z) => ({
    ...{
      basis: 'reference-adult' as const,
      crossingShare: 0,
      better: [],
      byHand: false,
      stripFaults: [],
      fade: false,
      hands: HANDS_BEFORE,
      agreed: '',
      hairs: 0,
      line: { lengthCm: 0, hairs: 0 },
      keep: [],
    },
    ...z,
    heat: z.heat && { ...HEAT_BEFORE, ...z.heat },
    choice: z.choice && { ...{ because: [] }, ...z.choice },
    options: z.options.map((o) => ({
      ...OPTION_BEFORE,
      ...{ allMinutes: o.tableMinutes, leftHairs: o.toTweeze, tweezed: o.toTweeze },
      ...o,
    })),
    strips: z.strips.map((s) => ({
      ...{
        number: 1 + z.strips.filter((o) => o.order < s.order).length,
        place: null,
        crossing: null,
        pulls: 1,
        pace: 'quick' as const,
        handwork: null,
        turnDeg: 0,
        byEye: false,
        dab: false,
        spreadWith: null,
        density: null,
      },
      ...s,
    })),
  })),
});
