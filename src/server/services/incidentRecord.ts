// The record of what went wrong at a visit, to be printed: what was written, latest first, with what it corrects, and
// the acts of the table round it.

import { withHeat } from '../../formats/heat';
import 'server-only';
import { incidentLines, standing, type TableEvent } from '../../core/hands';
import { ok } from '../../core/shared';
import { timeInWords } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { readClient } from '../repos/clientRepo';
import { journalOf } from '../repos/journalRepo';
import { readPerson, readStudio } from '../repos/studioRepo';
import { readVisit } from '../repos/visitRepo';
import type { RecordBlock } from './recordBlocks';
import { incidentNames } from './recordWords';

/** Acts of the table shown before a stop. */
const ACTS_BEFORE = 8;
const ACT_WORDS: Readonly<Partial<Record<TableEvent['kind'], string>>> = {
  wrist: 'wrist test',
  reheat: 'pot warmed or changed',
  spread: 'spread',
  laid: 'laid',
  lump: 'fresh lump',
  pulled: 'off',
  stop: 'stopped',
};

const text = (kind: 'heading' | 'line' | 'quiet' | 'title', words: string): RecordBlock => ({ kind, text: words });

/** The acts up to the last stop, oldest first. */
function actsRound(events: readonly TableEvent[], time: (atMs: number) => string): readonly string[] {
  const counted = standing(events).filter((e) => e.kind in ACT_WORDS);
  const stop = counted.findLastIndex((e) => e.kind === 'stop');
  const shown = stop < 0 ? counted.slice(-ACTS_BEFORE) : counted.slice(Math.max(0, stop - ACTS_BEFORE), stop + 1);
  return shown.map((e) => `${time(e.atMs)}  ${ACT_WORDS[e.kind] ?? ''} ${e.strip ?? e.product ?? ''}`.trim());
}

/** Blocks of the printed record; not found where nothing was written. */
export function incidentRecord(db: Db, visitId: string): ServiceResult<readonly RecordBlock[]> {
  const visit = readVisit(db, visitId);
  const client = visit && readClient(db, visit.clientId);
  const studio = readStudio(db);
  if (!visit || !client || !studio) return notFound('visit');
  const events = journalOf(db, visitId);
  const written = events.flatMap((e) => (e.incident ? [{ ...e, incident: e.incident }] : [])).reverse();
  if (written.length === 0) return notFound('incident record');
  const names = incidentNames(studio.timeZone);
  const time = (atMs: number): string => timeInWords(atMs, studio.timeZone);
  const corrected = new Set(written.map((e) => e.incident.corrects));
  const person = readPerson(db, visit.personId)?.name ?? '';
  return ok([
    text('title', 'Incident record'),
    text('quiet', `${studio.name} · visit of ${visit.onDate} · ${person}. Confidential.`),
    text('heading', client.name),
    text(
      'line',
      [client.byline, client.bornOn ? `born ${client.bornOn}` : '', client.phone].filter(Boolean).join(' · '),
    ),
    ...written.flatMap((e) => [
      text('heading', `Written at ${time(e.atMs)}${corrected.has(e.id) ? ', corrected since' : ''}`),
      ...incidentLines(e.incident, names).map((l) => text(corrected.has(e.id) ? 'quiet' : 'line', withHeat(l))),
    ]),
    text('heading', 'At the table'),
    ...actsRound(events, time).map((l) => text('line', withHeat(l))),
    text('heading', 'Signed'),
    text('line', 'Practitioner: ______________________      Client: ______________________      Date: ____________'),
  ]);
}
