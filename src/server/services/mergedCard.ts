// What one card says where two of one person said it: nothing that warns is lost, and what is said twice stands once.

import type { CardBefore, CardFact, ClientProfile } from '../db/schema';
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

/** The same fact on both cards, both still true: what warns longer and in more places counts. */
function bothSaid(a: CardFact, b: CardFact): CardFact {
  const lastOn = latest(a.lastOn, b.lastOn);
  const since = [a.since, b.since].flatMap((d) => d ?? []).sort()[0];
  // without places it is meant everywhere
  const zones = a.zones && b.zones ? [...new Set([...a.zones, ...b.zones])] : undefined;
  return {
    fact: a.fact,
    ...(lastOn === null ? {} : { lastOn }),
    ...(since === undefined ? {} : { since }),
    ...(zones === undefined ? {} : { zones }),
    // a doctor has cleared it only where nothing else has been said since
    ...(a.clearance && b.clearance ? { clearance: a.clearance } : {}),
  };
}

function bothStanding(kept: readonly CardFact[], gone: readonly CardFact[]): readonly CardFact[] {
  const isSame = (a: CardFact) => (b: CardFact) => a.fact === b.fact && a.until === undefined && b.until === undefined;
  return [
    ...kept.map((f) => {
      const other = gone.find(isSame(f));
      return other ? bothSaid(f, other) : f;
    }),
    ...gone.filter((f) => !kept.some(isSame(f))),
  ];
}

function mergedProfile(kept: ClientProfile, gone: ClientProfile): ClientProfile {
  const consent = consentOf(kept, gone);
  return {
    ...kept,
    statureCm: kept.statureCm ?? gone.statureCm,
    massKg: kept.massKg ?? gone.massKg,
    // the more careful of both
    sensitivity: Math.max(kept.sensitivity, gone.sensitivity),
    ingrownProne: kept.ingrownProne || gone.ingrownProne,
    standing: bothStanding(kept.standing, gone.standing),
    reactions: [...kept.reactions, ...gone.reactions],
    patchTests: [...kept.patchTests, ...gone.patchTests],
    blackout: [...kept.blackout, ...gone.blackout],
    avoid: kept.avoid ?? gone.avoid,
    language: kept.language ?? gone.language,
    ...consent,
    // taken back, it is over for both who signed
    guardianConsentOn:
      consent.consentOn === null && consent.consentEndedOn !== undefined
        ? null
        : latest(kept.guardianConsentOn, gone.guardianConsentOn),
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
