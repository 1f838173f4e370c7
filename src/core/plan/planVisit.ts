// Case → plan: screening, then per zone sheet, field, options; the choice for all zones together; strips, schedule,
// use, time, cost, care, regrowth and return. Pure and deterministic; composes the other rooms and adds no model of its
// own.

import type { Family } from '../anatomy';
import { careList, noReturnWhy, returnDate } from '../care';
import { bookingMinutes, materialsFor, tableMinutes, totalMinor, visitParts } from '../materials';
import { chooseTogether, type Option, type VisitChoice } from '../matching';
import { mannerName, SHIPPED_PRODUCTS, type Product } from '../products';
import type { LearnedGrowth } from '../hair';
import { isStopped, judge, ruleSetOf, type Judgement, type ZoneJudgement } from '../screening';
import { isSpread, type HandLevel } from '../strips';
import { fail, ok, roundTo, type CoreError, type Result } from '../shared';
import { caseFaults, type CaseFault } from './checkCase';
import { planMemory, type PlanMemory } from './planMemory';
import type { Plan } from './planTypes';
import { pressFor, stripJobs } from './stripJobs';
import { blackoutsOf, studioFacts, type VisitCase } from './visitCase';
import { visitSchedule, type VisitZone } from './visitSchedule';
import { placesOf } from './stripPlaces';
import { roundWords } from './roundWords';
import { learnedOf, NOTHING_LEARNED, zoneOptions } from './zoneOptions';
import { atPotHeat, potStages, potWords } from './potHeat';
import { planRegrowth } from './regrowthPlan';
import { returnWindows } from './returnWindows';
import { planZone } from './zonePlan';
import { hairOf, prepareZone, type ZoneWork } from './zoneWork';

export interface CaseError extends CoreError {
  readonly details: readonly CaseFault[];
}

export interface PlanSettings {
  /** Adds the growth field on a grid of ≤ 1 cm. */
  readonly withField?: boolean;
  readonly currency?: string;
  /** The studio's own products; the shipped catalogue otherwise. */
  readonly catalogue?: readonly Product[];
  /** What was computed before, for a process that plans again and again. */
  readonly memory?: PlanMemory;
}

/** Under this, marks leave nothing that a strip could take. */
const LEAST_HAIR_CM2 = 0.3;
const CLOTH_REUSE: Readonly<Record<Family, number>> = { hard: 1, soft: 1, sugar: 4 };

/** Screening of a case alone, e.g. for the consultation's answer. */
export function judgeCase(visit: VisitCase): Judgement {
  const { client } = visit;
  const ruleSet = ruleSetOf(visit.studio?.rules ?? []);
  return judge({
    ruleSet: ruleSet.ok ? ruleSet.value : undefined,
    overrides: client.overrides,
    on: visit.on,
    consent: client.consent,
    guardianConsent: client.guardianConsent ?? false,
    ageYears: client.ageYears,
    sensitivity: client.sensitivity ?? 3,
    facts: client.screening ?? [],
    zones: visit.zones.map((z) => ({ zone: z.zone, side: z.side, hair: hairOf(z), marks: z.marks })),
  });
}

/** A visit as far as the choice: every zone with its options, and what is taken for all of them together. */
export interface ChosenVisit {
  readonly studio: ReturnType<typeof studioFacts>;
  readonly judgement: Judgement;
  readonly memory: PlanMemory;
  readonly zones: readonly ({
    readonly work: ZoneWork;
    readonly judgement: ZoneJudgement;
    readonly learned: LearnedGrowth;
  } & ReturnType<typeof zoneOptions>)[];
  readonly choices: readonly (VisitChoice | null)[];
}

export interface ChooseSettings extends PlanSettings {
  /**
   * Only the choice counts: growth is not learned and nothing is looked for that would be better later or elsewhere.
   */
  readonly choiceOnly?: boolean;
}

/** Chooses for a visit without laying out its table. Errors as of `planVisit`. */
export function chooseVisit(visit: VisitCase, settings: ChooseSettings = {}): Result<ChosenVisit, CaseError> {
  const choiceOnly = settings.choiceOnly ?? false;
  const catalogue = settings.catalogue ?? SHIPPED_PRODUCTS;
  const memory = settings.memory ?? planMemory();
  const faults = caseFaults(visit, catalogue);
  if (faults.length > 0) return fail({ code: 'case.invalid', message: 'The case cannot be planned.', details: faults });
  const studio = studioFacts(visit.studio, catalogue);
  const judgement = judgeCase(visit);
  const works: ZoneWork[] = [];
  for (const [i, zone] of visit.zones.entries()) {
    const small = judgement.zones[i]?.smallStrips ?? false;
    const work = prepareZone(zone, i, visit.client, studio.level, memory, small);
    if (!work.ok) return fail({ ...work.error, details: [{ path: `zones[${i}]`, message: work.error.message }] });
    works.push(work.value);
  }
  const zones = works.flatMap((work, i) => {
    const own = judgement.zones[i];
    if (!own) return [];
    const learned = choiceOnly ? NOTHING_LEARNED : learnedOf(work, visit.on, memory);
    return [
      {
        work,
        judgement: own,
        learned,
        ...zoneOptions({
          work,
          on: visit.on,
          client: visit.client,
          studio,
          judgement: own,
          learned,
          memory,
          choiceOnly,
          matters: visit.matters,
        }),
      },
    ];
  });
  const choices = chooseTogether(
    zones.map((z) => ({
      zone: z.work.zone.id,
      side: z.work.input.side,
      match: z.found,
      stopped: isStopped(z.judgement.outcome) || z.work.hairAreaCm2 < LEAST_HAIR_CM2,
      force: z.match.force,
    })),
  );
  return ok({ studio, judgement, memory, zones, choices });
}

/**
 * Plans a visit. Error `case.invalid` with every fault of meaning and its path; the shape is checked before, at the
 * edge.
 */
export function planVisit(visit: VisitCase, settings: PlanSettings = {}): Result<Plan, CaseError> {
  const found = chooseVisit(visit, settings);
  if (!found.ok) return found;
  const { studio, judgement, memory, zones, choices } = found.value;
  const own = zones.map((z, i) => {
    const made = choices[i];
    return made ? { ...z, made, choice: made.option } : null;
  });
  const stages = potStages(own);
  const stageOf = (index: number): number => stages.findIndex((s) => s.zones.includes(index));
  const atHeat = own.map((z, i) => z && atPotHeat(z, stages[stageOf(i)]?.touchC ?? z.choice.window.targetC));
  const chosen = atHeat.flatMap((z, i) => (z ? [{ ...z, stage: stageOf(i) }] : []));
  const schedule = visitSchedule(
    chosen.map((z): VisitZone => visitZone(z, studio.level)),
    studio,
    { memory, stages, wish: wishedFirst(visit, chosen) },
  );
  const orderOf = new Map<string, number>();
  for (const e of schedule.events) {
    if (e.do === 'lay' && e.strip && !orderOf.has(e.strip)) orderOf.set(e.strip, orderOf.size + 1);
  }
  const planZones = zones.map((z, i) =>
    planZone({
      ...z,
      client: visit.client,
      memory,
      chosen: atHeat[i] ?? null,
      pot: potWords(
        stages,
        i,
        zones.map((other) => other.work.zone.id),
      ),
      orderOf,
      level: studio.level,
      withField: settings.withField ?? false,
    }),
  );
  const regrowth = zones.map((z, i) => planRegrowth(z, studio, visit.on, choices[i]?.option ?? null));
  const materials = materialsFor({
    strips: chosen.flatMap(({ work, choice }) =>
      work.layout(choice.product, choice.way).strips.map((s) => ({
        product: choice.product,
        manner: mannerName(choice.family, choice.way),
        areaCm2: s.areaCm2,
        thicknessMm: choice.window.thicknessMm,
        coats: choice.coats,
        ground: choice.ground,
      })),
    ),
    areaCm2: chosen.reduce((s, z) => s + z.work.hairAreaCm2, 0),
    prep: studio.schools.prep,
    clothReuse: Math.max(1, ...chosen.map((z) => CLOTH_REUSE[z.choice.family])),
  });
  const hairs = chosen.reduce((s, z) => s + z.choice.tweezed, 0);
  const laterS = chosen.reduce((s, z) => s + z.choice.laterS, 0);
  const newcomer = visit.zones.every((z) => (z.hair.history ?? 'regular') === 'first');
  const parts = visitParts({ scheduleS: schedule.endS, laterS, hairs, zones: chosen.length, newcomer });
  const windows = returnWindows(
    zones.map((z, i) => ({
      name: z.work.zone.name,
      side: z.work.input.side,
      family: (choices[i]?.option ?? z.found.options.find((o) => o.eligible))?.family,
    })),
    regrowth,
  );
  const blackouts = blackoutsOf(visit.client);
  const { endS, lowerBoundS, bound, quickestS, maxOnSkin, events } = schedule;
  const rounds = schedule.rounds.map((r) => ({ ...r, ...roundWords(r, planZones) }));
  return ok({
    version: 1,
    on: visit.on,
    screening: {
      outcome: judgement.outcome,
      earliestOn: judgement.earliestOn,
      reasons: judgement.reasons,
      ruleSet: judgement.ruleSet,
    },
    zones: planZones,
    schedule: {
      ...{ endS, lowerBoundS, bound, quickestS, maxOnSkin },
      ...{ walkS: studio.walkS, poseS: studio.poseS, rounds, events },
    },
    materials,
    time:
      chosen.length === 0
        ? {
            tableMinutes: 0,
            allMinutes: 0,
            layPullMinutes: 0,
            bookingMinutes: 0,
            parts: { prepareMin: 0, layPullMin: 0, readMin: 0, finishMin: 0, turnoverMin: 0 },
          }
        : {
            tableMinutes: roundTo(tableMinutes(endS, hairs), 1),
            allMinutes: roundTo(tableMinutes(endS + laterS, hairs), 1),
            layPullMinutes: roundTo((endS + laterS) / 60, 1),
            bookingMinutes: bookingMinutes(parts),
            parts,
          },
    cost: { materialsMinor: totalMinor(materials), currency: settings.currency ?? 'EUR' },
    care: careList(
      chosen.map((z) => z.work.zone.id),
      chosen.map((z) => z.choice.family),
    ),
    regrowth,
    returnOn: returnDate(windows, blackouts),
    returnNote: noReturnWhy(windows, blackouts),
  });
}

interface WorkedZone {
  readonly work: ZoneWork;
  readonly choice: Option;
  readonly judgement: ZoneJudgement;
  readonly stage: number;
}

/** Zones wished first, by their place among those that are worked. */
const wishedFirst = ({ order = [] }: VisitCase, chosen: readonly WorkedZone[]): readonly number[] =>
  order.flatMap((key) => {
    const at = chosen.findIndex((z) => z.work.key === key);
    return at < 0 ? [] : [at];
  });

function visitZone({ work, choice, judgement, stage }: WorkedZone, level: HandLevel): VisitZone {
  const { strips } = work.layout(choice.product, choice.way);
  const spread = isSpread(work.zone, choice.family, choice.way);
  return {
    zone: work.zone.id,
    side: work.input.side,
    product: choice.product.id,
    stage,
    position: work.input.position,
    places: placesOf(strips, { zone: work.zone.id, side: work.input.side, sheet: work.sheet, spread }),
    jobs: stripJobs({
      strips,
      side: work.input.side,
      manner: mannerName(choice.family, choice.way),
      coats: choice.coats,
      setS: choice.setS,
      rest: choice.rest,
      level,
      face: work.zone.face,
      zone: work.zone.id,
      family: choice.family,
      coarseness: work.hair.coarseness,
      spread,
      pressS: pressFor(judgement.pressS),
    }),
  };
}
