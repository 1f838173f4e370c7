// What a change of a card has changed, field by field, in words short enough to be read in its history.

import 'server-only';
import { FACT_WORDS } from '../../core/screening';
import type { ClientRow } from '../repos/clientRepo';
import type { ClientProfile } from '../db/schema';
import type { ClientFields } from './clients';

export interface CardChange {
  readonly field: string;
  readonly from: string;
  readonly to: string;
}

const LONGEST = 200;
const short = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text);
const orEmpty = (value: string | number | null): string => (value === null ? '' : String(value));
const factWords = (f: ClientProfile['standing'][number]): string =>
  [
    FACT_WORDS[f.fact],
    f.since && `since ${f.since}`,
    f.until && `until ${f.until}`,
    f.lastOn && `last ${f.lastOn}`,
    f.clearance && `cleared by ${f.clearance.by} on ${f.clearance.on}`,
  ]
    .filter(Boolean)
    .join(', ');

/** Every field in words: fields of one card, comparable with those of another. */
function fieldsOf({
  name,
  byline,
  bornOn,
  phone,
  note,
  profile,
}: Pick<ClientRow, keyof ClientFields>): Readonly<Record<string, string>> {
  return {
    name,
    'known by': byline,
    'born on': orEmpty(bornOn),
    phone,
    note,
    stature: orEmpty(profile.statureCm),
    mass: orEmpty(profile.massKg),
    sensitivity: String(profile.sensitivity),
    skin: profile.skin,
    'ingrown hair': profile.ingrownProne ? 'prone' : 'not prone',
    'consent on': orEmpty(profile.consentOn),
    'guardian’s consent on': orEmpty(profile.guardianConsentOn),
    facts: profile.standing.map(factWords).join('; '),
    reactions: profile.reactions.map((r) => [r.on, r.what, r.product, r.words].filter(Boolean).join(', ')).join('; '),
    'patch tests': profile.patchTests
      .map((t) => [t.product, t.place, t.laidOn, t.result ?? 'not read'].join(', '))
      .join('; '),
    'days to avoid': profile.avoid
      ? `${profile.avoid.days} days from ${profile.avoid.firstOn}, every ${profile.avoid.everyDays}`
      : '',
    'language of the care card': orEmpty(profile.language ?? null),
    'dates kept free': profile.blackout.map((b) => `${b.from} to ${b.to} ${b.why}`.trim()).join('; '),
  };
}

export function cardChanges(before: Pick<ClientRow, keyof ClientFields>, after: ClientFields): readonly CardChange[] {
  const was = fieldsOf(before);
  return Object.entries(fieldsOf(after)).flatMap(([field, to]) =>
    was[field] === to ? [] : [{ field, from: short(was[field] ?? ''), to: short(to) }],
  );
}
