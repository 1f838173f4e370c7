// Two cards of one person made one, and parted again where it was not one person after all.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { dateInWords, ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { CardBefore } from '../db/schema';
import { notFound, refused, type ServiceResult } from '../errors';
import { clientName, insertEdit, readClient, updateClient, type ClientRow } from '../repos/clientRepo';
import { erasureOf, isAtTable, whileErasing } from '../repos/erasingRepo';
import { carryRows, insertMerge, mergesOf, readMerge, rowsToCarry, setParted } from '../repos/mergeRepo';
import { peopleNames, readStudio } from '../repos/studioRepo';
import { visitCount } from '../repos/visitRepo';
import { mergedCard } from './mergedCard';

const LONGEST_NOTE = 4000;
const LONGEST_PHONE = 60;

const beforeOf = ({ name, byline, bornOn, phone, note, profile, archivedAtMs }: ClientRow): CardBefore => ({
  ...{ name, byline, bornOn, phone, note, archivedAtMs },
  // a profile that cannot be read must not be copied over: this complains
  profile: { ...profile },
});

export interface MergeBy {
  readonly byId: string | null;
  readonly nowMs: number;
}

/** Why two cards cannot be put together; null where they can. */
function mergeFault(db: Db, kept: ClientRow, gone: ClientRow, nowMs: number): string | null {
  if (kept.id === gone.id) return 'That is this very card.';
  if (erasureOf(db, kept.id) ?? erasureOf(db, gone.id)) return 'A card of a person who was erased stays as it is.';
  if (mergesOf(db, gone.id).some((m) => m.goneId === gone.id)) {
    return 'That card was put together with another already.';
  }
  if (mergesOf(db, kept.id).some((m) => m.goneId === kept.id)) {
    return 'This card was put together with another already.';
  }
  if (kept.bornOn !== null && gone.bornOn !== null && kept.bornOn !== gone.bornOn) {
    return 'Their days of birth differ: two people, or one of them is mistyped. Mend that first.';
  }
  if ([kept, gone].some((c) => isAtTable(db, c.id, nowMs))) {
    return 'A visit is under way: close it first.';
  }
  const { note, phone } = mergedCard(beforeOf(kept), beforeOf(gone));
  if (phone.length > LONGEST_PHONE) return 'Both telephones together are too long for one card: take one out first.';
  return note.length > LONGEST_NOTE ? 'Both notes together are too long for one card: shorten one first.' : null;
}

export interface MergeLook {
  readonly name: string;
  readonly byline: string;
  readonly bornOn: string | null;
  readonly phone: string;
  readonly visits: number;
  /** Null where they can be put together. */
  readonly fault: string | null;
}

/** The other card, and whether it can be put together with this one. */
export function lookAtMerge(db: Db, keptId: string, goneId: string, nowMs: number): ServiceResult<MergeLook> {
  const [kept, gone] = [readClient(db, keptId), readClient(db, goneId)];
  if (!kept || !gone) return notFound('client');
  const { name, byline, bornOn, phone } = gone;
  const fault = mergeFault(db, kept, gone, nowMs);
  return ok({ name, byline, bornOn, phone, visits: visitCount(db, goneId), fault });
}

/** Carries everything of `goneId` over to `keptId` and archives it. */
export function mergeCards(
  db: Db,
  keptId: string,
  goneId: string,
  { byId, nowMs }: MergeBy,
): ServiceResult<{ readonly id: string }> {
  return atomically(db, () => {
    const [kept, gone] = [readClient(db, keptId), readClient(db, goneId)];
    if (!kept || !gone) return notFound('client');
    const fault = mergeFault(db, kept, gone, nowMs);
    if (fault !== null) return refused(fault, 'goneId');
    const moved = rowsToCarry(db, keptId, goneId);
    whileErasing(db, keptId, () => carryRows(db, moved, goneId, keptId));
    const undo = { v: 1 as const, moved, kept: beforeOf(kept), gone: beforeOf(gone) };
    mustWrite(updateClient(db, keptId, kept.version, mergedCard(undo.kept, undo.gone)), 'the card that is kept');
    mustWrite(updateClient(db, goneId, gone.version, { archivedAtMs: nowMs }), 'the other card');
    const id = randomUUID();
    insertMerge(db, { id, keptId, goneId, atMs: nowMs, byId, undo });
    const edit = (clientId: string, to: string): void =>
      insertEdit(db, { clientId, personId: byId, atMs: nowMs, changes: [{ field: 'card', from: 'its own', to }] });
    edit(keptId, 'put together with another card of this person');
    edit(goneId, 'put together with another card of this person');
    return ok({ id });
  });
}

/** What is compared to see whether anybody has changed the card since. */
const fieldsOf = ({ name, byline, bornOn, phone, note, profile }: Omit<CardBefore, 'archivedAtMs'>): string =>
  JSON.stringify([
    name,
    byline,
    bornOn,
    phone,
    note,
    Object.entries(profile)
      .filter(([, v]) => v !== undefined)
      .sort(),
  ]);

/**
 * Parts two cards again: what came over goes back, what was done since stays with the card that was kept. Fields of
 * that one are as before, but where somebody has changed the card since: then they stay (`changedSince`).
 */
export function partCards(
  db: Db,
  clientId: string,
  mergeId: string,
  { byId, nowMs }: MergeBy,
): ServiceResult<{ readonly changedSince: boolean }> {
  return atomically(db, () => {
    const merge = readMerge(db, mergeId);
    if (merge?.keptId !== clientId || merge.undoneAtMs !== null) return notFound('merge');
    const later = mergesOf(db, clientId)[0];
    if (later && later.id !== mergeId) return refused('Part the card that came last first.', 'mergeId');
    const { keptId, goneId, undo } = merge;
    const [kept, gone] = [readClient(db, keptId), readClient(db, goneId)];
    if (!kept || !gone) return notFound('client');
    if (isAtTable(db, keptId, nowMs)) return refused('A visit is under way: close it first.', 'mergeId');
    whileErasing(db, keptId, () => carryRows(db, undo.moved, keptId, goneId));
    const changedSince = fieldsOf(kept) !== fieldsOf(mergedCard(undo.kept, undo.gone));
    if (!changedSince) mustWrite(updateClient(db, keptId, kept.version, undo.kept), 'the card that was kept');
    mustWrite(updateClient(db, goneId, gone.version, undo.gone), 'the other card');
    setParted(db, mergeId, nowMs);
    const changes = [{ field: 'card', from: 'put together', to: 'parted again' }];
    for (const id of [keptId, goneId]) insertEdit(db, { clientId: id, personId: byId, atMs: nowMs, changes });
    return ok({ changedSince });
  });
}

export interface Together {
  readonly id: string;
  readonly otherId: string;
  readonly name: string;
  readonly on: string;
  readonly by: string;
  /** True of the card that everything was carried over to. */
  readonly isKept: boolean;
  /** Only what came last can be parted. */
  readonly canPart: boolean;
}

/** Cards that this one was put together with. */
export function togetherWith(db: Db, clientId: string): readonly Together[] {
  const names = peopleNames(db);
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  return mergesOf(db, clientId).map((m, i) => {
    const isKept = m.keptId === clientId;
    const otherId = isKept ? m.goneId : m.keptId;
    return {
      ...{ id: m.id, otherId, isKept, name: clientName(db, otherId), canPart: isKept && i === 0 },
      ...{ on: dateInWords(civilDateAt(m.atMs, timeZone)), by: names.get(m.byId ?? '') ?? '' },
    };
  });
}
