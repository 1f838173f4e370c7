// The options of one zone with strips, minutes and use behind each: layouts are shared between products of a family.

import { scheduleHands } from '../hands';
import { learnGrowth, MEDIAN_PERSON, observationsOf, type LearnedGrowth } from '../hair';
import { massUsedG } from '../materials';
import { learnFelt } from '../heat';
import {
  evaluateAll,
  matchOptions,
  sugarWayFor,
  whatElse,
  type MatchInput,
  type StripFacts,
  type Matters,
  type WhatElse,
  type ZoneMatch,
} from '../matching';
import { mannerName, type Product, type Way } from '../products';
import { isSpread } from '../strips';
import type { ZoneJudgement } from '../screening';
import { pressFor, stripJobs } from './stripJobs';
import type { PlanMemory } from './planMemory';
import type { ClientCase, StudioFacts } from './visitCase';
import type { ZoneWork } from './zoneWork';

/** Layout that stands for a way in the comparison: the ways of one family differ little in their count of strips. */
function standFor(product: Product, way: Way, usualSugar: Way): Way {
  if (product.family === 'hard') return 'with';
  return product.family === 'sugar' ? usualSugar : way;
}

/** The zone's usual course. */
export const NOTHING_LEARNED: LearnedGrowth = { person: MEDIAN_PERSON, visits: 0, rateBand: [1, 1, 1, 1], doubts: [] };

export function learnedOf(work: ZoneWork, on: string, memory: PlanMemory): LearnedGrowth {
  const seen = observationsOf(work.hair, on);
  return memory.learned(JSON.stringify([work.zone.id, work.hair.history, seen]), () =>
    learnGrowth(work.zone.growth, work.hair.history, seen),
  );
}

export interface ZoneOptionsInput {
  readonly work: ZoneWork;
  readonly on: string;
  readonly client: ClientCase;
  readonly studio: StudioFacts;
  readonly judgement: ZoneJudgement;
  readonly learned: LearnedGrowth;
  readonly memory: PlanMemory;
  readonly choiceOnly: boolean;
  readonly matters: Matters | undefined;
}

export function zoneOptions({
  work,
  on,
  client,
  studio,
  judgement,
  learned,
  memory,
  choiceOnly,
  matters,
}: ZoneOptionsInput): {
  readonly found: ZoneMatch;
  readonly match: MatchInput;
  readonly else: readonly WhatElse[];
} {
  const seconds = new Map<string, number>();
  const usualSugar: Way = sugarWayFor(work.zone, studio.schools) === 'hand' ? 'moulded' : 'strip';
  const stripFacts: MatchInput['stripFacts'] = (product, way, { coats, setS, rest, thicknessMm }): StripFacts => {
    const layout = work.ownLayout(product, standFor(product, way, usualSugar));
    const manner = mannerName(product.family, way);
    const key = [product.family, manner, coats, setS.min, setS.max, JSON.stringify(rest)].join('|');
    let scheduleS = seconds.get(key);
    if (scheduleS === undefined) {
      const jobs = stripJobs({
        strips: layout.strips,
        side: work.input.side,
        manner,
        coats,
        setS,
        rest,
        level: studio.level,
        face: work.zone.face,
        zone: work.zone.id,
        family: product.family,
        coarseness: work.hair.coarseness,
        spread: isSpread(work.zone, product.family, way),
        pressS: pressFor(judgement.pressS),
      });
      const task = { jobs, maxOnSkin: studio.maxOnSkin, walkS: studio.walkS };
      scheduleS = memory.schedules(JSON.stringify(['quick', task]), () => scheduleHands(task, 'quick')).endS;
      seconds.set(key, scheduleS);
    }
    const massG = layout.strips.reduce(
      (s, strip) => s + massUsedG({ product, manner, areaCm2: strip.areaCm2, thicknessMm, coats }),
      0,
    );
    return {
      strips: layout.strips.length,
      scheduleS,
      massG,
      meanAngleErrorDeg: layout.cover.meanAngleErrorDeg + work.crossing.addsDeg,
    };
  };
  const force =
    work.input.product === undefined && work.input.way === undefined
      ? undefined
      : { product: work.input.product, way: work.input.way };
  const match: MatchInput = {
    on,
    zone: work.zone,
    hair: work.hair,
    sensitivity: client.sensitivity ?? 3,
    skin: client.skin ?? 'normal',
    ingrownProne: client.ingrownProne ?? false,
    roomC: studio.roomC,
    schools: studio.schools,
    judgement,
    products: studio.products,
    hairAreaCm2: work.hairAreaCm2,
    hairsPerCm2: work.hairsPerCm2,
    lineHairs: work.line.hairs,
    rateMmPerDay: work.zone.growth.rateMmPerDay * learned.person.rateFactor,
    stripFacts,
    knownProducts: client.knownProducts,
    reactedTo: client.reactedTo,
    crossingShare: work.crossing.share,
    windows: memory.windows,
    heats: memory.heats,
    coats: memory.coats,
    feltShiftK: learnFelt(client.heatFelt ?? []).shiftK,
    heat: work.input.heat,
    counts: studio.counts,
    preferences: studio.preferences,
    leftovers: studio.leftovers,
    hold: studio.hold,
    matters,
    worked: work.input.worked,
    ...(force ? { force } : {}),
  };
  const all = evaluateAll(match);
  const found = matchOptions(match, all);
  return { found, match, else: choiceOnly ? [] : whatElse(match, all, found) };
}
