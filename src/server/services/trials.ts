// What was tried side by side at a client's last visits: two products on the two sides of one zone.

import 'server-only';
import { zoneKey, type ZoneId } from '../../core/anatomy';
import { standing } from '../../core/hands';
import { isSaid, trialsIn, type Trial, type TrialSide } from '../../core/reading';
import { readable } from '../db/json';
import type { Db } from '../db/openDatabase';
import type { Reading } from '../db/schema';
import { shelvedPlan } from '../planning/planner';
import { journalOf } from '../repos/journalRepo';
import { readingsOfClient } from '../repos/pastRepo';
import { readVisit, visitHeads } from '../repos/visitRepo';
import { workedOfClient } from '../repos/workedRepo';

/** How far back, visits. */
const LOOK_BACK = 12;

/** Minutes from the first lay to the last pull of each zone's first pass, by the table's own journal. */
function minutesAt(db: Db, visitId: string): ReadonlyMap<string, number> {
  const hash = readVisit(db, visitId)?.planHash;
  const plan = hash ? readable(() => shelvedPlan(db, hash), undefined) : undefined;
  if (!plan) return new Map();
  const acts = standing(journalOf(db, visitId)).filter((e) => e.kind === 'laid' || e.kind === 'pulled');
  return new Map(
    plan.zones.flatMap((z): [string, number][] => {
      const own = new Set(z.strips.map((s) => s.id));
      const done = acts.filter((e) => e.strip !== undefined && own.has(e.strip));
      const [first, last] = [done[0], done.at(-1)];
      return first && last ? [[zoneKey(z), Math.round((last.atMs - first.atMs) / 60_000)]] : [];
    }),
  );
}

function saidOf(reading: Reading | undefined): Pick<TrialSide, 'pain' | 'skin' | 'left'> {
  if (!reading) return { pain: null, skin: null, left: null };
  const left = reading.hairs?.length ?? (isSaid(reading, 'tweezed') ? reading.tweezed : null);
  return { pain: reading.pain ?? null, skin: isSaid(reading, 'skin') ? reading.skin : null, left };
}

/** Latest first. */
export function trialsOf(db: Db, clientId: string): readonly Trial[] {
  const heads = visitHeads(db, clientId).slice(0, LOOK_BACK);
  const from = heads.at(-1)?.onDate;
  if (from === undefined) return [];
  const worked = workedOfClient(db, clientId);
  const rowsOf = new Map(heads.map((h) => [h.id, worked.filter((w) => w.visitId === h.id && w.product !== '')]));
  const bare = (visitId: string, reading: ReadonlyMap<string, Reading>, minutes: ReadonlyMap<string, number>) =>
    (rowsOf.get(visitId) ?? []).map((w) => ({
      // zones are checked on the way in
      zone: w.zone as ZoneId,
      side: w.side,
      product: w.product,
      way: w.way,
      ...saidOf(reading.get(zoneKey(w))),
      minutes: minutes.get(zoneKey(w)) ?? null,
    }));
  const tried = heads.filter((h) => trialsIn(h.onDate, bare(h.id, new Map(), new Map())).length > 0);
  if (tried.length === 0) return [];
  const readings = readingsOfClient(db, clientId, from);
  return tried.flatMap((h) => {
    const own = new Map((readings.get(h.id) ?? []).map((r) => [zoneKey(r), r.data]));
    return trialsIn(h.onDate, bare(h.id, own, minutesAt(db, h.id)));
  });
}
