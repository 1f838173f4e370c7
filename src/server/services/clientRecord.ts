// One client's whole record: card, history of the card, visits with charts, readings and journal, consents, forms,
// messages and bookings. What is exported, and what the readable print is made from. The visits are read one after the
// other as they are asked for: twenty years of them must hold nobody up.

import 'server-only';
import type { TableEvent } from '../../core/hands';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { readable } from '../db/json';
import type { ChartData, Consult, Reading } from '../db/schema';
import { notFound, type ServiceResult } from '../errors';
import {
  bookingsOfClient,
  editsOf,
  readClient,
  type BookingRow,
  type ClientEditRow,
  type ClientRow,
} from '../repos/clientRepo';
import { pastVisitsOf, type PastVisitRow } from '../repos/importRepo';
import {
  consentEndsOf,
  consentsOf,
  formsOf,
  messagesOf,
  type ConsentEndRow,
  type ConsentRow,
  type FormRow,
  type MessageRow,
} from '../repos/formRepo';
import { homeCareOf } from '../repos/homeCareRepo';
import { journalOf } from '../repos/journalRepo';
import { peopleNames, readStudio } from '../repos/studioRepo';
import { careOf } from '../repos/pastRepo';
import { chartsOf, readConsult, readingsOf, visitHeads, type VisitHead } from '../repos/visitRepo';
import { workedAt } from '../repos/workedRepo';

export interface RecordHead {
  readonly format: 'strickle-client-record';
  readonly version: 1;
  readonly studio: string;
  /** IANA zone of the studio: its days are meant wherever an instant is given. */
  readonly timeZone: string;
  readonly currency: string;
  readonly exportedAt: string;
  readonly client: ClientRow;
  readonly edits: readonly (Omit<ClientEditRow, 'personId'> & { readonly by: string })[];
  readonly consents: readonly ConsentRow[];
  readonly messages: readonly MessageRow[];
  readonly bookings: readonly BookingRow[];
  /** Consents that were taken back. */
  readonly consentEnds: readonly ConsentEndRow[];
  /** Visits of before this book, as they were told. */
  readonly pastVisits: readonly PastVisitRow[];
}

interface Place {
  readonly zone: string;
  readonly side: string;
}
export interface RecordVisit {
  readonly id: string;
  readonly onDate: string;
  readonly status: string;
  readonly endedAs: string | null;
  readonly by: string;
  readonly consult: Consult;
  readonly charts: readonly (Place & { readonly data: ChartData })[];
  readonly readings: readonly (Place & { readonly data: Reading })[];
  readonly journal: readonly TableEvent[];
  readonly care: readonly { readonly whenTold: string; readonly text: string }[];
  /** What was advised for home, and what was said of it later (null = nothing). */
  readonly homeCare: readonly { readonly item: string; readonly kept: string | null }[];
  readonly forms: readonly Pick<FormRow, 'state' | 'data' | 'createdAtMs' | 'endedAtMs'>[];
  /** What was chosen, zone by zone; not every option that was weighed. */
  readonly worked: readonly (Place & {
    readonly choice: { readonly product: string; readonly way: string };
    readonly targetC: number | null;
  })[];
}
/** Stands for a visit of which something cannot be read. */
export interface DamagedVisit extends Pick<RecordVisit, 'id' | 'onDate' | 'status' | 'by'> {
  readonly damaged: true;
}

export interface ClientRecord {
  readonly head: RecordHead;
  /** Latest first; read as they are asked for. */
  readonly visits: Iterable<RecordVisit | DamagedVisit>;
}

function recordVisit(db: Db, v: VisitHead, by: string): RecordVisit | DamagedVisit {
  const { id, onDate, status, endedAs } = v;
  return readable<RecordVisit | DamagedVisit>(
    () => ({
      id,
      onDate,
      status,
      endedAs,
      by,
      consult: readConsult(db, id),
      charts: chartsOf(db, id).map(({ zone, side, data }) => ({ zone, side, data: { ...data } })),
      readings: readingsOf(db, id).map(({ zone, side, data }) => ({ zone, side, data: { ...data } })),
      journal: journalOf(db, id),
      care: careOf(db, id),
      homeCare: homeCareOf(db, id).map(({ item, kept }) => ({ item, kept })),
      forms: formsOf(db, id).map(({ state, data, createdAtMs, endedAtMs }) => ({
        state,
        data: { ...data },
        createdAtMs,
        endedAtMs,
      })),
      worked: workedAt(db, id).map(({ zone, side, product, way, touchC }) => ({
        zone,
        side,
        choice: { product, way },
        targetC: touchC,
      })),
    }),
    { id, onDate, status, by, damaged: true },
  );
}

export function clientRecord(db: Db, clientId: string, nowMs: number): ServiceResult<ClientRecord> {
  const client = readClient(db, clientId);
  if (!client) return notFound('client');
  const names = peopleNames(db);
  const { name = '', timeZone = 'UTC', currency = 'EUR' } = readStudio(db) ?? {};
  const visits = visitHeads(db, clientId);
  return ok({
    head: {
      format: 'strickle-client-record',
      version: 1,
      studio: name,
      ...{ timeZone, currency },
      exportedAt: new Date(nowMs).toISOString(),
      client,
      edits: editsOf(db, clientId).map(({ personId, ...e }) => ({
        ...e,
        by: personId === null ? '' : (names.get(personId) ?? ''),
      })),
      consents: consentsOf(db, clientId),
      messages: messagesOf(db, clientId),
      bookings: bookingsOfClient(db, clientId),
      consentEnds: consentEndsOf(db, clientId),
      pastVisits: pastVisitsOf(db, clientId),
    },
    visits: {
      *[Symbol.iterator]() {
        for (const v of visits) yield recordVisit(db, v, names.get(v.personId) ?? '');
      },
    },
  });
}

/** The record as JSON text, piece by piece: one object, its visits last. */
export function* recordJson({ head, visits }: ClientRecord): Generator<string> {
  yield `${JSON.stringify(head, null, 2).slice(0, -2)},\n  "visits": [`;
  let between = '\n';
  for (const visit of visits) {
    yield `${between}${JSON.stringify(visit, null, 2)}`;
    between = ',\n';
  }
  yield '\n  ]\n}\n';
}
