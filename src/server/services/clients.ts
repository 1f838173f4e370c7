// Clients: search, card, new, change.

import 'server-only';
import { randomUUID } from 'node:crypto';
import {
  bookingsOfClient,
  editsOf,
  insertClient,
  insertEdit,
  readClient,
  updateClient,
  type ClientRow,
} from '../repos/clientRepo';
import { consentsOf, messagesOf, type MessageRow } from '../repos/formRepo';
import { homeCareOfVisits } from '../repos/homeCareRepo';
import { chartsOfClient, readingsOfClient } from '../repos/pastRepo';
import { closedVisits, damagedVisits, visitCount, visitOfBooking, visitsNotDone } from '../repos/visitRepo';
import { workedOfClient } from '../repos/workedRepo';
import { homeCareWords } from '../../core/care';
import { observationsOf } from '../../core/hair';
import { ZONES, type Side, type ZoneId } from '../../core/anatomy';
import type { Mark } from '../../core/field';
import { isSaid, trialWords } from '../../core/reading';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { ClientProfile, Signature } from '../db/schema';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { readPerson, readProducts, readStudio } from '../repos/studioRepo';
import { alertsOf } from './alerts';
import { cardBefore, type CardBefore } from './cardBefore';
import { cardChanges } from './cardChanges';
import { clientMarks, zonePasts } from './history';
import { learnedGrowth } from './learned';
import { lessonsOf } from './lessons';
import { trialsOf } from './trials';
import { zoneName } from './planCase';

export interface ClientFields {
  readonly name: string;
  readonly byline: string;
  readonly bornOn: string | null;
  readonly phone: string;
  readonly note: string;
  readonly profile: ClientProfile;
}

export function createClient(db: Db, fields: ClientFields, nowMs: number): ServiceResult<{ readonly id: string }> {
  const id = randomUUID();
  return atomically(db, () => {
    insertClient(db, { id, ...fields, createdAtMs: nowMs });
    return ok({ id });
  });
}

/** Changes a card and writes down who changed what. */
export function changeClient(
  db: Db,
  id: string,
  { version, ...fields }: ClientFields & { readonly version: number },
  personId: string | null,
  nowMs: number,
): ServiceResult<{ readonly version: number }> {
  return atomically(db, () => {
    const known = readClient(db, id);
    if (!known) return notFound('client');
    if (!updateClient(db, id, version, fields)) return stale(known);
    const changes = cardChanges(known, fields);
    if (changes.length > 0) insertEdit(db, { clientId: id, personId, atMs: nowMs, changes });
    return ok({ version: version + 1 });
  });
}

/** Puts a card away or takes it out again; nothing of the record is lost. */
export function archiveClient(
  db: Db,
  id: string,
  body: { readonly version: number; readonly archived: boolean },
  personId: string | null,
  nowMs: number,
): ServiceResult<{ readonly version: number }> {
  return atomically(db, () => {
    const known = readClient(db, id);
    if (!known) return notFound('client');
    if (body.archived && bookingsOfClient(db, id).some((b) => b.status === 'booked' && b.startsAtMs > nowMs)) {
      return refused('A visit is booked ahead: give it up first, then put the card away.', 'archived');
    }
    if (!updateClient(db, id, body.version, { archivedAtMs: body.archived ? nowMs : null })) return stale(known);
    const [from, to] = body.archived ? ['in use', 'archived'] : ['archived', 'in use'];
    insertEdit(db, { clientId: id, personId, atMs: nowMs, changes: [{ field: 'card', from, to }] });
    return ok({ version: body.version + 1 });
  });
}

export interface ClientCard extends CardBefore {
  readonly client: ClientRow;
  readonly alerts: readonly string[];
  /** What was remarked three times, with the zone's name. */
  /** What was tried side by side, latest first, in words. */
  readonly trials: readonly string[];
  readonly lessons: readonly { readonly name: string; readonly words: string; readonly times: number }[];
  readonly timeZone: string;
  readonly zones: readonly {
    readonly zone: ZoneId;
    readonly side: Side;
    readonly name: string;
    readonly lastOn: string;
    readonly lengths: readonly { readonly on: string; readonly lengthMm: number }[];
    readonly rateFactor: number;
    readonly visits: number;
  }[];
  readonly visits: readonly {
    readonly id: string;
    readonly on: string;
    readonly zones: readonly string[];
    readonly product: string;
    readonly targetC: number | null;
    readonly felt: string | null;
    readonly tweezed: number;
    /** Every zone read says that nothing is left. */
    readonly cleared: boolean;
    readonly isRead: boolean;
    readonly notes: readonly string[];
    /** What was advised for home then, and what was said of it later. */
    readonly home: string;
  }[];
  /** How many there are; `visits` may be the latest of them. */
  readonly visitCount: number;
  /** Marks that stay with the client, as last looked at. */
  readonly marks: readonly { readonly name: string; readonly mark: Mark }[];
  /** Put off or declined, latest first. */
  readonly notDone: readonly {
    readonly id: string;
    readonly on: string;
    readonly endedAs: 'postponed' | 'declined';
    readonly why: readonly string[];
  }[];
  readonly consents: readonly {
    readonly id: string;
    readonly atMs: number;
    readonly textVersion: number;
    readonly signedBy: 'client' | 'guardian';
    readonly signerName: string;
    readonly signature: Signature;
  }[];
  readonly messages: readonly {
    readonly id: string;
    readonly kind: MessageRow['kind'];
    readonly words: string;
    readonly createdAtMs: number;
    readonly postedAtMs: number | null;
  }[];
  readonly edits: readonly {
    readonly seq: number;
    readonly by: string;
    readonly atMs: number;
    readonly changes: readonly { readonly field: string; readonly from: string; readonly to: string }[];
  }[];
  readonly products: readonly { readonly id: string; readonly name: string }[];
  readonly today: string;
  readonly ahead: readonly {
    readonly bookingId: string;
    readonly startsAtMs: number;
    readonly minutes: number;
    readonly zones: readonly string[];
    readonly visitId: string | null;
  }[];
}

/** What cannot be read is said, not passed over. */
const damagedWords = (count: number): readonly string[] =>
  count === 0 ? [] : [`${count} earlier visits cannot be read in the data file: a backup has them whole.`];

const placeName = (zone: ZoneId, side: string): string =>
  side === 'middle' ? zoneName(zone) : `${zoneName(zone)}, ${side}`;

/** So many visits stand on the card at once; the others are asked for. */
const CARD_VISITS = 24;

/** @param all every visit, not only the latest */
export function loadClientCard(db: Db, id: string, nowMs: number, all = false): ServiceResult<ClientCard> {
  const client = readClient(db, id);
  const studio = readStudio(db);
  if (!client || !studio) return notFound('client');
  const on = civilDateAt(nowMs, studio.timeZone);
  const zones = [...zonePasts(db, id)].map(([key, past]) => {
    const [zone, side] = key.split('/') as [ZoneId, Side]; // keys are made from both by zonePasts
    const { hair } = past.last;
    const learned = learnedGrowth(
      ZONES[zone].growth,
      hair.history,
      observationsOf({ ...hair, lastWaxOn: undefined, past: past.past.slice(0, -1) }, past.lastOn),
    );
    return {
      zone,
      side,
      name: placeName(zone, side),
      lastOn: past.lastOn,
      lengths: past.past,
      rateFactor: learned.person.rateFactor,
      visits: learned.visits,
    };
  });
  const marks = [...clientMarks(db, id)].flatMap(([key, known]) => {
    const [zone, side] = key.split('/') as [ZoneId, Side]; // keys are made from both
    return known.marks.map(({ kind, at, radiusMm, note, since }) => ({
      name: placeName(zone, side),
      mark: { kind, at, radiusMm, ...(note ? { note } : {}), ...(since ? { since } : {}) },
    }));
  });
  const shown = closedVisits(db, id, all ? undefined : CARD_VISITS);
  const from = shown.at(-1)?.onDate;
  const readings = readingsOfClient(db, id, from);
  const charts = chartsOfClient(db, id, from);
  const firstWorked = new Map([...workedOfClient(db, id)].reverse().map((w) => [w.visitId, w]));
  const home = homeCareOfVisits(
    db,
    shown.map((v) => v.id),
  );
  const visits = shown.map((v) => {
    const read = (readings.get(v.id) ?? []).map((r) => r.data);
    const first = firstWorked.get(v.id);
    return {
      id: v.id,
      on: v.onDate,
      zones: (charts.get(v.id) ?? []).map((c) => placeName(c.zone, c.side)),
      product: first?.product ?? '',
      targetC: first?.touchC ?? null,
      felt: read.find((r) => isSaid(r, 'heatFelt'))?.heatFelt ?? null,
      tweezed: read.reduce((s, r) => s + r.tweezed, 0),
      // a zone that was not read says nothing
      cleared: read.length > 0 && read.every((r) => isSaid(r, 'left') && r.left === 'none'),
      isRead: read.length > 0,
      notes: read.flatMap((r) => (r.note === '' ? [] : [r.note])),
      home: homeCareWords(home.filter((h) => h.visitId === v.id)),
    };
  });
  const ahead = bookingsOfClient(db, id)
    .filter((b) => b.status === 'booked' && b.startsAtMs > nowMs - 12 * 3_600_000)
    .reverse()
    .map((b) => ({ booking: b, visit: visitOfBooking(db, b.id) }))
    .filter(({ visit }) => visit === undefined || visit.status === 'open' || visit.endedAs !== null)
    .map(({ booking: b, visit }) => ({
      bookingId: b.id,
      startsAtMs: b.startsAtMs,
      minutes: b.minutes,
      zones: b.zones.map((z) => placeName(z.zone, z.side)),
      visitId: visit?.id ?? null,
    }));
  const notDone = visitsNotDone(db, id).flatMap((v) =>
    v.endedAs === null
      ? []
      : [
          {
            id: v.id,
            on: v.onDate,
            endedAs: v.endedAs,
            why: [
              ...new Set(
                (v.consult.judged?.reasons ?? [])
                  .filter((r) => r.outcome === 'postpone' || r.outcome === 'decline')
                  .map((r) => r.text),
              ),
            ],
          },
        ],
  );
  return ok({
    client,
    ...cardBefore(db, id, all),
    alerts: [...alertsOf(client, on), ...damagedWords(damagedVisits(db, id))],
    trials: trialsOf(db, id).map((t) => trialWords(t, (p) => p.replaceAll('-', ' '))),
    lessons: lessonsOf(db, id).map(({ zone, side, words, times }) => ({ name: placeName(zone, side), words, times })),
    timeZone: studio.timeZone,
    zones,
    marks,
    visits,
    visitCount: visitCount(db, id),
    ahead,
    notDone,
    today: on,
    consents: consentsOf(db, id).map((c) => ({
      id: c.id,
      atMs: c.atMs,
      textVersion: c.textVersion,
      signedBy: c.signedBy,
      signerName: c.signerName,
      signature: c.signature,
    })),
    messages: messagesOf(db, id).map(({ id: messageId, kind, words, createdAtMs, postedAtMs }) => ({
      id: messageId,
      kind,
      words,
      createdAtMs,
      postedAtMs,
    })),
    edits: editsOf(db, id).map((e) => ({
      seq: e.seq,
      atMs: e.atMs,
      changes: e.changes,
      by: e.personId === null ? '' : (readPerson(db, e.personId)?.name ?? ''),
    })),
    products: readProducts(db).map((p) => ({ id: p.id, name: p.name })),
  });
}
