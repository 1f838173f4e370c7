// From stored records to a visit case and its plan. Plans are kept by the hash of their case: the same case is never
// planned twice.

import { createHash } from 'node:crypto';
import { offeredChoice } from '../../core/agreement';
import { zoneKey, ZONES, type Side, type ZoneId } from '../../core/anatomy';
import type { Hold } from '../../core/matching';
import { outcomesWithLine, resolveKeep, ringOfLine, usualOutcome, type DrawnOn } from '../../core/outcomes';
import { judgeCase, type ClientCase, type Plan, type VisitCase, type ZoneCase } from '../../core/plan';
import { allowsThickness, type Product, type Way } from '../../core/products';
import type { RuleChange } from '../../core/screening';
import { roundTo, yearsBetween, type Vec } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import type { ChartData, Consult } from '../db/schema';
import type { ClientRow } from '../repos/clientRepo';
import type { PersonRow, StudioRow } from '../repos/studioRepo';
import type { PlanOwner } from '../repos/planRepo';
import { enginesVersion } from '../planning/engines';
import { knownFaults, makePlan, shelvedPlan, type PlanFault } from '../planning/planner';
import type { Priority } from '../planning/planQueue';
import { PlanWanted } from '../planning/planWanted';
import { bodyOf, chartOnSheet } from './chartOnSheet';
import type { ZonePast } from './history';

export interface CaseParts {
  readonly on: string;
  readonly client: ClientRow;
  readonly consult: Pick<
    Consult,
    'facts' | 'consent' | 'guardianConsent' | 'sensitivity' | 'overrides' | 'matters' | 'order' | 'agreed'
  >;
  readonly rules: readonly RuleChange[];
  /** Products this client has met; null = not known. */
  readonly knownProducts: readonly string[] | null;
  /** How warm wax felt at past visits. */
  readonly heatFelt: NonNullable<ClientCase['heatFelt']>;
  readonly studio: StudioRow;
  /** What the studio's read strips say of each body's hold. */
  readonly hold: Hold;
  readonly person: PersonRow;
  readonly products: readonly Product[];
  readonly zones: readonly {
    readonly zone: ZoneId;
    readonly side: Side;
    readonly data: ChartData;
    readonly past: ZonePast | undefined;
    /** When it was last worked before this book. */
    readonly workedOn?: string | undefined;
    /** Used here last time, where that went well. */
    readonly worked?: ZoneCase['worked'];
  }[];
}

/**
 * True where the slab asked for by hand lies within the product's label, none was asked for, or the product has left
 * the shelf.
 */
export function slabFits(
  { product, thicknessMm }: NonNullable<ChartData['heat']>,
  products: readonly Product[],
): boolean {
  const found = products.find((p) => p.id === product);
  return !found || thicknessMm === undefined || allowsThickness(found.manners, thicknessMm);
}

/** What was asked for by hand, as far as the product's label still allows it: a label may have been corrected since. */
function heatWish(data: ChartData, products: readonly Product[]): { readonly heat?: NonNullable<ZoneCase['heat']> } {
  const { heat } = data;
  if (!heat || !products.some((p) => p.id === heat.product)) return {};
  const thicknessMm = slabFits(heat, products) ? heat.thicknessMm : undefined;
  if (thicknessMm === undefined && heat.touchC === undefined) return {};
  return {
    heat: {
      product: heat.product,
      ...(thicknessMm === undefined ? {} : { thicknessMm }),
      ...(heat.touchC === undefined ? {} : { touchC: heat.touchC }),
    },
  };
}

function zoneCase(
  { zone, side, data, past, worked, workedOn }: CaseParts['zones'][number],
  on: string,
  products: readonly Product[],
): ZoneCase {
  // what was taken by hand once may have left the shelf since: then the proposal stands again
  const stocked = (id: string | null | undefined): boolean => products.some((p) => p.id === id);
  const lastOn = past?.lastOn ?? workedOn;
  const older = (past?.past ?? []).filter((p) => p.on < on);
  return {
    zone,
    side,
    hair: {
      ...data.hair,
      ...(lastOn !== undefined && lastOn <= on ? { lastWaxOn: lastOn } : {}),
      ...(older.length > 0 ? { past: older } : {}),
    },
    ...(data.strokes.length > 0 ? { strokes: data.strokes } : {}),
    ...(data.marks.length > 0
      ? {
          marks: data.marks.map(({ kind, at, radiusMm, note, since }) => ({
            kind,
            at,
            radiusMm,
            ...(note ? { note } : {}),
            ...(since ? { since } : {}),
          })),
        }
      : {}),
    ...(data.densities && data.densities.length > 0 ? { densities: data.densities } : {}),
    ...(data.sheetCm ? { sheetCm: data.sheetCm } : {}),
    ...(data.product && stocked(data.product) ? { product: data.product } : {}),
    // checked by the request's schema
    ...(data.way && (!data.product || stocked(data.product)) ? { way: data.way as Way } : {}),
    ...(worked && stocked(worked.product) ? { worked } : {}),
    ...heatWish(data, products),
    ...(data.position ? { position: data.position } : {}),
    ...(data.handStrips ? { handStrips: data.handStrips } : {}),
  };
}

/** What counts and is preferred at this practitioner's table. */
function choosingOf({ settings }: StudioRow, personId: string): Partial<NonNullable<VisitCase['studio']>> {
  const { firstOf, ...choosing } = settings.choosing ?? {};
  const first = firstOf?.[personId];
  return first ? { ...choosing, preferences: { ...choosing.preferences, first } } : choosing;
}

type Charted = CaseParts['zones'][number];

/** What was agreed, where the zone knows it, and the lines that were drawn for it. */
function stays(agreed: Consult['agreed'], at: Charted, charts: readonly Charted[]): Pick<ZoneCase, 'outcome' | 'keep'> {
  const { zone, side } = at;
  const choice = agreed.howMuch.find((h) => zoneKey(h) === zoneKey(at))?.choice;
  const known = offeredChoice(zone, choice);
  const outcome = known === undefined ? {} : { outcome: known };
  if (!outcomesWithLine(zone).includes(known ?? usualOutcome(zone))) return outcome;
  const own = drawnOn(at);
  const other = charts.find((z) => z.zone === zone && z.side !== side);
  const found = resolveKeep({ zone, side, outcome: known ?? usualOutcome(zone) }, own, other && drawnOn(other));
  if (found.by === 'agreed') return outcome;
  const rounded = ([x, y]: Vec): Vec => [roundTo(x, 3), roundTo(y, 3)];
  return { ...outcome, keep: found.lines.map((l) => ({ outline: ringOfLine(l, own.sheet).map(rounded) })) };
}

/** What was drawn on a chart, and the sheet that it has by now. */
function drawnOn({ zone, data }: Charted): DrawnOn {
  const [widthCm, heightCm] = data.sheetCm ?? data.drawnOnCm ?? ZONES[zone].sheetCm;
  return { drawn: data.keep, sheet: { widthCm, heightCm } };
}

/** The case in the open format; "export case" writes this very value. */
export function buildCase(parts: CaseParts): VisitCase {
  const { client, consult, studio, person, products } = parts;
  const { profile } = client;
  const body = bodyOf(client);
  const charts = parts.zones.map((z) => ({ ...z, data: chartOnSheet(z.zone, z.side, z.data, body) }));
  const reacted = [
    ...new Set([
      ...profile.patchTests.filter((t) => t.result === 'reacted').map((t) => t.product),
      ...profile.reactions.flatMap((r) => r.product ?? []),
    ]),
  ];
  // a zone given up since is passed over
  const order = (consult.order ?? []).filter((key) => parts.zones.some((z) => zoneKey(z) === key));
  const age = client.bornOn && client.bornOn < parts.on ? yearsBetween(client.bornOn, parts.on) : undefined;
  return {
    version: 1,
    on: parts.on,
    ...(consult.matters ? { matters: consult.matters } : {}),
    ...(order.length > 0 ? { order } : {}),
    client: {
      ...body,
      ...(age === undefined ? {} : { ageYears: age }),
      sensitivity: consult.sensitivity,
      skin: profile.skin,
      ingrownProne: profile.ingrownProne,
      consent: consult.consent,
      guardianConsent: consult.guardianConsent,
      screening: consult.facts,
      blackout: profile.blackout,
      ...(consult.overrides.length === 0
        ? {}
        : {
            overrides: consult.overrides.map((o) => ({
              code: o.code,
              reason: o.reason,
              ...(o.zone === null ? {} : { zone: o.zone }),
            })),
          }),
      ...(parts.knownProducts === null ? {} : { knownProducts: parts.knownProducts }),
      ...(reacted.length === 0 ? {} : { reactedTo: reacted }),
      ...(parts.heatFelt.length === 0 ? {} : { heatFelt: parts.heatFelt }),
    },
    studio: {
      roomC: studio.settings.roomC,
      humidityPct: studio.settings.humidityPct,
      level: person.level,
      walkS: studio.settings.walkS,
      schools: studio.settings.schools,
      ...choosingOf(studio, person.id),
      ...(Object.keys(parts.hold).length === 0 ? {} : { hold: parts.hold }),
      products: products.map((p) => p.id),
      ...(parts.rules.length === 0 ? {} : { rules: parts.rules }),
    },
    zones: charts.map((z) => ({ ...zoneCase(z, parts.on, products), ...stays(consult.agreed, z, charts) })),
  };
}

const EMPTY_PLAN = (on: string, currency: string): Plan => ({
  version: 1,
  on,
  screening: { outcome: 'go', earliestOn: null, reasons: [], ruleSet: '' },
  zones: [],
  schedule: {
    endS: 0,
    lowerBoundS: 0,
    bound: 'proven',
    maxOnSkin: 1,
    walkS: 0,
    poseS: 0,
    quickestS: 0,
    rounds: [],
    events: [],
  },
  materials: [],
  time: {
    tableMinutes: 0,
    allMinutes: 0,
    layPullMinutes: 0,
    bookingMinutes: 0,
    parts: { prepareMin: 0, layPullMin: 0, readMin: 0, finishMin: 0, turnoverMin: 0 },
  },
  cost: { materialsMinor: 0, currency },
  care: [],
  regrowth: [],
  returnOn: null,
  returnNote: null,
});

export interface PlannedCase {
  /** The empty plan where there are faults, or where it is still coming. */
  readonly plan: Plan;
  readonly hash: string;
  /** Faults of meaning; then the plan is empty. */
  readonly faults: readonly PlanFault[];
  /** Settles when the plan is on the shelf; null where it is there. */
  readonly coming: Promise<void> | null;
}

export interface PlanUse {
  readonly owner: PlanOwner;
  readonly priority: Priority;
}

interface Hashed {
  readonly visitCase: VisitCase;
  readonly hash: string;
}
/** Of parts that were asked for before: they are never changed. */
const hashed = new WeakMap<CaseParts, Hashed>();

/** The case of these parts and the hash under which its plan lies: the engines, the products and every fact count. */
export function caseOf(parts: CaseParts): Hashed {
  const known = hashed.get(parts);
  if (known) return known;
  const visitCase = buildCase(parts);
  const hash = createHash('sha256')
    .update(JSON.stringify([enginesVersion(), parts.studio.currency, visitCase, parts.products]))
    .digest('hex');
  hashed.set(parts, { visitCase, hash });
  return { visitCase, hash };
}

/**
 * Plan of the parts: from the shelf, or made. Where plans are made in threads a new one is coming, and the plan is
 * empty until then. The field is left out: the chart computes it where it is drawn.
 */
export function planCase(db: Db, parts: CaseParts, nowMs: number, use: PlanUse): PlannedCase {
  const { currency } = parts.studio;
  const empty = EMPTY_PLAN(parts.on, currency);
  if (parts.zones.length === 0) return { plan: empty, hash: '', faults: [], coming: null };
  const { visitCase, hash } = caseOf(parts);
  const kept = shelvedPlan(db, hash);
  if (kept) return { plan: kept, hash, faults: [], coming: null };
  const job = { hash, visitCase, currency, catalogue: parts.products, ...use };
  const faults = knownFaults(job);
  if (faults.length > 0) return { plan: empty, hash: '', faults, coming: null };
  const made = makePlan(db, job, nowMs);
  switch (made.kind) {
    case 'made':
      return { plan: made.plan, hash, faults: [], coming: null };
    case 'faults':
      return { plan: empty, hash: '', faults: made.faults, coming: null };
    case 'coming':
      return { plan: { ...empty, screening: screeningOf(visitCase) }, hash, faults: [], coming: made.made };
  }
}

/** The plan of the parts if it is on the shelf; none is made for this. */
export function shelvedCase(db: Db, parts: CaseParts): PlannedCase | undefined {
  const { hash } = caseOf(parts);
  const plan = parts.zones.length === 0 ? undefined : shelvedPlan(db, hash);
  return plan && { plan, hash, faults: [], coming: null };
}

/** What the screening says, which needs no planning. */
export function screeningOf(visitCase: VisitCase): Plan['screening'] {
  const { outcome, earliestOn, reasons, ruleSet } = judgeCase(visitCase);
  return { outcome, earliestOn, reasons, ruleSet };
}

/** The same for a use case that cannot go on without it. */
export function neededPlan(db: Db, parts: CaseParts, nowMs: number, use: PlanUse): PlannedCase {
  const planned = planCase(db, parts, nowMs, use);
  if (planned.coming) throw new PlanWanted(planned.coming);
  return planned;
}

export const zoneName = (zone: ZoneId): string => ZONES[zone].name;
