// Short questions from the trade, made anew from a seed: may this person be waxed today (the screening's own rules),
// what went wrong with this strip (the simulator), what to do about what is left, which way the pot must go.

import { ZONES, type ZoneId } from '../anatomy';
import type { Hair } from '../hair';
import { FACTS, judge, type Judgement, OUTCOMES, type Fact, type Outcome } from '../screening';
import { addDays, clamp, rotate, seededRandom, type Random, type Vec } from '../shared';
import { heatOfAct, windowOf } from './actHeat';
import { DECISIONS, type Decision, type DecisionReason } from './decide';
import { after, AFTERS, product, RIGHT_AFTER, SEEN_FAULTS, strip, type After, type SeenFault } from './drillStrips';
import { practicePiece } from './levels';
import type { Looked } from './practise';
import { wristAt, type Flow, type WristSays } from './signs';
import type { Act, FaultCode, Scene } from './types';

export const POT_ANSWERS = ['lay', 'cooler', 'warmer'] as const;
export type PotAnswer = (typeof POT_ANSWERS)[number];
export type Drill =
  | {
      readonly kind: 'today';
      readonly fact: Fact;
      /** Null where it makes no difference. */
      readonly daysAgo: number | null;
      readonly zone: ZoneId;
      readonly choices: readonly Outcome[];
      readonly right: Outcome;
      /** The rules’ own sentences. */
      readonly why: readonly string[];
    }
  | {
      readonly kind: 'strip';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      readonly looked: Looked;
      readonly choices: readonly FaultCode[];
      readonly right: SeenFault;
    }
  | {
      readonly kind: 'after';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      readonly looked: Looked;
      readonly choices: readonly Decision[];
      readonly right: readonly Decision[];
      readonly reason: DecisionReason;
    }
  | {
      readonly kind: 'pot';
      readonly product: string;
      readonly zone: ZoneId;
      readonly flow: Flow;
      readonly wrist: WristSays;
      readonly choices: readonly PotAnswer[];
      readonly right: PotAnswer;
    }
  | {
      readonly kind: 'way';
      readonly scene: Scene;
      readonly acts: readonly Act[];
      /** How it was stroked, and whether it lay down. */
      readonly stroked: Edge;
      readonly lay: boolean;
      readonly choices: readonly Edge[];
      readonly right: Edge;
    }
  | {
      readonly kind: 'length';
      /** Of each hair drawn, mm. */
      readonly lengthsMm: readonly number[];
      readonly choices: readonly LengthMm[];
      readonly right: LengthMm;
    };

export const EDGES = ['up', 'down', 'left', 'right'] as const;
/** Towards which edge of the sheet. */
export type Edge = (typeof EDGES)[number];
const TOWARDS: Readonly<Record<Edge, Vec>> = { up: [0, -1], down: [0, 1], left: [-1, 0], right: [1, 0] };
/** Lengths to tell apart by eye, mm. */
export const LENGTHS_MM = ['2', '4', '6', '9', '14'] as const;
export type LengthMm = (typeof LENGTHS_MM)[number];

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
  if (!of.fact) throw new Error(`no such skill: ${skill}`);
  const drill = today(of.fact, seededRandom(seed));
  return { choices: OUTCOMES, right: OUTCOMES.filter((o) => isRight(drill, o)) };
}

/** True where an answer is right. */
export const isRight = (drill: Drill, answer: string): boolean =>
  typeof drill.right === 'string' ? drill.right === answer : drill.right.some((r) => r === answer);
