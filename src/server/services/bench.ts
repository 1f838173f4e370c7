// Everything the visit bench shows, in one value.

import { zoneKey } from '../../core/anatomy';
import 'server-only';
import type { BodySize, Side, ZoneId } from '../../core/anatomy';
import { hasBegun, type TableEvent } from '../../core/hands';
import type { Service } from '../../core/agreement';
import type { Plan } from '../../core/plan';
import type { Product } from '../../core/products';
import type { Lesson, Trial } from '../../core/reading';
import type { Fact, RuleChange } from '../../core/screening';
import type { HandLevel } from '../../core/strips';
import { yearsBetween } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import type { CardFact, ChartData, ClientProfile, Consult, PatchTest, Reading, StudioSettings } from '../db/schema';
import { notFound, type ServiceResult } from '../errors';
import { shelvedPlan } from '../planning/planner';
import { PlanWanted } from '../planning/planWanted';
import { readClient } from '../repos/clientRepo';
import { formsOf } from '../repos/formRepo';
import { readPeople, readPerson, readProducts, readServices, readStudio } from '../repos/studioRepo';
import { entriesOf } from '../repos/journalRepo';
import { chartsOf, readingsOf, readVisit, saidNoBefore, visitCount, type VisitRow } from '../repos/visitRepo';
import { alertsOf } from './alerts';
import { bodyOf, chartOnSheet } from './chartOnSheet';
import { changesOf } from './consultRules';
import { feltBefore, workedLately } from './feltBefore';
import { homeCareHere, type HomeCareHere } from './homeCare';
import { zonePasts, type ZonePast } from './history';
import { waxedBefore } from './waxedBefore';
import { lessonsOf } from './lessons';
import { studioHold } from './studioHold';
import { trialsOf } from './trials';
import { workedBefore } from './workedBefore';
import { knownProducts } from './knownProducts';
import { buildCase, planCase, screeningOf, zoneName, type CaseParts, type PlannedCase } from './planCase';

export interface BenchZone {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly name: string;
  readonly data: ChartData;
  readonly last: { readonly on: string; readonly data: ChartData; readonly reading: Reading | null } | null;
  readonly past: readonly { readonly on: string; readonly lengthMm: number }[];
}

export interface Bench {
  readonly visit: {
    readonly id: string;
    readonly version: number;
    readonly onDate: string;
    readonly status: 'open' | 'closed';
    readonly endedAs: 'postponed' | 'declined' | null;
    readonly closedAtMs: number | null;
    readonly consult: Consult;
    readonly personId: string;
    readonly personName: string;
    readonly level: HandLevel;
  };
  readonly client: {
    readonly id: string;
    readonly name: string;
    readonly byline: string;
    readonly ageYears: number | null;
    readonly visitCount: number;
    readonly note: string;
    readonly body: BodySize;
    readonly bornOn: string | null;
    readonly standing: readonly CardFact[];
    readonly patchTests: readonly PatchTest[];
    /** Every zone ever worked on here, with the date of the last wax. */
    readonly lastWaxOn: readonly { readonly zone: string; readonly on: string }[];
    /** How warm wax felt at past visits, latest first. */
    readonly heatFelt: CaseParts['heatFelt'];
    readonly alerts: readonly string[];
    /** What was remarked three times. */
    readonly lessons: readonly Lesson[];
    /** Two products on the two sides of one zone, latest first. */
    readonly trials: readonly Trial[];
    readonly skin: ClientProfile['skin'];
    readonly ingrownProne: boolean;
    /** Of what they take home; absent = English. */
    readonly language?: string | undefined;
    /** What was answered no at the last visit done before this one; null for who is here for the first time. */
    readonly saidNoBefore: { readonly on: string; readonly facts: readonly Fact[] } | null;
  };
  readonly zones: readonly BenchZone[];
  readonly plan: Plan;
  /** The plan's id: acts at the table carry it. Empty where there is none. */
  readonly planHash: string;
  /** True while the plan of these answers is being made; the plan is empty until then. */
  readonly planComing: boolean;
  readonly faults: readonly { readonly path: string; readonly message: string }[];
  readonly products: readonly Product[];
  readonly studio: {
    readonly name: string;
    readonly timeZone: string;
    readonly currency: string;
    readonly settings: StudioSettings;
  };
  readonly people: readonly { readonly id: string; readonly name: string; readonly hasPin: boolean }[];
  readonly services: readonly Service[];
  readonly rules: readonly RuleChange[];
  /** The client's side of the form: with the client now, or the last one that was signed or taken back. */
  readonly form: {
    readonly id: string;
    readonly state: 'filling' | 'signed' | 'taken-back';
    readonly atMs: number;
    readonly words: string;
  } | null;
  readonly journal: readonly TableEvent[];
  /** Place of the last act; what is asked for after it is only what is new. */
  readonly journalAt: number;
  readonly readings: readonly { readonly zone: ZoneId; readonly side: Side; readonly data: Reading }[];
  readonly homeCare: HomeCareHere;
}

/** Parts of the case of a stored visit; undefined where something it needs is missing. */
export function partsOf(
  db: Db,
  visit: VisitRow,
): { readonly parts: CaseParts; readonly pasts: ReadonlyMap<string, ZonePast> } | undefined {
  const client = readClient(db, visit.clientId);
  const studio = readStudio(db);
  const person = readPerson(db, visit.personId);
  if (!client || !studio || !person) return undefined;
  const pasts = zonePasts(db, client.id, visit);
  const before = waxedBefore(db, client.id, visit.onDate);
  const lately = workedLately(db, client.id, visit);
  const worked = workedBefore(lately);
  const zones = chartsOf(db, visit.id).map((c) => ({
    zone: c.zone as ZoneId,
    side: c.side,
    data: c.data,
    past: pasts.get(zoneKey(c)),
    workedOn: before.get(zoneKey(c)),
    worked: worked.get(zoneKey(c)),
  })); // zones are checked on the way in
  return {
    parts: {
      on: visit.onDate,
      client,
      consult: visit.consult,
      studio,
      hold: studioHold(db, visit.onDate),
      person,
      products: readProducts(db),
      zones,
      rules: changesOf(db),
      knownProducts: knownProducts(db, client, visit.consult.facts),
      heatFelt: feltBefore(lately),
    },
    pasts,
  };
}

function lastForm(db: Db, visitId: string): Bench['form'] {
  const [form] = formsOf(db, visitId);
  return form
    ? { id: form.id, state: form.state, atMs: form.endedAtMs ?? form.createdAtMs, words: form.data.words }
    : null;
}

/** The bench with its plan; a plan that is still coming is waited for. */
export const plannedBench = (db: Db, visitId: string, nowMs: number): ServiceResult<Bench> =>
  loadBench(db, visitId, nowMs, true);

/** @param needsPlan throws `PlanWanted` where the plan is still coming */
export function loadBench(db: Db, visitId: string, nowMs: number, needsPlan = false): ServiceResult<Bench> {
  const visit = readVisit(db, visitId);
  const found = visit && partsOf(db, visit);
  if (!visit || !found) return notFound('visit');
  const { parts } = found;
  const { client, studio, person } = parts;
  const entries = entriesOf(db, visit.id);
  const journal = entries.map((e) => e.event);
  const body = bodyOf(client);
  const isFixed = visit.planHash !== null && (visit.status === 'closed' || hasBegun(journal));
  const fixed = isFixed ? shelvedPlan(db, visit.planHash ?? '') : undefined;
  // the plan that the table works by stands; what the screening says stays as fresh as the answers
  const planned: PlannedCase = fixed
    ? {
        plan: { ...fixed, screening: screeningOf(buildCase(parts)) },
        hash: visit.planHash ?? '',
        faults: [],
        coming: null,
      }
    : planCase(db, parts, nowMs, { owner: { kind: 'visit', id: visit.id }, priority: 'visit' });
  if (needsPlan && planned.coming) throw new PlanWanted(planned.coming);
  return {
    ok: true,
    value: {
      visit: {
        id: visit.id,
        version: visit.version,
        onDate: visit.onDate,
        status: visit.status,
        endedAs: visit.endedAs,
        closedAtMs: visit.closedAtMs,
        consult: visit.consult,
        personId: person.id,
        personName: person.name,
        level: person.level,
      },
      client: {
        id: client.id,
        name: client.name,
        byline: client.byline,
        ageYears: client.bornOn ? yearsBetween(client.bornOn, visit.onDate) : null,
        body,
        bornOn: client.bornOn,
        standing: client.profile.standing,
        patchTests: client.profile.patchTests,
        lastWaxOn: [...found.pasts].map(([zone, past]) => ({ zone, on: past.lastOn })),
        visitCount: visitCount(db, client.id),
        heatFelt: [...parts.heatFelt].reverse(),
        note: client.note,
        alerts: alertsOf(client, visit.onDate, false),
        lessons: lessonsOf(db, client.id),
        trials: trialsOf(db, client.id),
        skin: client.profile.skin,
        ingrownProne: client.profile.ingrownProne,
        language: client.profile.language,
        saidNoBefore: saidNoBefore(db, visit),
      },
      zones: parts.zones.map((z) => ({
        zone: z.zone,
        side: z.side,
        name: zoneName(z.zone),
        data: fixed ? z.data : chartOnSheet(z.zone, z.side, z.data, body),
        last: z.past ? { on: z.past.lastOn, data: z.past.last, reading: z.past.lastReading } : null,
        past: z.past?.past ?? [],
      })),
      plan: planned.plan,
      planHash: planned.hash,
      planComing: planned.coming !== null,
      faults: planned.faults,
      products: parts.products,
      studio: { name: studio.name, timeZone: studio.timeZone, currency: studio.currency, settings: studio.settings },
      people: readPeople(db).map((p) => ({ id: p.id, name: p.name, hasPin: p.pinHash !== null })),
      services: readServices(db),
      rules: parts.rules,
      form: lastForm(db, visit.id),
      journal,
      journalAt: entries.at(-1)?.seq ?? 0,
      // zones are checked on the way in
      readings: readingsOf(db, visit.id).map((r) => ({ zone: r.zone as ZoneId, side: r.side, data: r.data })),
      homeCare: homeCareHere(db, visit),
    },
  };
}
