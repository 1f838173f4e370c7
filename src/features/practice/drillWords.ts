// What the questions say, and their answers.

import { ZONES } from '@/core/anatomy';
import {
  RHYTHM_TURNS,
  rhythmFault,
  strokesOf,
  type Drill,
  type PotAnswer,
  type RhythmFault,
  type WaxAnswer,
} from '@/core/practice';
import { FACT_WORDS } from '@/core/screening';
import { sized } from '@/formats/size';
import { edgeWords } from '../visit/edgeWords';
import { DECISION_WORDS, FAULT_WORDS, FLOW_WORDS, decisionWords, skinWords, WRIST_WORDS } from './practiceWords';

const OUTCOME_WORDS: Readonly<Record<string, string>> = {
  go: 'Go on',
  adapt: 'Go on, adapted',
  postpone: 'Postpone it',
  decline: 'Decline, and refer',
};
const POT_WORDS: Readonly<Record<PotAnswer, string>> = {
  lay: 'Lay it',
  cooler: 'Cooler first',
  warmer: 'Warmer first',
};

const KIND_NAMES: Readonly<Record<Drill['kind'], string>> = {
  strip: 'What went wrong with this strip?',
  after: 'What do you do about what is left?',
  pot: 'The pot: may it go on skin?',
  today: 'May this person be waxed today?',
  way: 'Which way does the hair point?',
  length: 'How long is this hair?',
  product: 'Which wax for this hair?',
  order: 'Which strip is laid next?',
  rhythm: 'Hand sugar: press in, press in, flick',
};

const WAX_WORDS: Readonly<Record<WaxAnswer, string>> = {
  hard: 'Hard wax',
  soft: 'Soft wax with cloth',
  sugar: 'Sugar paste',
  none: 'Nothing today',
};
const COARSE_WORDS = ['very fine', 'fine', 'medium', 'coarse', 'very coarse'] as const;
const DENSE_WORDS = ['sparse', 'rather sparse', 'as dense as most', 'rather dense', 'dense'] as const;
const CALM_WORDS = ['calm', 'rather calm', 'as most', 'tender', 'very reactive'] as const;
const step = <T>(list: readonly [T, ...T[]], n: number): T =>
  list[Math.min(list.length, Math.max(1, Math.round(n))) - 1] ?? list[0];

export const RHYTHM_WORDS: Readonly<Record<RhythmFault, string>> = {
  pat: 'You patted. The fingers stay on the lump and draw it along, the thumb turns it.',
  way: 'Press in against the growth; only the flick goes with it.',
  few: 'One stroke did not press it in. Two or three, then the flick.',
  smear: 'You smeared. After three strokes the lump is warm and thin: flick before that.',
  hasty: 'You pressed in hastily. Slow strokes wrap the hair; only the flick is quick.',
  'slow-flick': 'The flick was slow: the hair slips out, or the lump stays. A snap from the wrist, flat.',
  uneven: 'The turns were not alike. One beat throughout, also when the lump grows warm.',
  short: `Not yet ${RHYTHM_TURNS} times over.`,
};

const ago = (days: number): string => {
  if (days < 14) return days === 1 ? 'yesterday' : `${days} days ago`;
  return days < 60 ? `${Math.round(days / 7)} weeks ago` : `${Math.round(days / 30)} months ago`;
};

/** The question and what is known, in sentences. */
export function questionOf(drill: Drill): { readonly asked: string; readonly known: readonly string[] } {
  const asked = KIND_NAMES[drill.kind];
  switch (drill.kind) {
    case 'today': {
      const zone = ZONES[drill.zone].name.toLowerCase();
      const when = drill.daysAgo === null ? '' : `, ${ago(drill.daysAgo)}`;
      return { asked, known: [`Grown up, consent given, ${zone} wanted.`, `${FACT_WORDS[drill.fact]}${when}.`] };
    }
    case 'pot': {
      const known = [`${drill.product}, ${ZONES[drill.zone].name.toLowerCase()}.`, FLOW_WORDS[drill.flow]];
      return { asked, known: [...known, WRIST_WORDS[drill.wrist]] };
    }
    case 'way': {
      const edges = edgeWords('forearm', 'left');
      const said = drill.lay ? 'it lies down' : 'it stands up';
      return { asked, known: [`Stroked towards the ${edges[drill.stroked]}, ${said}.`] };
    }
    case 'product': {
      const { hair, sensitivity, zone } = drill;
      const name = ZONES[zone].name;
      return {
        asked,
        known: [
          `${name}: ${step(COARSE_WORDS, hair.coarseness)} hair, ${sized(hair.lengthMm, 'mm', 1)} long, ${step(DENSE_WORDS, hair.density)}.`,
          `The skin is ${step(CALM_WORDS, sensitivity)}.${hair.history === 'lapsed' ? ' She has not come for a long while.' : ' She comes regularly.'}`,
          'The house has everything in its pots and no first choice.',
        ],
      };
    }
    case 'order': {
      const n = drill.off.length;
      return {
        asked,
        known: [
          n === 0 ? 'Nothing is off yet.' : `${n} ${n === 1 ? 'strip is' : 'strips are'} off: dotted and bare.`,
          'The dark dot of each is where its tab lies.',
        ],
      };
    }
    case 'rhythm':
      return {
        asked,
        known: [
          `Two or three slow strokes against the growth press the lump in; one flick with it takes it off. ${RHYTHM_TURNS} times over, all alike.`,
        ],
      };
    case 'length':
      return { asked, known: ['Most of it, to the nearest; the bar shows the measure.'] };
    case 'strip':
    case 'after': {
      const { answer } = drill.looked;
      const { out, broken, left } = answer;
      const act = drill.acts.at(-1);
      const name = act?.product.name ?? '';
      const pass = drill.acts.length > 1 ? ', second pass' : '';
      const strings = answer.strings > 0.3 ? ['The strip drew strings of wax.'] : [];
      const cracked = answer.cracked > 0 ? ['It cracked, and its end stayed on the skin.'] : [];
      return {
        asked,
        known: [
          `${name}${pass}: ${out} out with the root, ${broken} broken, ${left} left.`,
          ...strings,
          ...cracked,
          skinWords(answer.skin),
        ],
      };
    }
  }
}

/** One answer as its key says it. */
export function choiceOf(drill: Drill, choice: string): string {
  switch (drill.kind) {
    case 'today':
      return OUTCOME_WORDS[choice] ?? choice;
    case 'pot':
      return drill.choices.includes(choice as PotAnswer) ? POT_WORDS[choice as PotAnswer] : choice;
    case 'way': {
      const edge = drill.choices.find((c) => c === choice);
      return edge ? `Towards the ${edgeWords('forearm', 'left')[edge]}` : choice;
    }
    case 'product':
      return WAX_WORDS[choice as WaxAnswer] ?? choice;
    case 'order':
      return `Strip ${choice}`;
    case 'rhythm':
      return choice;
    case 'length':
      return `about ${sized(Number(choice), 'mm')}`;
    case 'strip': {
      const fault = drill.choices.find((c) => c === choice);
      return fault ? FAULT_WORDS[fault].did.replace(/^You /, '').replace(/^./, (c) => c.toUpperCase()) : choice;
    }
    case 'after': {
      const decision = drill.choices.find((c) => c === choice);
      return decision ? DECISION_WORDS[decision] : choice;
    }
  }
}

/** Why, once it is answered. */
export function whyOf(drill: Drill, answer: string): string {
  switch (drill.kind) {
    case 'today':
      return drill.why.length > 0 ? drill.why.join(' ') : 'None of the rules asks for anything here.';
    case 'pot':
      if (drill.right === 'lay') return 'It flows slowly and feels right: so it may be laid.';
      return drill.right === 'cooler'
        ? 'What runs or burns the wrist never goes on skin: cooler, stir, and the wrist again.'
        : 'What hardly flows does not grip, and breaks hair: warmer, and the wrist again.';
    case 'way':
      return 'Stroked along the growth hair lies down, against it it stands up.';
    case 'product':
      return drill.why.length > 0 ? drill.why.join(' ') : 'None of them holds this hair today.';
    case 'order':
      return `Strip ${drill.right}: what its tab lies on is bare. The tabs of the others would lie on hair, and a pull that begins on hair breaks it.`;
    case 'rhythm': {
      const strokes = strokesOf(answer);
      const fault = strokes && rhythmFault(strokes);
      return fault ? RHYTHM_WORDS[fault] : 'Pressed in slowly, off with a flick, one beat throughout.';
    }
    case 'length':
      return `It is about ${sized(Number(drill.right), 'mm')}. Lay a finger’s breadth beside it until the eye knows.`;
    case 'strip': {
      const { why, tryThis } = FAULT_WORDS[drill.right];
      return `${why[0]?.toUpperCase() ?? ''}${why.slice(1)} ${tryThis}`;
    }
    case 'after': {
      const decision = drill.choices.find((c) => c === answer);
      return decision ? decisionWords(decision, drill.looked.decide) : '';
    }
  }
}
