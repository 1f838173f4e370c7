// The rules as rows to be read or printed, made from the same data that judges.

import { ZONES, type ZoneId } from '../anatomy';
import type { HairHistory } from '../hair';
import type { Combination } from './combinations';
import { PERSON_RULES } from './rules';
import type { RuleSet } from './ruleSet';
import { SPOT_RULES } from './spots';
import type { Grounds, Handling, Outcome, Rule } from './types';
import { FACT_WORDS } from './words';

export interface ReferenceRow {
  readonly code: string;
  readonly group: 'fact' | 'together' | 'spot' | 'person' | 'fixed';
  /** What is found, in words. */
  readonly when: string;
  readonly outcome: Outcome;
  readonly scope: 'whole visit' | 'zone' | 'product' | 'spot';
  /** `7 days`, `12 months`, `as long as it stands`. */
  readonly wait: string;
  readonly waitDays: number | null;
  readonly also: string;
  readonly text: string;
  readonly clientText: string;
  readonly grounds: Grounds;
  readonly hard: boolean;
}

const HISTORY: Readonly<Record<HairHistory, string>> = {
  first: 'first wax',
  regular: 'regular',
  lapsed: 'long pause',
  shaved: 'shaved',
};
const SCOPE = { visit: 'whole visit', zone: 'zone', family: 'product', spot: 'spot' } as const;

const days = (n: number): string => `${n} ${n === 1 ? 'day' : 'days'}`;
const zonesInWords = (zones: readonly ZoneId[]): string => zones.map((z) => ZONES[z].name.toLowerCase()).join(', ');
const joined = (parts: readonly (string | false | undefined)[]): string =>
  parts.filter((p) => typeof p === 'string' && p !== '').join(' · ');

function waitInWords(rule: Pick<Rule, 'waitDays' | 'waitMonths' | 'untilCleared'>): string {
  if (rule.untilCleared) return 'until a doctor has cleared it';
  if (rule.waitMonths !== undefined) return `${rule.waitMonths} months`;
  return rule.waitDays === undefined ? 'as long as it stands' : days(rule.waitDays);
}

const REACH: Readonly<Record<NonNullable<Rule['reach']>, string>> = {
  all: 'whichever zone is named',
  limb: 'the whole limb',
  beside: 'also beside it on the face',
};

const handlingWords = ({ onePass, smallStrips, pressS }: Handling): string =>
  joined([onePass && 'one pass only', smallStrips && 'small strips', pressS !== undefined && `press ${pressS} s`]);

function againWords({ again }: Rule): string {
  if (!again) return '';
  return again.days === undefined ? 'then judge again' : `then judge again for ${days(again.days)}`;
}

const factRow = (r: Rule): ReferenceRow => ({
  code: r.code,
  group: 'fact',
  when: FACT_WORDS[r.fact],
  outcome: r.outcome,
  scope: r.allergen ? 'product' : SCOPE[r.scope],
  wait: waitInWords(r),
  waitDays: r.waitDays ?? null,
  also: joined([
    r.family && `no ${r.family} wax`,
    r.allergen && `no product with ${r.allergen}`,
    r.lowerHeatK !== undefined && `${r.lowerHeatK}° cooler`,
    r.onlyZones && `only ${zonesInWords(r.onlyZones)}`,
    r.reach && REACH[r.reach],
    handlingWords(r),
    againWords(r),
  ]),
  text: r.text,
  clientText: r.clientText,
  grounds: r.grounds,
  hard: r.hard ?? false,
});

const togetherRow = (c: Combination): ReferenceRow => ({
  code: c.code,
  group: 'together',
  when: joined([
    c.all.map((f) => FACT_WORDS[f]).join(' and '),
    c.anywhereOnFace && 'anywhere on the face',
    c.history && c.history.map((h) => HISTORY[h]).join(' or '),
    c.coarsenessFrom !== undefined && `hair coarse (${c.coarsenessFrom} of 5 or more)`,
    c.sensitivityFrom !== undefined && `reactive skin (${c.sensitivityFrom} of 5 or more)`,
    c.intimate && 'on intimate skin',
    c.face && 'on the face',
    c.onlyZones && `on ${zonesInWords(c.onlyZones)}`,
  ]),
  outcome: c.outcome,
  scope: 'zone',
  wait: waitInWords(c),
  waitDays: c.waitDays ?? null,
  also: joined([c.softOut && 'no soft wax', handlingWords(c)]),
  text: c.text,
  clientText: c.clientText,
  grounds: c.grounds,
  hard: false,
});

const fixed = (
  code: string,
  when: string,
  outcome: Outcome,
  scope: ReferenceRow['scope'],
  text: string,
  clientText: string,
  group: ReferenceRow['group'] = 'fixed',
): ReferenceRow => ({
  code,
  group,
  when,
  outcome,
  scope,
  wait: 'always',
  waitDays: null,
  also: '',
  text,
  clientText,
  grounds: 'practice',
  hard: true,
});

const PERSON_ROWS: readonly ReferenceRow[] = [
  fixed(
    PERSON_RULES.noConsent.code,
    'No consent',
    'decline',
    'whole visit',
    PERSON_RULES.noConsent.text,
    PERSON_RULES.noConsent.clientText,
    'person',
  ),
  fixed(
    PERSON_RULES.minorNoGuardian.code,
    'Under 18, no guardian’s consent',
    'decline',
    'whole visit',
    PERSON_RULES.minorNoGuardian.text,
    PERSON_RULES.minorNoGuardian.clientText,
    'person',
  ),
  fixed(
    PERSON_RULES.minorIntimate.code,
    'Under 18, intimate zone',
    'decline',
    'zone',
    PERSON_RULES.minorIntimate.text,
    PERSON_RULES.minorIntimate.clientText,
    'person',
  ),
  fixed(
    'zone.family-never',
    'Soft wax in or on the ear',
    'decline',
    'product',
    'Soft wax is never used in or on the ear.',
    'In the ear we use hard wax only.',
  ),
  fixed(
    'soft.second-pass',
    'Soft wax a second time on the same skin',
    'decline',
    'product',
    'Soft wax: one pass only, a second lifts skin.',
    'We go over skin with this wax once only.',
  ),
];

/** Marks that are called otherwise than by their own word. */
const MARK_WORDS: Readonly<Record<string, string>> = {
  irritated: 'Irritated spot',
  vein: 'Varicose vein',
  tattoo: 'New tattoo',
  tag: 'Skin tag',
};
const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/**
 * Every rule of the set, in the order in which it is read: the person, facts, facts together, spots, what never
 * changes.
 */
export const referenceTable = (set: RuleSet): readonly ReferenceRow[] => [
  ...PERSON_ROWS.filter((r) => r.group === 'person'),
  ...set.rules.map(factRow),
  ...set.combinations.map(togetherRow),
  ...SPOT_RULES.map((r): ReferenceRow => ({
    code: r.code,
    group: 'spot',
    when: MARK_WORDS[r.mark] ?? capital(r.mark),
    outcome: r.outcome,
    scope: 'spot',
    wait: 'as long as it stands',
    waitDays: null,
    also: `${r.clearanceMm} mm clear round it`,
    text: r.text,
    clientText: r.clientText,
    grounds: r.grounds,
    hard: false,
  })),
  ...PERSON_ROWS.filter((r) => r.group === 'fixed'),
];
