// Consent that a client takes back: from then on nothing signed before counts, on the card and at every visit that is
// open; what was signed stays in the record as it was.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { insertEdit, readClient, updateClient } from '../repos/clientRepo';
import { erasureOf, isAtTable } from '../repos/erasingRepo';
import { insertConsentEnd } from '../repos/formRepo';
import { readStudio } from '../repos/studioRepo';
import { openVisitsOf, updateVisit } from '../repos/visitRepo';

export function endConsent(
  db: Db,
  clientId: string,
  { words }: { readonly words: string },
  { byId, nowMs }: { readonly byId: string | null; readonly nowMs: number },
): ServiceResult<{ readonly version: number }> {
  return atomically(db, () => {
    const client = readClient(db, clientId);
    if (!client) return notFound('client');
    if (erasureOf(db, clientId)) return refused('This person is erased already.');
    if (client.profile.consentOn === null) return refused('There is no consent on the card to take back.', 'words');
    if (isAtTable(db, clientId, nowMs)) {
      return refused('A visit is under way: stop, close it under Return, then write this down.', 'words');
    }
    const on = civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC');
    const profile = { ...client.profile, consentOn: null, guardianConsentOn: null, consentEndedOn: on };
    mustWrite(updateClient(db, clientId, client.version, { profile }), 'the card');
    insertConsentEnd(db, { id: randomUUID(), clientId, atMs: nowMs, byId, words: words.trim() });
    insertEdit(db, {
      ...{ clientId, personId: byId, atMs: nowMs },
      changes: [{ field: 'consent', from: `given on ${client.profile.consentOn}`, to: 'taken back' }],
    });
    for (const visit of openVisitsOf(db, clientId)) {
      const consult = {
        ...visit.consult,
        ...{ consent: false, guardianConsent: false, confirmedAtMs: null, judged: null },
      };
      mustWrite(
        updateVisit(db, visit.id, visit.version, { consult, consultVersion: visit.version + 1 }),
        'an open visit',
      );
    }
    return ok({ version: client.version + 1 });
  });
}
