// The trail as it is looked through: by day, person, kind and client; names beside the ids, health words nowhere.

import 'server-only';
import { stringify } from 'csv-stringify/sync';
import { civilDateAt, instantAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { namesOfClients } from '../repos/clientRepo';
import { everybody } from '../repos/houseRepo';
import { readStudio } from '../repos/studioRepo';
import { trailLines, type TrailRow, type TrailWanted } from '../repos/trailRepo';
import { visitsOfClientIds } from '../repos/visitRepo';
import { addDays } from '../../core/shared';
import { trailWords } from '../../formats/trailWords';

export interface TrailAsked {
  readonly person?: string | undefined;
  readonly kind?: 'write' | 'read' | undefined;
  /** Civil date. */
  readonly on?: string | undefined;
  readonly client?: string | undefined;
  readonly before?: number | undefined;
}

export interface TrailLine {
  readonly seq: number;
  readonly atMs: number;
  readonly person: string | null;
  readonly tablet: string | null;
  readonly kind: TrailRow['kind'];
  readonly what: string;
  readonly path: string;
}

export interface TrailView {
  readonly lines: readonly TrailLine[];
  readonly hasMore: boolean;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly timeZone: string;
}

const PAGE = 100;
const SLICE = 500;

function wantedOf(db: Db, { person, kind, on, client, before }: TrailAsked, zone: string): TrailWanted {
  return {
    ...{ personId: person, kind, beforeSeq: before },
    ids: client === undefined ? undefined : [client, ...visitsOfClientIds(db, client)],
    fromMs: on === undefined ? undefined : instantAt(on, 0, 0, zone),
    toMs: on === undefined ? undefined : instantAt(addDays(on, 1), 0, 0, zone),
  };
}

function named(db: Db, rows: readonly TrailRow[]): readonly TrailLine[] {
  const people = new Map(everybody(db).map((p) => [p.id, p.name]));
  const ids = rows.flatMap((r) => /\/clients\/([\w-]+)/.exec(r.what)?.[1] ?? []);
  const clients = namesOfClients(db, [...new Set(ids)]);
  return rows.map(({ seq, atMs, personId, tablet, kind, what }): TrailLine => {
    const client = clients.get(/\/clients\/([\w-]+)/.exec(what)?.[1] ?? '');
    return {
      ...{ seq, atMs, tablet, kind, path: what },
      person: personId === null ? null : (people.get(personId) ?? personId),
      what: `${trailWords(what)}${client ? `: ${client}` : ''}`,
    };
  });
}

export function loadTrail(db: Db, asked: TrailAsked): TrailView {
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const rows = trailLines(db, wantedOf(db, asked, timeZone), PAGE + 1);
  return {
    lines: named(db, rows.slice(0, PAGE)),
    hasMore: rows.length > PAGE,
    people: everybody(db).map(({ id, name }) => ({ id, name })),
    timeZone,
  };
}

/** RFC 4180, the latest first, some hundred lines a piece. */
export function* trailCsv(db: Db, asked: TrailAsked): Generator<string> {
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const wanted = wantedOf(db, asked, timeZone);
  yield stringify([['line', 'time (UTC)', 'day', 'person', 'tablet', 'kind', 'what', 'hash']]);
  for (let beforeSeq = wanted.beforeSeq; ;) {
    const rows = trailLines(db, { ...wanted, beforeSeq }, SLICE);
    const last = rows.at(-1);
    if (!last) return;
    yield stringify(
      rows.map((r) => [
        ...[r.seq, new Date(r.atMs).toISOString(), civilDateAt(r.atMs, timeZone), r.personId ?? '', r.tablet ?? ''],
        ...[r.kind, r.what, r.hash],
      ]),
    );
    beforeSeq = last.seq;
  }
}
