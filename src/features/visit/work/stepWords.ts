// The steps round the wax in words: preparing, a look together, the finish. Common practice, no source.

import { sized } from '@/formats/size';
import { ZONES, type Family } from '@/core/anatomy';
import { prepFor, readStep, zonesOfStep, type Plan, type PlanZone, type SkinPrep, type StepName } from '@/core/plan';
import type { Consult, StudioSettings } from '@/server/db/schema';
import { namesOf } from '../zoneNames';

export interface StepWords {
  readonly word: string;
  /** Its name in a list. */
  readonly name: string;
  readonly strong: string;
  readonly more: string;
}

export interface StepContext {
  readonly plan: Plan;
  readonly alerts: readonly string[];
  /** The house's own way. */
  readonly prep: NonNullable<StudioSettings['schools']['prep']>;
  readonly isDrySkin: boolean;
  readonly consult: Pick<Consult, 'consent' | 'agreed'>;
}

/** Long hair is cut to about this, mm (common practice, no source). */
const TRIM_TO_MM = 6;

const DRY: Readonly<Record<StepContext['prep'], readonly [strong: string, more: string]>> = {
  powder: ['Dry all through, then powder.', 'Half a minute to draw; worked in it lifts flat hair.'],
  oil: ['Dry, then a trace of oil.', 'Too much and the wax slides.'],
  dry: ['Dry all through, folds too.', 'Nothing on the skin: damp skin lets the wax go.'],
};

const NAMES: Readonly<Record<StepName, string>> = {
  alerts: 'alerts',
  hands: 'hands',
  trim: 'trim',
  cleanse: 'cleanse',
  skin: 'dry',
  look: 'mirror',
  light: 'light',
  residue: 'residue',
  calm: 'calm',
  mirror: 'mirror',
  care: 'care',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Oil for wax, water for sugar (house rule, the usual one). */
function residueWords(families: ReadonlySet<Family>): string {
  if (!families.has('sugar')) return 'Residue off with a little oil.';
  return families.size > 1 ? 'Wax off with a little oil, sugar with water.' : 'Residue off with water.';
}

/** Consent and what was agreed, as they stand now. */
function agreedWords({ consent, agreed }: StepContext['consult']): string {
  return [
    consent ? 'Consent given.' : 'No consent noted: ask before anything.',
    agreed.coldPack ? 'Cold pack wished, 5–10 min.' : '',
    agreed.tweezing ? '' : 'No tweezing.',
    agreed.company === 'quiet' ? 'Quiet wished.' : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** The first of what is told for home, in the words and hours of the plan. */
function careWords({ care }: Plan): string {
  const [first, ...more] = care.filter((c) => c.when === 'after');
  if (!first) return 'What is told stands under Return.';
  return more.length > 0 ? `${first.text} And ${more.length} more, under Return.` : first.text;
}

/** Drying and what goes on then, where not all zones are alike with those that are not. */
function skinWords(zones: readonly PlanZone[], { prep, isDrySkin }: StepContext): readonly [string, string] {
  const of = (z: PlanZone): SkinPrep => prepFor(z, prep, isDrySkin);
  const first = zones[0] ? of(zones[0]) : prep;
  const usual = zones.some((z) => of(z) === prep) ? prep : first;
  const others = zones.filter((z) => of(z) !== usual);
  const [strong, more] = DRY[usual];
  if (others.length === 0) return [strong, more];
  const what = others.some((z) => of(z) === 'oil') ? 'a trace of oil' : 'powder';
  return [strong, `${capital(namesOf(others.map((z) => ({ ...z, name: ZONES[z.zone].name }))))}: ${what} instead.`];
}

export function stepWords(step: string, context: StepContext): StepWords {
  const { plan, alerts, consult } = context;
  const { name } = readStep(step);
  const zones = zonesOfStep(plan, step).map((z) => ({ ...z, name: ZONES[z.zone].name }));
  const where = zones.length > 0 ? capital(namesOf(zones)) : '';
  const families = new Set(zones.flatMap((z) => z.choice?.family ?? []));
  const words = (word: string, strong: string, more: string): StepWords => ({ word, name: NAMES[name], strong, more });
  switch (name) {
    case 'alerts':
      return words('LOOK', alerts.length > 0 ? alerts.join(' · ') : 'No alerts.', agreedWords(consult));
    case 'hands':
      return words('HANDS', 'Hands clean, gloves as your house does.', 'Fresh draping, hair held away, tablet wiped.');
    case 'trim':
      return words(
        'TRIM',
        `To about ${sized(TRIM_TO_MM, 'mm')}: ${namesOf(zones)}.`,
        'Long hair tangles and hurts more.',
      );
    case 'cleanse':
      return words('CLEAN', `${where}.`, 'Lotion, sweat, deodorant off. See how the hair falls.');
    case 'skin':
      return words('DRY', ...skinWords(zonesOfStep(plan, step), context));
    case 'look':
      return words('MIRROR', 'Show it: is the line as agreed?', 'Further only by another small step.');
    case 'light':
      return words('LIGHT', 'Bright light, touch every way.', 'What is left: tweeze it, or read it first.');
    case 'residue':
      return words('OFF', residueWords(families), 'No fold is let shut while anything is tacky.');
    case 'calm':
      return words('CALM', 'Bleeding points calm? Press.', 'Then the soothing gel, lightly.');
    case 'mirror':
      return words('MIRROR', 'The client looks too.', 'Anything still to do is said now.');
    case 'care':
      return words('CARE', 'Tell the care for home.', careWords(plan));
  }
}
