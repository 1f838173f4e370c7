// How warm wax felt at a client's earlier visits, with the margin to the felt limit that was planned then. What was
// planned stands for what was laid: the pot is not measured yet.

import 'server-only';
import { ZONES, type ZoneId } from '../../core/anatomy';
import { feltLimitC } from '../../core/heat';
import type { ClientCase } from '../../core/plan';
import type { DbOrTx } from '../db/openDatabase';
import { closedVisits, readingsOf, readPlan, type VisitRow } from '../repos/visitRepo';

type Felt = NonNullable<ClientCase['heatFelt']>[number];

/** Plans from before the limit was kept with them have 0 there. */
const isKept = (limitC: number): boolean => limitC > 0;

/** Skin and ways of working change: the latest visits speak, and no save has to read a client's whole history. */
const MOST_VISITS = 12;

/** Oldest first; both sides of a zone that felt alike at one visit count once. */
export function feltBefore(db: DbOrTx, clientId: string, before?: Pick<VisitRow, 'onDate' | 'id'>): readonly Felt[] {
  const visits = closedVisits(db, clientId)
    .filter(
      (v) => v.endedAs === null && v.planHash !== null && v.id !== before?.id && (!before || v.onDate < before.onDate),
    )
    .slice(0, MOST_VISITS);
  return [...visits].reverse().flatMap((visit) => {
    const plan = visit.planHash === null ? undefined : readPlan(db, visit.planHash);
    const read = readingsOf(db, visit.id);
    const said = (plan?.zones ?? []).flatMap((z): readonly Felt[] => {
      const reading = read.find((r) => r.zone === z.zone && r.side === z.side);
      if (!z.heat || !z.choice || !reading) return [];
      const limitC = isKept(z.heat.limitC)
        ? z.heat.limitC - (z.heat.learned?.shiftK ?? 0)
        : feltLimitC(ZONES[reading.zone as ZoneId].skin, visit.consult.sensitivity); // zones are checked on the way in
      return [
        {
          on: visit.onDate,
          zone: z.zone,
          product: z.choice.product,
          touchC: z.heat.workingC.target,
          marginK: Math.round(100 * (z.heat.feltPeakC - limitC)) / 100,
          felt: reading.data.heatFelt,
        },
      ];
    });
    return said.filter(
      (f, i) => said.findIndex((o) => o.zone === f.zone && o.felt === f.felt && o.product === f.product) === i,
    );
  });
}
