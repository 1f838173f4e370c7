// What one card says where two of one person said it: nothing that warns is lost, and what is said twice stands once.

import type { CardBefore, ClientProfile } from '../db/schema';
import { laterDate } from '../../core/shared';

const latest = (a: string | null | undefined, b: string | null | undefined): string | null => {
  if (a && b) return laterDate(a, b);
  return a ?? b ?? null;
};

/** A consent that was taken back on either card after the last was given counts no more. */
function consentOf(a: ClientProfile, b: ClientProfile): Pick<ClientProfile, 'consentOn' | 'consentEndedOn'> {
  const given = latest(a.consentOn, b.consentOn);
  const ended = latest(a.consentEndedOn, b.consentEndedOn);
  const isOver = ended !== null && (given === null || ended >= given);
  return { consentOn: isOver ? null : given, ...(ended === null ? {} : { consentEndedOn: ended }) };
}

function mergedProfile(kept: ClientProfile, gone: ClientProfile): ClientProfile {
  const isThere = (fact: string): boolean => kept.standing.some((f) => f.fact === fact && f.until === undefined);
  return {
    ...kept,
    statureCm: kept.statureCm ?? gone.statureCm,
    massKg: kept.massKg ?? gone.massKg,
    // the more careful of both
    sensitivity: Math.max(kept.sensitivity, gone.sensitivity),
    ingrownProne: kept.ingrownProne || gone.ingrownProne,
    standing: [...kept.standing, ...gone.standing.filter((f) => !isThere(f.fact))],
    reactions: [...kept.reactions, ...gone.reactions],
    patchTests: [...kept.patchTests, ...gone.patchTests],
    blackout: [...kept.blackout, ...gone.blackout],
    avoid: kept.avoid ?? gone.avoid,
    language: kept.language ?? gone.language,
    ...consentOf(kept, gone),
    guardianConsentOn: latest(kept.guardianConsentOn, gone.guardianConsentOn),
  };
}

const joined = (a: string, b: string, between: string): string =>
  a.includes(b) ? a : [a, b].filter((t) => t !== '').join(between);

/** Fields of the card that is kept, with what only the other one said. */
export const mergedCard = (kept: CardBefore, gone: CardBefore): Omit<CardBefore, 'archivedAtMs'> => ({
  name: kept.name,
  byline: kept.byline || gone.byline,
  bornOn: kept.bornOn ?? gone.bornOn,
  phone: joined(kept.phone, gone.phone, ', '),
  note: joined(kept.note, gone.note, '\n'),
  profile: mergedProfile(kept.profile, gone.profile),
});
