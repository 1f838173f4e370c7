// What the questions say, and their answers.

import { ZONES } from '@/core/anatomy';
import type { Drill, PotAnswer } from '@/core/practice';
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

const SKILL_KINDS: Readonly<Record<string, string>> = {
  strip: 'Faults of a strip',
  after: 'What is left',
  pot: 'Heat by wrist and flow',
  today: 'May I wax today',
  way: 'Direction',
  length: 'Length',
};
/** The group of a skill, in words. */
export const skillGroup = (skill: string): string => SKILL_KINDS[skill.split(':')[0] ?? ''] ?? skill;
