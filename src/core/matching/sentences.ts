// Exclusion codes and choices in words, with the numbers that decided.

import { ENOUGH_SHARE } from '../hair';
import { roundTo } from '../shared';
import { boundWords, type Opener } from '../heat';
import type { Option, Schools } from './types';

const percent = (share: number): string => `${Math.round(share * 100)} %`;

const FAMILY_WORDS = { hard: 'Hard wax', soft: 'Soft wax', sugar: 'Sugar' } as const;

export const WAY_WORDS: Readonly<Record<string, string>> = {
  with: 'laid with the growth',
  against: 'laid against the growth',
  free: 'two directions in turn',
  crossed: 'crossed lay, first against with pressure',
  counter: 'counter lay, last hold-outs',
  across: 'across, narrow side strips',
  moulded: 'moulded by hand against the growth',
  strip: 'thin under cloth',
};

/** Why an option is left out, one sentence a code; `openers` say what would open an empty window. */
export function exclusionSentence(code: string, option: Option, openers: readonly Opener[] = []): string {
  const { window: w } = option;
  switch (code) {
    case 'zone.family-never':
      return `${FAMILY_WORDS[option.family]} is never used here.`;
    case 'screening.family-out':
      return 'Left out by the screening.';
    case 'allergy.rosin':
    case 'allergy.honey':
    case 'allergy.fragrance':
    case 'allergy.zinc-oxide':
      return `Contains ${code.slice(8).replace('-', ' ')}: on the allergy card.`;
    case 'patch.reacted':
      return 'This skin has reacted to it.';
    case 'patch.new-product':
      return 'New to this client: patch test 24–48 h before, then another day.';
    case 'studio.family':
      return 'The studio does not work with this family.';
    case 'school.hard-lay':
      return 'Not the house rule for laying hard wax.';
    case 'school.short-hair':
      return 'The house rule has no crossed lay.';
    case 'school.sugar-way':
      return 'Not the house rule for sugar on this zone.';
    case 'way.not-needed':
      return 'The hair is long enough for the plain lay, and neither flat nor crossing.';
    case 'way.later-pass':
      return 'Only for what a first pass left.';
    case 'hair.too-short':
      return `Holds hair from ${roundTo(option.shortestMm, 1)} mm; ${percent(option.workableShare)} is long enough, ${percent(ENOUGH_SHARE)} is needed.${option.readyOn ? ` From ${option.readyOn}.` : ''}`;
    case 'heat.no-window': {
      const { low, high } = boundWords(w);
      return `No working heat: it ${low}, ${high}.${openers.map((o) => ` ${o.text}`).join('')}`;
    }
    case 'heat.never-ready':
      return 'It would turn brittle before it has set.';
    case 'room.paste-too-slack':
      return 'Too slack in this room; a firmer paste holds.';
    case 'room.paste-too-stiff':
      return 'Too stiff in this room; a softer paste moulds.';
    default:
      return code;
  }
}

/** What goes with a choice: the hair it holds, what is done beside, the rules that bind it. */
export function choiceReasons(choice: Option, schools: Schools, assumedAdult: boolean): readonly string[] {
  const out: string[] = [
    `${choice.product.name}, ${WAY_WORDS[choice.way] ?? choice.way}: ${percent(choice.workableShare)} of the hair is between ${roundTo(choice.shortestMm, 1)} and ${choice.longestMm} mm; of shorter hair it still takes some, so that in ${choice.passes === 1 ? 'one pass' : `${choice.passes} passes`} about ${percent(choice.removedShare)} of all comes off.`,
  ];
  if (choice.coats === 2) out.push('Two coats: film wax in one coat stretches on coarse hair.');
  if (choice.trimFirst) out.push('Trim to about 6 mm first: long hair tangles and hurts more.');
  const stays = choice.leftHairs - choice.tweezed;
  if (stays > 0) out.push(`About ${stays} hairs stay for next time: more than ${choice.tweezed} are not tweezed.`);
  if (choice.family === 'hard') {
    out.push(`House rule: ${WAY_WORDS[choice.way] ?? choice.way}, at most ${schools.maxHardPasses} passes.`);
  }
  if (choice.family === 'soft') out.push('Soft wax: one pass only, a second lifts skin.');
  if (assumedAdult) out.push('Drawn at average size: measure for a closer count.');
  return out;
}

/** First day on which a product holds that today is out for the length of the hair alone; null where none is. */
export const holdsFrom = (options: readonly Pick<Option, 'excludedBy' | 'readyOn' | 'eligible'>[]): Option['readyOn'] =>
  options
    .flatMap((o) => (!o.eligible && o.excludedBy.every((c) => c === 'hair.too-short') ? (o.readyOn ?? []) : []))
    .sort()[0] ?? null;

/** Why nothing is chosen: the exclusions of the options nearest to being possible. */
export function noChoiceReasons(options: readonly Option[], hairAreaCm2: number): readonly string[] {
  if (options.some((o) => o.eligible)) {
    return [
      hairAreaCm2 < 0.3
        ? 'The marks leave no hair that a strip could take: tweeze round them.'
        : 'The product or way asked for cannot be used here; the others are listed.',
    ];
  }
  if (options.length === 0) return ['No product is stocked for this zone.'];
  const notSchool = options.filter((o) => !o.excludedBy.some((c) => c.startsWith('school.') || c.startsWith('way.')));
  const rows = (notSchool.length > 0 ? notSchool : options).map(
    (o) => `${o.product.name}: ${o.excludedBy.map((c) => exclusionSentence(c, o)).join(' ')}`,
  );
  const soonest = holdsFrom(options);
  return [
    ...(soonest
      ? [`Nothing holds this hair today; the earliest product does from ${soonest}.`]
      : ['Nothing is allowed here today.']),
    ...rows,
  ];
}
