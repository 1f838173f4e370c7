// Changes of an open visit: consultation, zones, charts, readings. Each checks the version and writes in one
// transaction; a stale version gets what is newer and changes nothing.

import 'server-only';
import { INSIDE, type ZoneId, zoneKey } from '../../core/anatomy';
import type { Role } from '../../core/doors';
import { caseFaults } from '../../core/plan';
import { ok } from '../../core/shared';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { ChartData, Consult, Reading, ZoneRef } from '../db/schema';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { readClient } from '../repos/clientRepo';
import {
  chartsOf,
  dropChart,
  placeChart,
  putChart,
  putReading,
  readingsOf,
  readVisit,
  updateVisit,
  type VisitRow,
} from '../repos/visitRepo';
import { loadBench, partsOf } from './bench';
import { bodyOf, chartOnSheet } from './chartOnSheet';
import { aloneFault, judgedNow, overrideFault, vouched } from './consultRules';
import { clientMarks, startingChart, zonePasts } from './history';
import { waxedBefore } from './waxedBefore';
import { zoneRefFault } from './openVisit';
import { buildCase, slabFits } from './planCase';

export interface Saved {
  readonly version: number;
}

/**
 * Changes one document of an open visit. `version` is the version of the visit that the writer has seen: refused as
 * stale, with what is newer, only where this very document was written since.
 * @param write gives the columns of the visit to be written with the new version
 */
function change(
  db: Db,
  visitId: string,
  { version, writtenAt }: { readonly version: number; readonly writtenAt: (visit: VisitRow) => number },
  nowMs: number,
  write: (visit: VisitRow, next: number) => ServiceResult<Partial<VisitRow>>,
): ServiceResult<Saved> {
  return atomically(db, () => {
    const visit = readVisit(db, visitId);
    if (!visit) return notFound('visit');
    if (visit.status === 'closed') return refused('The visit is closed; its record stands as it is.', 'visit');
    if (writtenAt(visit) > version || version > visit.version) {
      const newer = loadBench(db, visitId, nowMs);
      return stale(newer.ok ? newer.value : null);
    }
    const next = visit.version + 1;
    const written = write(visit, next);
    if (!written.ok) return written;
    mustWrite(updateVisit(db, visitId, visit.version, written.value), 'the visit');
    return ok({ version: next });
  });
}

/**
 * Saves the consultation; a confirmed one keeps the rules and the answer that it was judged by.
 * @param role whose it is: a trainee does not go on alone in spite of an answer
 */
export function saveConsult(
  db: Db,
  visitId: string,
  body: { version: number; consult: Consult },
  nowMs: number,
  role: Role = 'owner',
): ServiceResult<Saved> {
  const seen = { version: body.version, writtenAt: (visit: VisitRow) => visit.consultVersion };
  return change(db, visitId, seen, nowMs, (visit, next) => {
    const fault = overrideFault(db, body.consult) ?? aloneFault(visit.consult, body.consult, role);
    if (fault) return fault;
    const consult = { ...body.consult, overrides: vouched(visit.consult, body.consult) };
    const found = partsOf(db, { ...visit, consult });
    const judged = found && consult.confirmedAtMs !== null ? judgedNow(found.parts, nowMs) : null;
    return ok({ consult: { ...consult, judged }, consultVersion: next });
  });
}

export interface Vouched {
  readonly code: string;
  readonly zones: readonly (string | null)[];
  readonly reason: string;
}
/** A second person goes on in spite of an answer, for somebody who may not alone. */
export function vouch(
  db: Db,
  visitId: string,
  { code, zones, reason }: Vouched,
  { by, nowMs }: { readonly by: string; readonly nowMs: number },
): ServiceResult<Saved> {
  const visit = readVisit(db, visitId);
  if (!visit) return notFound('visit');
  const added = zones.map((zone) => ({ code, zone, reason, atMs: nowMs, by }));
  const consult: Consult = {
    ...visit.consult,
    overrides: [...visit.consult.overrides.filter((o) => o.code !== code || !zones.includes(o.zone)), ...added],
    confirmedAtMs: null,
    judged: null,
  };
  const seen = { version: visit.version, writtenAt: (v: VisitRow) => v.consultVersion };
  return change(db, visitId, seen, nowMs, (_, next) => {
    const fault = overrideFault(db, consult);
    return fault ?? ok({ consult, consultVersion: next });
  });
}

/** Sets which zones the visit has; charts of zones that stay are kept. */
export function setZones(
  db: Db,
  visitId: string,
  body: { version: number; zones: readonly ZoneRef[] },
  nowMs: number,
): ServiceResult<Saved> {
  const fault = zoneRefFault(body.zones) ?? insideFault(body.zones);
  if (fault) return refused(fault, 'zones');
  const seen = { version: body.version, writtenAt: (visit: VisitRow) => visit.zonesVersion };
  return change(db, visitId, seen, nowMs, (visit, next) => {
    const pasts = zonePasts(db, visit.clientId, visit);
    const marks = clientMarks(db, visit.clientId, visitId);
    const before = waxedBefore(db, visit.clientId, visit.onDate);
    const client = readClient(db, visit.clientId);
    const fresh = (z: ZoneRef): ChartData => {
      const key = zoneKey(z);
      const chart = startingChart(z.zone, pasts.get(key), visit.onDate, marks.get(key), before.get(key));
      return client ? chartOnSheet(z.zone, z.side, chart, bodyOf(client)) : chart;
    };
    const kept = new Map(chartsOf(db, visitId).map((c) => [zoneKey(c), c]));
    const wanted = new Set(body.zones.map(zoneKey));
    // zones are checked on the way in
    for (const [key, c] of kept) if (!wanted.has(key)) dropChart(db, visitId, c.zone as ZoneId, c.side);
    body.zones.forEach((z, place) => {
      if (kept.has(zoneKey(z))) placeChart(db, visitId, z, place);
      else putChart(db, visitId, z, { place, data: fresh(z), version: next });
    });
    return ok({ zonesVersion: next });
  });
}

function insideFault(zones: readonly ZoneRef[]): string | null {
  const inner = zones.find((z) =>
    (INSIDE[z.zone] ?? []).some((outer) => zones.some((o) => o.zone === outer && o.side === z.side)),
  );
  return inner ? `${inner.zone} lies inside another zone of this visit.` : null;
}

export interface ZoneTarget {
  readonly zone: string;
  readonly side: string;
}

/** Saves one zone's chart if the whole visit can still be planned with it. */
export function saveChart(
  db: Db,
  visitId: string,
  target: ZoneTarget,
  body: { version: number; data: ChartData },
  nowMs: number,
): ServiceResult<Saved> {
  const chart = () => chartsOf(db, visitId).find((c) => c.zone === target.zone && c.side === target.side);
  const seen = { version: body.version, writtenAt: () => chart()?.version ?? 0 };
  return change(db, visitId, seen, nowMs, (visit, next) => {
    const row = chart();
    if (!row) return notFound('zone of this visit');
    const found = partsOf(db, visit);
    if (found) {
      const zones = found.parts.zones
        .map((z) => (z.zone === target.zone && z.side === target.side ? { ...z, data: body.data } : z))
        .filter((z) => z.zone === target.zone && z.side === target.side);
      const slab =
        body.data.heat && !slabFits(body.data.heat, found.parts.products)
          ? [{ path: 'data.heat.thicknessMm', message: 'The label of this product does not allow that thickness.' }]
          : [];
      const faults = [...slab, ...caseFaults(buildCase({ ...found.parts, zones }), found.parts.products)];
      if (faults.length > 0) {
        return {
          ok: false,
          error: { code: 'invalid', message: 'The chart cannot be planned. Nothing was changed.', details: faults },
        };
      }
    }
    // zones are checked on the way in
    const ref = { zone: row.zone as ZoneId, side: row.side };
    putChart(db, visitId, ref, { place: row.place, data: body.data, version: next });
    return ok({});
  });
}

export function saveReading(
  db: Db,
  visitId: string,
  target: ZoneTarget,
  body: { version: number; data: Reading },
  nowMs: number,
): ServiceResult<Saved> {
  const isTarget = (r: { readonly zone: string; readonly side: string }): boolean =>
    r.zone === target.zone && r.side === target.side;
  const seen = { version: body.version, writtenAt: () => readingsOf(db, visitId).find(isTarget)?.version ?? 0 };
  return change(db, visitId, seen, nowMs, (_, next) => {
    const row = chartsOf(db, visitId).find(isTarget);
    if (!row) return notFound('zone of this visit');
    // zones are checked on the way in
    putReading(db, visitId, { zone: row.zone as ZoneId, side: row.side }, body.data, next);
    return ok({});
  });
}
