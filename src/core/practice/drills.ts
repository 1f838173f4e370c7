// Short questions from the trade, made anew from a seed: may this person be waxed today (the screening's own rules),
// what went wrong with this strip (the simulator), what to do about what is left, which way the pot must go.

import { ZONES, type ZoneId } from '../anatomy';
import type { Hair } from '../hair';
import { FACTS, judge, type Judgement, OUTCOMES, type Fact } from '../screening';
import { addDays, clamp, rotate, seededRandom, type Random, type Vec } from '../shared';
import { heatOfAct, windowOf } from './actHeat';
import { DECISIONS } from './decide';
import { choice } from './drillChoice';
import { order, ORDER_LEVELS, rightLetter, type OrderLevel } from './drillOrder';
import { after, AFTERS, product, RIGHT_AFTER, SEEN_FAULTS, strip, type After, type SeenFault } from './drillStrips';
import { practicePiece } from './levels';
import { rhythmFault, strokesOf } from './rhythm';
import { wristAt } from './signs';
import {
  EDGES,
  LENGTHS_MM,
  LETTERS,
  POT_ANSWERS,
  TOWARDS,
  WAX_ANSWERS,
  type Drill,
  type Edge,
  type LengthMm,
  type PotAnswer,
  type WaxAnswer,
} from './drillTypes';

/** Facts that are asked about: what nothing hangs on is no question. */
const ASKED_FACTS: readonly Fact[] = FACTS.filter(
  (f) => !['minor', 'numb-skin', 'allergy-glove', 'earlier-reaction', 'permanent-makeup', 'faint'].includes(f),
);
const ZONES_ASKED: readonly [ZoneId, ...ZoneId[]] = [
  'lower-leg-front',
  'underarm',
  'forearm',
  'upper-lip',
  'upper-back',
];

const GROUPS: readonly (readonly string[])[] = [
  SEEN_FAULTS.map((f) => `strip:${f}`),
  ASKED_FACTS.map((f) => `today:${f}`),
  POT_ANSWERS.map((p) => `pot:${p}`),
  AFTERS.map((a) => `after:${a}`),
  EDGES.map((e) => `way:${e}`),
  LENGTHS_MM.map((l) => `length:${l}`),
  WAX_ANSWERS.map((w) => `product:${w}`),
  ORDER_LEVELS.map((l) => `order:${l}`),
  EDGES.map((e) => `rhythm:${e}`),
];
/** Everything that can be asked, each a skill of its own, one of each kind after the other. */
export const SKILLS: readonly string[] = Array.from({ length: Math.max(...GROUPS.map((g) => g.length)) }, (_, k) =>
  GROUPS.flatMap((g) => g[k] ?? []),
).flat();

/** A day to be asked on: the questions know no clock. */
const ASKED_ON = '2027-03-15';
const LATELY = [1, 3, 5, 10, 40, 300] as const;

const CALM: Hair = { lengthMm: 8, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };

function judgedOn(fact: Fact, zone: ZoneId, daysAgo: number): Judgement {
  return judge({
    ...{ on: ASKED_ON, consent: true, guardianConsent: false, ageYears: 34, sensitivity: 2 },
    facts: [{ fact, lastOn: addDays(ASKED_ON, -daysAgo) }],
    zones: [{ zone, side: 'left', hair: CALM }],
  });
}

function today(fact: Fact, random: Random): Drill {
  const zone = random.pick(ZONES_ASKED);
  const days = random.pick(LATELY);
  // how long ago is part of the question only where it changes the answer
  const tells = new Set(LATELY.map((d) => judgedOn(fact, zone, d).outcome)).size > 1;
  const judged = judgedOn(fact, zone, tells ? days : 1);
  const why = judged.reasons.filter((r) => r.fact === fact).map((r) => r.text);
  const daysAgo = tells ? days : null;
  return { kind: 'today', fact, daysAgo, zone, choices: OUTCOMES, right: judged.outcome, why };
}

function pot(answer: PotAnswer, seed: number, random: Random): Drill {
  const zone = random.pick(ZONES_ASKED);
  const p = product(random.pick(['film-hard', 'cream-hard']));
  const { scene } = practicePiece('first-steps', 'plain', seed);
  const here = { ...scene, zone };
  const window = windowOf(here, p, 'with');
  const off = { lay: 0, cooler: window.maxC - window.targetC + random.between(1, 6), warmer: 0 }[answer];
  const touchC = answer === 'warmer' ? window.minC - random.between(1, 5) : window.targetC + off;
  const slab = { product: p, way: 'with', coats: 1, touchC, thicknessMm: window.thicknessMm } as const;
  const overLimitK = Math.max(0, heatOfAct(here, slab).feltPeakC - window.limitC);
  const { flow, wrist } = wristAt(touchC, { window, overLimitK });
  return { kind: 'pot', product: p.name, zone, flow, wrist, choices: POT_ANSWERS, right: answer };
}

/** A forearm whose hair points to one edge, give or take; stroked once, along its line. */
function way(edge: Edge, seed: number, random: Random): Drill {
  const { scene } = practicePiece('first-steps', 'plain', seed);
  const [w, h] = ZONES[scene.zone].sheetCm;
  const turn = random.between(-25, 25);
  const strokes = [0.2, 0.5, 0.8].flatMap((u) =>
    [0.15, 0.5, 0.85].map((v) => ({ at: [u * w, v * h] as Vec, towards: rotate(TOWARDS[edge], turn) })),
  );
  const opposite = { up: 'down', down: 'up', left: 'right', right: 'left' } as const;
  const lay = random.next() < 0.5;
  const stroked = lay ? edge : opposite[edge];
  return { kind: 'way', scene: { ...scene, strokes }, acts: [], stroked, lay, choices: EDGES, right: edge };
}

/** Hair of one way, to be moulded and flicked off. */
function rhythm(edge: Edge, seed: number, random: Random): Drill {
  const { scene } = way(edge, seed, random) as Extract<Drill, { readonly kind: 'way' }>;
  return { kind: 'rhythm', scene, acts: [], growth: edge, choices: [], right: 'rhythm' };
}

const HAIRS_SHOWN = 14;

function length(mm: LengthMm, random: Random): Drill {
  const cv = 0.12;
  const lengthsMm = Array.from(
    { length: HAIRS_SHOWN },
    () => Number(mm) * (1 + cv * clamp(random.normal(), -1.5, 1.5)),
  );
  return { kind: 'length', lengthsMm, choices: LENGTHS_MM, right: mm };
}

const oneOf = <T extends string>(list: readonly T[], name: string | undefined): T | undefined =>
  list.find((x) => x === name);

interface Named {
  readonly fault?: SeenFault | undefined;
  readonly pot?: PotAnswer | undefined;
  readonly after?: After | undefined;
  readonly fact?: Fact | undefined;
  readonly edge?: Edge | undefined;
  readonly mm?: LengthMm | undefined;
  readonly wax?: WaxAnswer | undefined;
  readonly level?: OrderLevel | undefined;
  readonly rhythm?: Edge | undefined;
}

/** What a skill is about. Throws for one that there is not. */
function named(skill: string): Named {
  const [kind, name] = skill.split(':');
  switch (kind) {
    case 'strip':
      return { fault: oneOf(SEEN_FAULTS, name) };
    case 'pot':
      return { pot: oneOf(POT_ANSWERS, name) };
    case 'after':
      return { after: oneOf(AFTERS, name) };
    case 'today':
      return { fact: oneOf(ASKED_FACTS, name) };
    case 'way':
      return { edge: oneOf(EDGES, name) };
    case 'length':
      return { mm: oneOf(LENGTHS_MM, name) };
    case 'product':
      return { wax: oneOf(WAX_ANSWERS, name) };
    case 'order':
      return { level: oneOf(ORDER_LEVELS, name) };
    case 'rhythm':
      return { rhythm: oneOf(EDGES, name) };
    default:
      throw new Error(`no such skill: ${skill}`);
  }
}

/** The question of a skill, another one for every seed; takes some tenths of a second. */
export function drillOf(skill: string, seed: number): Drill {
  const random = seededRandom(seed);
  const of = named(skill);
  if (of.fault) return strip(of.fault, seed, random);
  if (of.pot) return pot(of.pot, seed, random);
  if (of.after) return after(of.after, seed);
  if (of.edge) return way(of.edge, seed, random);
  if (of.mm) return length(of.mm, random);
  if (of.fact) return today(of.fact, random);
  if (of.wax) return choice(of.wax, seed, random);
  if (of.level) return order(of.level, seed, random);
  if (of.rhythm) return rhythm(of.rhythm, seed, random);
  throw new Error(`no such skill: ${skill}`);
}

/** What may be answered to it and what is right, without making the whole question. */
export function answersTo(
  skill: string,
  seed: number,
): { readonly choices: readonly string[]; readonly right: readonly string[] } {
  const of = named(skill);
  if (of.fault) return { choices: SEEN_FAULTS, right: [of.fault] };
  if (of.pot) return { choices: POT_ANSWERS, right: [of.pot] };
  if (of.after) return { choices: DECISIONS, right: RIGHT_AFTER[of.after] };
  if (of.edge) return { choices: EDGES, right: [of.edge] };
  if (of.mm) return { choices: LENGTHS_MM, right: [of.mm] };
  if (of.wax) return { choices: WAX_ANSWERS, right: [of.wax] };
  if (of.level) return { choices: LETTERS, right: [rightLetter(seed)] };
  if (of.rhythm) return { choices: [], right: [] };
  if (!of.fact) throw new Error(`no such skill: ${skill}`);
  const drill = today(of.fact, seededRandom(seed));
  return { choices: OUTCOMES, right: OUTCOMES.filter((o) => isRight(drill, o)) };
}

/** True where an answer is right. */
export function isRight(drill: Drill, answer: string): boolean {
  if (drill.kind === 'rhythm') return isInRhythm(answer);
  return typeof drill.right === 'string' ? drill.right === answer : drill.right.some((r) => r === answer);
}

function isInRhythm(word: string): boolean {
  const strokes = strokesOf(word);
  return strokes !== null && rhythmFault(strokes) === null;
}

/** Is an answer right? Null where it is none of this question’s; throws for a skill that there is not. */
export function judgeAnswer(skill: string, seed: number, answer: string): boolean | null {
  if (named(skill).rhythm) return strokesOf(answer) === null ? null : isInRhythm(answer);
  const { choices, right } = answersTo(skill, seed);
  return choices.includes(answer) ? right.includes(answer) : null;
}
