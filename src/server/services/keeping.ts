// For how long what is no longer needed is kept, by the studio's own setting: messages go by themselves; cards are
// named, and a person says that they go. Which term is right is the law's to say, not ours.

import 'server-only';
import { addMonths, ok } from '../../core/shared';
import { civilDateAt, instantAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { KeepingSettings } from '../db/schema';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { clientName } from '../repos/clientRepo';
import { dropMessagesBefore } from '../repos/formRepo';
import { cardsNotSeenSince } from '../repos/keepingRepo';
import { readStudio, setSettings } from '../repos/studioRepo';
import { eraseClient } from './erase';

export const KEEPS_ALL: KeepingSettings = { cardYears: null, messageMonths: null };

export interface Keeping {
  readonly version: number;
  readonly keeping: KeepingSettings;
  /** Who came last before the term, longest ago first. */
  readonly due: readonly { readonly id: string; readonly name: string; readonly lastOn: string }[];
  readonly count: number;
}
const MOST_SHOWN = 200;

function dueCards(
  db: Db,
  nowMs: number,
): readonly { readonly id: string; readonly name: string; readonly lastOn: string }[] {
  const studio = readStudio(db);
  const years = studio?.settings.keeping?.cardYears ?? null;
  if (!studio || years === null) return [];
  const before = addMonths(civilDateAt(nowMs, studio.timeZone), -12 * years);
  return cardsNotSeenSince(db, before, instantAt(before, 0, 0, studio.timeZone));
}

export function loadKeeping(db: Db, nowMs: number): ServiceResult<Keeping> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const due = dueCards(db, nowMs);
  const { version, settings } = studio;
  return ok({ version, keeping: settings.keeping ?? KEEPS_ALL, due: due.slice(0, MOST_SHOWN), count: due.length });
}

/** How many cards are past their term. */
export const dueCount = (db: Db, nowMs: number): number => dueCards(db, nowMs).length;

export function setKeeping(
  db: Db,
  { version, ...keeping }: KeepingSettings & { readonly version: number },
): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    if (!setSettings(db, { ...studio.settings, keeping }, version)) return stale(studio.version);
    return ok(null);
  });
}

/** Messages past their term go; true where any did. */
export function dropOldMessages(db: Db, nowMs: number): boolean {
  const studio = readStudio(db);
  const months = studio?.settings.keeping?.messageMonths ?? null;
  if (!studio || months === null) return false;
  const before = addMonths(civilDateAt(nowMs, studio.timeZone), -months);
  return dropMessagesBefore(db, instantAt(before, 0, 0, studio.timeZone));
}

/**
 * Erases the cards that are past their term, those that are named only, one after the other. Consents go with them: a
 * term that is longer than theirs is the one to set.
 */
export async function eraseDue(
  db: Db,
  { ids, count }: { readonly ids: readonly string[]; readonly count: number },
  by: { readonly byId: string | null; readonly nowMs: number },
): Promise<ServiceResult<{ readonly erased: number }>> {
  if (count !== ids.length) return refused('That is not how many they are.', 'count');
  const due = new Set(dueCards(db, by.nowMs).map((c) => c.id));
  const other = ids.find((id) => !due.has(id));
  if (other !== undefined) return refused('One of these cards is not past its term any more. None was erased.', 'ids');
  let erased = 0;
  for (const id of ids) {
    const done = eraseClient(db, id, { name: clientName(db, id), consents: null }, by);
    if (done.ok) erased++;
    await new Promise((resolve) => setImmediate(resolve));
  }
  return ok({ erased });
}
