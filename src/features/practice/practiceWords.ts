// What the practice room says: plain words of the trade, what to do and then why.

import { ZONES } from '@/core/anatomy';
import {
  LEVEL_FACTS,
  minutesFor,
  type Decision,
  type DecisionReason,
  type Differed,
  type Flow,
  type Piece,
  type Practised,
  type Sign,
  type SkinAnswer,
  type SoFar,
  type Why,
  type WristSays,
} from '@/core/practice';
import { sized } from '@/formats/size';
import { WAY_WORDS } from '@/core/matching';
import type { Product, Way } from '@/core/products';
import { STATIONS, workedS, type Practice, type Station } from './practiceState';

type FaultCode = Differed['code'];

export const STATION_NAMES: Readonly<Record<Station, string>> = {
  feel: 'Feel',
  choose: 'Choose',
  wrist: 'Wrist test',
  lay: 'Lay',
  wait: 'Wait',
  pull: 'Pull',
  look: 'Look',
};

export const SIGN_WORDS: Readonly<
  Record<Sign, { readonly act: string; readonly ready: string; readonly not: string }>
> = {
  thread: { act: 'Touch it', ready: 'no thread', not: 'a thread follows the finger' },
  dent: { act: 'Press a nail in', ready: 'hardly a dent', not: 'the nail sinks in' },
  tap: { act: 'Tap it', ready: 'taps dull and hard', not: 'taps soft' },
};

export const WRIST_WORDS: Readonly<Record<WristSays, string>> = {
  burns: 'It burns. Wipe it off, cold water, and never on a client.',
  'too-warm': 'Too warm on the wrist.',
  right: 'Pleasantly warm.',
  'too-cool': 'Hardly warm.',
};
export const FLOW_WORDS: Readonly<Record<Flow, string>> = {
  runs: 'It runs off the stick like water.',
  syrup: 'It leaves the stick slowly, like thick syrup.',
  stiff: 'It hardly leaves the stick.',
};

interface Told {
  /** In the heading: what you did. */
  readonly did: string;
  /** Why it tells. */
  readonly why: string;
  readonly tryThis: string;
}

export const FAULT_WORDS: Readonly<Record<FaultCode, Told>> = {
  lift: {
    did: 'You pulled upward',
    why: 'the lift. It bends each hair over the edge of its own root’s mouth, so it snaps.',
    tryThis: 'Keep your knuckles on the skin until the strip is off. The wrist leads, not the elbow.',
  },
  turned: {
    did: 'You pulled aside',
    why: 'the direction. A strip that is pulled aside draws the hair across its own root.',
    tryThis: 'Look where the lay began before you pull, and pull towards it.',
  },
  quick: {
    did: 'You tore it off',
    why: 'the speed. Fine hair breaks when it is torn.',
    tryThis: 'Draw fine hair off a little slower, just as flat.',
  },
  slow: {
    did: 'You pulled slowly',
    why: 'the speed. Drawn slowly the hair slips out of the wax.',
    tryThis: 'One brisk pull past the far edge.',
  },
  slack: {
    did: 'The skin was slack',
    why: 'the stretch. Slack skin travels with the strip: hair breaks, and it hurts more.',
    tryThis: 'The other hand first: taut, close to the tab, until the strip is off.',
  },
  'on-hair': {
    did: 'The pull began on hair',
    why: 'the tab. It stood on hair, and what stands there breaks at the start of the pull.',
    tryThis: 'Let the strip run a little past the hair, or end it on skin that is cleared.',
  },
  cool: {
    did: 'The wax was too cool',
    why: 'the heat. Wax that hardly flows does not wrap the hair.',
    tryThis: 'Warmer, and the wrist again.',
  },
  hot: {
    did: 'The wax was too hot',
    why: 'the heat. Wax that runs lies thin and grips little; and it burns.',
    tryThis: 'Cooler, stir, and the wrist again.',
  },
  early: {
    did: 'You pulled too early',
    why: 'the wait. It had not set: it drew strings and let the hair go.',
    tryThis: 'Wait until no thread follows the finger and it taps dull.',
  },
  late: {
    did: 'You waited too long',
    why: 'the wait. The slab was brittle: it cracked and left its end on the skin.',
    tryThis: 'Pull when the three signs are there, not after.',
  },
  thin: {
    did: 'The wax was thin',
    why: 'the thickness. Thin edges stay on the skin.',
    tryThis: 'A fuller stick, and one stroke.',
  },
  lay: {
    did: 'You laid across the growth',
    why: 'the lay. Laid across, wax wraps the hair from one side only.',
    tryThis: 'Feel again: stroke with the growth, and lay that way.',
  },
  damp: {
    did: 'The skin was damp',
    why: 'the skin. Wax does not grip on damp skin.',
    tryThis: 'Wipe, dry, powder.',
  },
  rub: {
    did: 'The cloth was not pressed on',
    why: 'the cloth. It must be rubbed on along the growth.',
    tryThis: 'Three firm strokes along the growth.',
  },
  untold: {
    did: 'She started at the pull',
    why: 'the surprise. Nobody counted her in: she started, and the skin slipped out of the hand.',
    tryThis: 'Count aloud, let her breathe out, and pull on the breath.',
  },
};

export const sheetName = ({ level }: Pick<Practice, 'level'>): string => {
  const { zone, side } = LEVEL_FACTS[level];
  return side === 'middle' ? ZONES[zone].name : `${ZONES[zone].name}, ${side}`;
};

export const choiceWords = (product: Product, way: Way): string => `${product.name}, ${WAY_WORDS[way] ?? way}`;

/** Of hair that was to stay. */
export const takenWords = (n: number): string =>
  n === 1 ? 'One hair came that was to stay' : `${n} hairs came that were to stay`;

/** What came of the strip, in one line. */
export function resultHeading({ answer, differed }: NonNullable<Practised['looked']>): string {
  const { out, broken, left, fates, skin, taken } = answer;
  const all = out + broken + left;
  if (skin.heat === 'burnt' || skin.heat === 'blistered') return 'That burns skin: stop here';
  if (skin.lifted > 0) return 'Skin lifted: stop here';
  if (fates.length === 0) return 'No hair stood under this strip';
  if (taken > out / 4) return takenWords(taken);
  const [most] = differed;
  if (!most || most.hairs < 2) return `${out} of ${all} with the root`;
  const what = broken >= left ? `${broken} of ${all} broke` : `${left} of ${all} stayed`;
  return `${FAULT_WORDS[most.code].did}: ${what}`;
}

const CAUSE_NAMES: Readonly<Record<FaultCode, string>> = {
  lift: 'pulled flat',
  turned: 'pulled along the line of the lay',
  quick: 'drawn a little slower',
  slow: 'pulled briskly',
  slack: 'with the skin held taut',
  'on-hair': 'with the tab on bare skin',
  cool: 'with warmer wax',
  hot: 'with cooler wax',
  early: 'once it had set',
  late: 'before it was brittle',
  thin: 'under thicker wax',
  lay: 'laid along its growth',
  damp: 'on dry skin',
  rub: 'with the cloth rubbed on',
  untold: 'with the pull counted in',
};

/** Why one hair stayed or broke. */
export function whyWords(
  { fate, causes, isTogether, isTooShort, stillInHundred, isGrowing }: Why,
  brokeAtMm: number | null,
): string {
  if (fate === 'not-under') return 'No wax lay on this hair.';
  if (fate === 'out') {
    return `It came out with its root${isGrowing ? ', a dark bulb at its end.' : ': a hair at rest, a small club at its end.'}`;
  }
  const where = brokeAtMm === null ? '' : `, about ${sized(brokeAtMm, 'mm', 1)} from its root`;
  const what = fate === 'broken' ? `It broke${where}.` : 'It stayed.';
  if (causes.length > 0) {
    const named = new Intl.ListFormat('en-GB', { type: 'disjunction' }).format(causes.map((c) => CAUSE_NAMES[c]));
    return `${what} ${named[0]?.toUpperCase()}${named.slice(1)} it would have come.`;
  }
  if (isTogether) return `${what} No one thing would have saved it, all of it together would.`;
  const short = isTooShort ? ' It is shorter than this wax holds.' : '';
  const n = Math.max(1, stillInHundred ?? 1);
  return `${what}${short} Of such hairs about ${n} in 100 do, however good the hand.`;
}

export const stationResult = (p: Practice, at: Station, product: Product | null, looked: string): string => {
  const k = STATIONS.indexOf(at);
  if (at === 'feel') {
    return p.brushed.length > 0 ? `${p.brushed.length} ${p.brushed.length === 1 ? 'stroke' : 'strokes'}` : '';
  }
  if (at === 'choose') return product ? product.name : '';
  if (at === 'wrist') return p.testedC === null ? '' : 'done';
  if (at === 'lay') return p.strip ? 'one strip' : '';
  if (at === 'wait') return p.strip ? `${Object.values(p.strip.tried).filter(Boolean).length} signs of three` : '';
  return k === STATIONS.length - 1 ? looked : '';
};

export const PIECE_WORDS: Readonly<Record<Piece, string>> = {
  plain: 'nothing amiss',
  short: 'Short hair',
  dry: 'Dry skin',
  turned: 'Growth that turns',
  crossing: 'Two layers that cross',
  starts: 'Somebody who starts',
  'hot-pot': 'A pot that lies',
  'late-start': 'A late start',
};

const HEAT_WORDS: Readonly<Record<SkinAnswer['heat'], string>> = {
  calm: '',
  hot: 'It felt too hot. ',
  'near-burn': 'Far too hot: it nearly burned. ',
  burnt: 'Burnt. ',
  blistered: 'Burnt, with blisters. ',
};

/** How the skin looks, and what the client says. */
export function skinWords({ heat, pain, redness, lifted, bruised, bleedingPoints: drops }: SkinAnswer): string {
  const shade = redness > 0.55 ? 'Red' : 'Pink';
  const look = redness < 0.2 ? 'Calm' : shade;
  const hurt = `${lifted > 0 ? ' Skin has lifted.' : ''}${bruised ? ' A bruise is coming.' : ''}`;
  const points = drops > 0 ? ` ${drops} ${drops === 1 ? 'point' : 'points'} of blood: press.` : '';
  return `${HEAT_WORDS[heat]}${look}.${hurt}${points} Felt ${Math.round(pain)} of 10.`;
}

export const DECISION_WORDS: Readonly<Record<Decision, string>> = {
  tweeze: 'Tweeze them',
  again: 'Once more over it',
  leave: 'Leave it',
  stop: 'Stop here',
};
const REASON_WORDS: Readonly<Record<DecisionReason, string>> = {
  hurt: 'The skin is hurt: nothing more on it. First aid, write it down, refer.',
  clean: 'Nothing stands any more; what broke waits for the next visit.',
  few: 'A few lone hairs need no new wax: stretch, grip, draw steadily.',
  'soft-once': 'Soft wax lies once on a place: a second pass lifts skin.',
  passes: 'Two passes have lain here: more is more than skin bears.',
  'too-many': 'Two passes have lain here, and nobody tweezes so many: they wait for the next visit.',
  patch: 'A patch too big to tweeze, and a pass is left: less wax, more pressure.',
};

/** What a decision was worth. */
export const decisionWords = (
  decided: Decision,
  { right, reason }: NonNullable<Practised['looked']>['decide'],
): string =>
  `${right.includes(decided) ? 'So would a practised hand.' : `Better: ${right.map((d) => DECISION_WORDS[d].toLowerCase()).join(' or ')}.`} ${REASON_WORDS[reason]}`;

/** A span at the skin. */
const minutesWords = (seconds: number): string =>
  seconds < 57 ? `about ${Math.max(5, 5 * Math.round(seconds / 5))} s` : `about ${Math.round(seconds / 30) / 2} min`;

/** What a late start leaves; null where there is no hurry. */
export function lateWords(p: Pick<Practice, 'level' | 'piece' | 'seconds'>): string | null {
  const minutes = minutesFor(p.level, p.piece);
  if (minutes === null) return null;
  const leftS = 60 * minutes - workedS(p);
  return leftS > 0
    ? `A late start: ${minutesWords(leftS)} at the skin left. What is not done waits; nothing is done worse for it.`
    : 'Time is up: the next client waits.';
}

/** All strips of a skin in a line or two. */
export function sumWords({ strips, out, broken, points, pain, cleared, plannerMin }: SoFar, workedS: number): string {
  const score = points === null ? '' : ` ${points} of 100 on the whole.`;
  const what = `${out} out with the root, ${broken} broken`;
  const took = `${minutesWords(workedS)} at the skin for ${Math.round(100 * cleared)} % of it`;
  const planner = plannerMin === null ? '' : `; the planner has ${minutesWords(60 * plannerMin)} for all`;
  return `${strips === 1 ? 'One strip' : `${strips} strips`}: ${what}; worst felt ${Math.round(pain)} of 10. ${took[0]?.toUpperCase()}${took.slice(1)}${planner}.${score}`;
}
