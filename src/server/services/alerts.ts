import { dateInWords, yearsBetween } from '../../core/shared';
import { FACT_WORDS } from '../../core/screening';
import type { CardReaction, ClientProfile } from '../db/schema';
import type { ClientRow } from '../repos/clientRepo';
import { INCIDENT_ID } from './incidentOnCard';

const CARD_WORD: Readonly<Partial<Record<CardReaction['what'], string>>> = { lifted: 'skin lifted', other: '' };

/** `8 May 2027: burn, underarm, left, strip 2, film hard.` */
function incidentAlert({ on, what, words }: CardReaction): string {
  const [place = ''] = words.split('. ');
  return `${dateInWords(on)}: ${[CARD_WORD[what] ?? what, place].filter(Boolean).join(', ')}.`;
}

function consentAlert({ consentOn, consentEndedOn }: ClientProfile, withConsent: boolean): readonly string[] {
  if (consentOn !== null) return [];
  if (consentEndedOn !== undefined) {
    return [`Consent taken back on ${dateInWords(consentEndedOn)}: nothing is done before it is given anew.`];
  }
  return withConsent ? ['No consent on file yet.'] : [];
}

/**
 * What must be seen before anything else on a client's card.
 * @param withConsent false on a visit, which asks for consent itself
 */
export function alertsOf(client: ClientRow, on: string, withConsent = true): readonly string[] {
  const { profile, bornOn } = client;
  const minor = bornOn !== null && yearsBetween(bornOn, on) < 18;
  return [
    ...(withConsent && minor && profile.guardianConsentOn === null ? ['Under 18: no guardian’s consent on file.'] : []),
    ...profile.standing.filter((f) => f.until === undefined || f.until >= on).map((f) => FACT_WORDS[f.fact]),
    ...profile.patchTests
      .filter((t) => t.result === null)
      .map((t) => `Patch test not read yet: ${t.product.replaceAll('-', ' ')}, ${t.place}.`),
    ...profile.patchTests
      .filter((t) => t.result === 'reacted')
      .map((t) => `Reacted to ${t.product.replaceAll('-', ' ')}.`),
    ...profile.reactions.filter((r) => r.id.startsWith(INCIDENT_ID)).map(incidentAlert),
    ...(profile.sensitivity >= 4 ? ['Very reactive skin.'] : []),
    ...(profile.ingrownProne ? ['Prone to ingrown hair.'] : []),
    ...consentAlert(profile, withConsent),
  ];
}
