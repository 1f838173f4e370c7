// One client's whole record as one value: card, history of the card, visits with charts, readings and journal,
// consents, forms, messages and bookings. What is exported, and what the readable print is made from.

import 'server-only';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { workedOfClient, type WorkedRow } from '../repos/workedRepo';
import { notFound, type ServiceResult } from '../errors';
import {
  bookingsOfClient,
  editsOf,
  readClient,
  type BookingRow,
  type ClientEditRow,
  type ClientRow,
} from '../repos/clientRepo';
import { consentsOf, formsOfClient, messagesOf, type ConsentRow, type MessageRow } from '../repos/formRepo';
import { peopleNames, readStudio } from '../repos/studioRepo';
import { careOfClient, fullChartsOfClient, journalsOfClient, readingsOfClient } from '../repos/pastRepo';
import { allVisits } from '../repos/visitRepo';

export interface ClientRecord {
  readonly format: 'strickle-client-record';
  readonly version: 1;
  readonly studio: string;
  /** IANA zone of the studio: its days are meant wherever an instant is given. */
  readonly timeZone: string;
  readonly exportedAt: string;
  readonly client: ClientRow;
  readonly edits: readonly (Omit<ClientEditRow, 'personId'> & { readonly by: string })[];
  readonly consents: readonly ConsentRow[];
  readonly messages: readonly MessageRow[];
  readonly bookings: readonly BookingRow[];
  readonly visits: readonly Readonly<Record<string, unknown>>[];
}

/** The record; the plan of each visit is given with what was chosen, not with every option that was weighed. */
export function clientRecord(db: Db, clientId: string, nowMs: number): ServiceResult<ClientRecord> {
  const client = readClient(db, clientId);
  if (!client) return notFound('client');
  const worked = new Map<string, WorkedRow[]>();
  for (const w of workedOfClient(db, clientId)) worked.set(w.visitId, [...(worked.get(w.visitId) ?? []), w]);
  const charts = fullChartsOfClient(db, clientId);
  const readings = readingsOfClient(db, clientId);
  const journals = journalsOfClient(db, clientId);
  const care = careOfClient(db, clientId);
  const forms = formsOfClient(db, clientId);
  const names = peopleNames(db);
  const { name = '', timeZone = 'UTC' } = readStudio(db) ?? {};
  return ok({
    format: 'strickle-client-record',
    version: 1,
    studio: name,
    timeZone,
    exportedAt: new Date(nowMs).toISOString(),
    client,
    edits: editsOf(db, clientId).map(({ personId, ...e }) => ({
      ...e,
      by: personId === null ? '' : (names.get(personId) ?? ''),
    })),
    consents: consentsOf(db, clientId),
    messages: messagesOf(db, clientId),
    bookings: bookingsOfClient(db, clientId),
    visits: allVisits(db, clientId).map((v) => {
      return {
        id: v.id,
        onDate: v.onDate,
        status: v.status,
        endedAs: v.endedAs,
        by: names.get(v.personId) ?? '',
        consult: v.consult,
        charts: (charts.get(v.id) ?? []).map(({ zone, side, data }) => ({ zone, side, data })),
        readings: (readings.get(v.id) ?? []).map(({ zone, side, data }) => ({ zone, side, data })),
        journal: journals.get(v.id) ?? [],
        care: care.get(v.id) ?? [],
        forms: (forms.get(v.id) ?? []).map(({ state, data, createdAtMs, endedAtMs }) => ({
          state,
          data,
          createdAtMs,
          endedAtMs,
        })),
        worked: (worked.get(v.id) ?? []).map(({ zone, side, product, way, touchC }) => ({
          zone,
          side,
          choice: { product, way },
          targetC: touchC,
        })),
      };
    }),
  });
}
