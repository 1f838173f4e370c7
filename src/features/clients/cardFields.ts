// The editable part of a card as it is sent: a copy of what the server gave, changed field by field.

import type { CardFact, CardReaction, ClientProfile } from '@/server/db/schema';
import type { ClientCard, ClientFields } from '@/server/services/clients';

/** The editable part of a card, as the server takes it. */
export type CardFields = ClientFields;

export const fieldsOfCard = ({ client }: Pick<ClientCard, 'client'>): CardFields => ({
  name: client.name,
  byline: client.byline,
  bornOn: client.bornOn,
  phone: client.phone,
  note: client.note,
  profile: client.profile,
});

export const withProfile = (fields: CardFields, more: Partial<ClientProfile>): CardFields => ({
  ...fields,
  profile: { ...fields.profile, ...more },
});

/** Drops empty dates, so that an emptied field is absent and not an empty word. */
export function cleanFact(fact: CardFact): CardFact {
  const { since, until, lastOn, ...rest } = fact;
  return { ...rest, ...(lastOn ? { lastOn } : {}), ...(since ? { since } : {}), ...(until ? { until } : {}) };
}

/** First fault in the client's words; null where the card can be kept. */
export function cardFault({ name, bornOn, profile }: CardFields, today: string): string | null {
  if (name.trim() === '') return 'A name is needed.';
  if (bornOn !== null && bornOn > today) return 'The date of birth lies ahead.';
  const reversed = profile.standing.find((f) => f.since && f.until && f.until < f.since);
  if (reversed) return 'A fact ends before it begins.';
  if (profile.blackout.some((b) => b.from === '' || b.to === '' || b.to < b.from)) {
    return 'Dates kept free need a first and a last day, in this order.';
  }
  if (profile.statureCm !== null && !(profile.statureCm >= 80 && profile.statureCm <= 250)) {
    return 'Height is given in cm, 80 to 250.';
  }
  if (profile.massKg !== null && !(profile.massKg >= 15 && profile.massKg <= 350)) {
    return 'Weight is given in kg, 15 to 350.';
  }
  return null;
}

export const REACTION_WORDS: Readonly<Record<CardReaction['what'], string>> = {
  redness: 'Red for days',
  bumps: 'Bumps',
  blister: 'Blister',
  lifted: 'Skin lifted',
  bruise: 'Bruise',
  burn: 'Burn',
  ingrown: 'Ingrown hairs',
  other: 'Other',
};
