// Changes of an open visit: consultation, zones, charts, readings. Each checks the version and writes in one
// transaction; a stale version gets what is newer and changes nothing.

import 'server-only';
import { INSIDE, type Side, type ZoneId } from '../../core/anatomy';
import { caseFaults } from '../../core/plan';
import type { Db, DbOrTx } from '../db/openDatabase';
import type { ChartData, Consult, Reading, ZoneRef } from '../db/schema';
import { notFound, refused, stale, type ServiceError, type ServiceResult } from '../errors';
import { readClient } from '../repos/clientRepo';
import { chartsOf, dropChart, putChart, putReading, readVisit, updateVisit, type VisitRow } from '../repos/visitRepo';
import { loadBench, partsOf, type Bench } from './bench';
import { bodyOf, chartOnSheet } from './chartOnSheet';
import { judgedNow, overrideFault } from './consultRules';
import { clientMarks, startingChart, zoneKeyOf, zonePasts } from './history';
import { zoneRefFault } from './openVisit';
import { buildCase, slabFits } from './planCase';

type Failure = { readonly ok: false; readonly error: ServiceError };

/** Runs a change on an open visit of the expected version and answers with the new bench. */
function change(
  db: Db,
  visitId: string,
  version: number,
  nowMs: number,
  columns: Partial<VisitRow>,
  write: (tx: DbOrTx, visit: VisitRow) => Failure | void,
): ServiceResult<Bench> {
  const visit = readVisit(db, visitId);
  if (!visit) return notFound('visit');
  if (visit.status === 'closed') return refused('The visit is closed; its record stands as it is.', 'visit');
  const staleAnswer = (): Failure => {
    const newer = loadBench(db, visitId, nowMs);
    return stale(newer.ok ? newer.value : null);
  };
  if (visit.version !== version) return staleAnswer();
  const failure = db.transaction((tx): Failure | void => {
    const problem = write(tx, visit);
    if (problem) return problem;
    if (!updateVisit(tx, visitId, version, columns)) return staleAnswer();
  });
  return failure ?? loadBench(db, visitId, nowMs);
}

/** Saves the consultation; a confirmed one keeps the rules and the answer that it was judged by. */
export function saveConsult(
  db: Db,
  visitId: string,
  body: { version: number; consult: Consult },
  nowMs: number,
): ServiceResult<Bench> {
  const fault = overrideFault(db, body.consult);
  if (fault) return fault;
  const visit = readVisit(db, visitId);
  const found = visit && partsOf(db, { ...visit, consult: body.consult });
  const judged = found && body.consult.confirmedAtMs !== null ? judgedNow(found.parts, nowMs) : null;
  return change(db, visitId, body.version, nowMs, { consult: { ...body.consult, judged } }, () => undefined);
}

/** Sets which zones the visit has; charts of zones that stay are kept. */
export function setZones(
  db: Db,
  visitId: string,
  body: { version: number; zones: readonly ZoneRef[] },
  nowMs: number,
): ServiceResult<Bench> {
  const fault = zoneRefFault(body.zones) ?? insideFault(body.zones);
  if (fault) return refused(fault, 'zones');
  return change(db, visitId, body.version, nowMs, {}, (tx, visit) => {
    const pasts = zonePasts(tx, visit.clientId, visit);
    const marks = clientMarks(tx, visit.clientId, visitId);
    const client = readClient(tx, visit.clientId);
    const fresh = (z: ZoneRef): ChartData => {
      const chart = startingChart(z.zone, pasts.get(zoneKeyOf(z)), visit.onDate, marks.get(zoneKeyOf(z)));
      return client ? chartOnSheet(z.zone, z.side, chart, bodyOf(client)) : chart;
    };
    const kept = new Map(chartsOf(tx, visitId).map((c) => [`${c.zone}/${c.side}`, c]));
    const wanted = new Set(body.zones.map(zoneKeyOf));
    // zones are checked on the way in
    for (const [key, c] of kept) if (!wanted.has(key)) dropChart(tx, visitId, c.zone as ZoneId, c.side);
    body.zones.forEach((z, place) =>
      putChart(tx, visitId, z.zone, z.side, place, kept.get(zoneKeyOf(z))?.data ?? fresh(z)),
    );
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
): ServiceResult<Bench> {
  const row = chartsOf(db, visitId).find((c) => c.zone === target.zone && c.side === target.side);
  if (!readVisit(db, visitId) || !row) return notFound('zone of this visit');
  return change(db, visitId, body.version, nowMs, {}, (tx, visit) => {
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
    putChart(tx, visitId, row.zone as ZoneId, row.side, row.place, body.data); // zones are checked on the way in
  });
}

export function saveReading(
  db: Db,
  visitId: string,
  target: ZoneTarget,
  body: { version: number; data: Reading },
  nowMs: number,
): ServiceResult<Bench> {
  const row = chartsOf(db, visitId).find((c) => c.zone === target.zone && c.side === target.side);
  if (!readVisit(db, visitId) || !row) return notFound('zone of this visit');
  return change(db, visitId, body.version, nowMs, {}, (tx) =>
    putReading(tx, visitId, row.zone as ZoneId, row.side as Side, body.data),
  ); // zones are checked on the way in
}
