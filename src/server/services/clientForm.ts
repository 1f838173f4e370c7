// The client's side of the form: handed over, filled in, signed, taken back. What the client writes is kept at every
// step; a signature, the words signed and the answers in the consultation are written together or not at all.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { factsOfAnswers, FACT_WORDS, isAnswered, QUESTIONS, type Fact, type FoundFact } from '../../core/screening';
import { ok, yearsBetween } from '../../core/shared';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { CardFact, Consult, FormData, Signature, Spot } from '../db/schema';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { readClient, updateClient } from '../repos/clientRepo';
import { formsOf, insertConsent, insertForm, notePins, readForm, updateForm, type FormRow } from '../repos/formRepo';
import { readPeople, readPerson, readStudio, setPin } from '../repos/studioRepo';
import { lastVisitOn, readVisit, updateVisit, visitCount, type VisitRow } from '../repos/visitRepo';
import { standingFacts } from './openVisit';
import { consentOf, currentConsent } from './ownTexts';
import { hashPin, personOfPin, waitAfterMs } from './pin';

const EMPTY: FormData = {
  v: 1,
  answers: [],
  noLonger: [],
  spots: [],
  bornOn: null,
  words: '',
  guardianName: '',
  page: 0,
};

/**
 * Hands the tablet over: a form that was begun and taken back is gone on with. Without any PIN in the studio one is
 * chosen first.
 */
export function handOver(
  db: Db,
  visitId: string,
  body: { readonly personId: string; readonly newPin?: string | undefined },
  nowMs: number,
): ServiceResult<{ readonly formId: string }> {
  return atomically(db, () => {
    const visit = readVisit(db, visitId);
    if (!visit) return notFound('visit');
    if (visit.status === 'closed') return refused('The visit is closed; its record stands as it is.', 'visit');
    const person = readPerson(db, body.personId);
    if (!person) return notFound('person');
    if (person.pinHash === null && body.newPin === undefined) {
      return refused('Choose a PIN first: with it you take the tablet back.', 'newPin');
    }
    if (person.pinHash !== null && body.newPin !== undefined) {
      return refused('A PIN is set already; it is changed in the studio’s settings.', 'newPin');
    }
    const [last] = formsOf(db, visitId);
    if (body.newPin !== undefined) setPin(db, person.id, hashPin(body.newPin));
    if (last && last.state !== 'signed') {
      mustWrite(updateForm(db, last.id, last.version, { state: 'filling', endedAtMs: null }), 'the form');
      return ok({ formId: last.id });
    }
    const formId = randomUUID();
    insertForm(db, {
      id: formId,
      visitId,
      clientId: visit.clientId,
      data: last ? { ...last.data, page: 0 } : EMPTY,
      createdAtMs: nowMs,
    });
    return ok({ formId });
  });
}

export interface ClientForm {
  readonly id: string;
  readonly version: number;
  readonly state: FormRow['state'];
  readonly data: FormData;
  readonly on: string;
  readonly clientName: string;
  readonly bornOn: string | null;
  /** Date of the last visit; null for a newcomer. */
  readonly lastOn: string | null;
  /** What the card says is always so, in the client's words. */
  readonly standing: readonly { readonly fact: Fact; readonly label: string }[];
  readonly consent: { readonly version: number; readonly paragraphs: readonly string[]; readonly guardian: string };
  readonly studioName: string;
}

const clientLabel = (fact: Fact): string =>
  QUESTIONS.flatMap((q) => q.choices.map((c) => ({ ...c, yes: c.label.startsWith('Yes'), q: q.text }))).find(
    (c) => c.fact === fact && !c.yes,
  )?.label ?? FACT_WORDS[fact];

export function loadForm(db: Db, formId: string): ServiceResult<ClientForm> {
  const form = readForm(db, formId);
  const visit = form && readVisit(db, form.visitId);
  const client = form && readClient(db, form.clientId);
  if (!form || !visit || !client) return notFound('form');
  return ok({
    id: form.id,
    version: form.version,
    state: form.state,
    data: form.data,
    on: visit.onDate,
    clientName: client.name,
    bornOn: client.bornOn,
    lastOn: lastVisitOn(db, client.id),
    standing: standingFacts(client.profile, visit.onDate).map((f) => ({ fact: f.fact, label: clientLabel(f.fact) })),
    consent: currentConsent(db),
    studioName: readStudio(db)?.name ?? '',
  });
}

export function saveForm(
  db: Db,
  formId: string,
  body: { readonly version: number; readonly data: FormData },
): ServiceResult<{ readonly version: number }> {
  return atomically(db, () => {
    const form = readForm(db, formId);
    if (!form) return notFound('form');
    if (form.state !== 'filling') return refused('This form is no longer open. What you wrote is kept.', 'state');
    if (form.version !== body.version) return stale({ version: form.version, data: form.data });
    mustWrite(updateForm(db, formId, body.version, { data: body.data }), 'the form');
    return ok({ version: body.version + 1 });
  });
}

export interface SignForm {
  readonly version: number;
  readonly data: FormData;
  readonly textVersion: number;
  readonly signerName: string;
  readonly signature: Signature;
  readonly guardianSignature: Signature | null;
}

/** First fault that keeps a form from being signed, with its path; null where it may be. */
function signFault(
  body: SignForm,
  clientBornOn: string | null,
  returning: boolean,
  on: string,
): readonly [string, string] | null {
  const open = QUESTIONS.find((q) => (!returning || q.eachTime) && !isAnswered(body.data.answers, q.id));
  if (open) return [`“${open.text}” has no answer yet.`, `data.answers.${open.id}`];
  const bornOn = clientBornOn ?? body.data.bornOn;
  if (bornOn === null) return ['The date of birth is missing.', 'data.bornOn'];
  if (bornOn > on) return ['The date of birth lies ahead.', 'data.bornOn'];
  if (body.signature.kind === 'drawn' && body.signature.strokes.flat().length < 8) {
    return ['The signature is missing.', 'signature'];
  }
  if (yearsBetween(bornOn, on) < 18 && (body.guardianSignature === null || body.data.guardianName.trim() === '')) {
    return ['Under 18: a parent or guardian signs too.', 'guardianSignature'];
  }
  return null;
}

/**
 * The consultation with what the client has said: the card's lasting facts, less what is no longer so, and the answers.
 */
export function mergedConsult(
  consult: Consult,
  standing: readonly FoundFact[],
  data: FormData,
  on: string,
  guardian: boolean,
): Consult {
  const { found, asked, unsure } = factsOfAnswers(data.answers, on);
  const stays = standing.filter((f) => !data.noLonger.includes(f.fact) && !found.some((g) => g.fact === f.fact));
  return {
    ...consult,
    facts: [...stays, ...found],
    asked: [...new Set([...asked, ...stays.map((f) => f.fact), ...data.noLonger])],
    unsure,
    spots: data.spots as readonly Spot[],
    consent: true,
    guardianConsent: consult.guardianConsent || guardian,
    confirmedAtMs: null,
    judged: null,
  };
}

export function signForm(
  db: Db,
  formId: string,
  body: SignForm,
  nowMs: number,
): ServiceResult<{ readonly version: number }> {
  return atomically(db, () => {
    const form = readForm(db, formId);
    const visit = form && readVisit(db, form.visitId);
    const client = form && readClient(db, form.clientId);
    if (!form || !visit || !client) return notFound('form');
    if (form.state !== 'filling' || visit.status === 'closed') {
      return refused('This form is no longer open. What you wrote is kept.', 'state');
    }
    if (form.version !== body.version) return stale({ version: form.version, data: form.data });
    const fault = signFault(body, client.bornOn, visitCount(db, client.id) > 0, visit.onDate);
    if (fault) return refused(fault[0], fault[1]);
    if (!consentOf(db, body.textVersion)) return refused('These are not the words of this studio.', 'textVersion');
    const signed = { data: body.data, state: 'signed' as const, endedAtMs: nowMs };
    mustWrite(updateForm(db, formId, body.version, signed), 'the form');
    putConsents(db, visit, body, nowMs);
    const guardian = body.guardianSignature !== null;
    const standing: readonly CardFact[] = standingFacts(client.profile, visit.onDate);
    const consult = mergedConsult(visit.consult, standing, body.data, visit.onDate, guardian);
    const heard = { consult, consultVersion: visit.version + 1 };
    mustWrite(updateVisit(db, visit.id, visit.version, heard), 'the visit');
    const card = {
      bornOn: client.bornOn ?? body.data.bornOn,
      profile: {
        ...client.profile,
        consentOn: visit.onDate,
        guardianConsentOn: guardian ? visit.onDate : client.profile.guardianConsentOn,
      },
    };
    mustWrite(updateClient(db, client.id, client.version, card), 'the card');
    return ok({ version: body.version + 1 });
  });
}

/** Keeps the very words that were signed, with the signatures. */
function putConsents(db: Db, visit: VisitRow, body: SignForm, nowMs: number): void {
  const text = consentOf(db, body.textVersion) ?? currentConsent(db);
  const consent = { clientId: visit.clientId, visitId: visit.id, textVersion: text.version, atMs: nowMs };
  insertConsent(db, {
    ...consent,
    id: randomUUID(),
    words: text.paragraphs.join('\n'),
    signedBy: 'client',
    signerName: body.signerName,
    signature: body.signature,
  });
  if (!body.guardianSignature) return;
  insertConsent(db, {
    ...consent,
    id: randomUUID(),
    words: [...text.paragraphs, text.guardian].join('\n'),
    signedBy: 'guardian',
    signerName: body.data.guardianName,
    signature: body.guardianSignature,
  });
}

/**
 * Takes the tablet back with a practitioner's PIN; an unsigned form is kept as far as it was filled in. A wrong PIN is
 * counted, so this refusal is written down too.
 */
export async function takeBack(
  db: Db,
  formId: string,
  pin: string,
  nowMs: number,
): Promise<ServiceResult<{ readonly visitId: string; readonly personId: string }>> {
  const form = readForm(db, formId);
  if (!form) return notFound('form');
  if (nowMs < form.pinWaitUntilMs) {
    return refused(`Too many wrong PINs: wait ${Math.ceil((form.pinWaitUntilMs - nowMs) / 1000)} seconds.`, 'pin');
  }
  // counted before it is looked at: many at once are no more than one after the other
  const wrong = form.wrongPins + 1;
  notePins(db, formId, wrong, nowMs + waitAfterMs(wrong));
  const personId = await personOfPin(db, pin);
  if (personId === null) {
    return refused(
      readPeople(db).some((p) => p.pinHash !== null)
        ? 'That is not a PIN of this studio.'
        : 'No PIN has been chosen yet.',
      'pin',
    );
  }
  return atomically(db, () => {
    notePins(db, formId, 0, 0);
    const now = readForm(db, formId);
    if (now?.state === 'filling') {
      mustWrite(updateForm(db, formId, now.version, { state: 'taken-back', endedAtMs: nowMs }), 'the form');
    }
    return ok({ visitId: form.visitId, personId });
  });
}
