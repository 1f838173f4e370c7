// The day: every booking with its plan (from the opened visit, or forecast from last time's charts), its real parts,
// what needs a word, and the tray of the next visit.

import { zoneKey } from '../../core/anatomy';
import 'server-only';
import type { Hold } from '../../core/matching';
import { potWindows, type Plan } from '../../core/plan';
import type { PotWindow } from '../../core/pots';
import type { Product } from '../../core/products';
import type { RuleChange } from '../../core/screening';
import { addDays, ok } from '../../core/shared';
import { civilDateAt, instantAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { readable } from '../db/json';
import { keptSinceWrite } from '../db/sinceWrite';
import { bookingsBetween, clientName, readClient, type BookingRow, type ClientRow } from '../repos/clientRepo';
import { readPeople, readPerson, readProducts, readStudio, type StudioRow } from '../repos/studioRepo';
import { journalOf } from '../repos/journalRepo';
import { visitOfBooking, type VisitRow } from '../repos/visitRepo';
import { partsOf } from './bench';
import { changesOf } from './consultRules';
import { feltBefore, workedLately } from './feltBefore';
import { knownProducts } from './knownProducts';
import { clientMarks, startingChart, zonePasts } from './history';
import { waxedBefore } from './waxedBefore';
import { studioHold } from './studioHold';
import { workedBefore } from './workedBefore';
import { startingConsult } from './openVisit';
import { withShort } from './productShort';
import { planCase, shelvedCase, type CaseParts, type PlannedCase } from './planCase';
import { wordsFor, type TodayWord } from './todayWords';
import { zonesInWords } from './zonesInWords';

export interface TodayVisit {
  readonly bookingId: string;
  readonly visitId: string | null;
  readonly state: 'ahead' | 'open' | 'at-the-table' | 'closed';
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly personId: string;
  readonly clientName: string;
  readonly clientId: string;
  readonly what: string;
  readonly product: string;
  readonly parts: Plan['time']['parts'];
  readonly words: readonly TodayWord[];
  /** True while its plan is being made: parts, words and tray come with it. */
  readonly isComing: boolean;
  readonly tray: readonly { readonly item: string; readonly amount: number; readonly unit: string }[];
  /** What it wants of each pot. */
  readonly pots: readonly (PotWindow & { readonly productId: string; readonly grams: number })[];
  readonly version: number;
}

export interface Today {
  readonly studioName: string;
  readonly timeZone: string;
  readonly date: string;
  readonly nowMs: number;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly visits: readonly TodayVisit[];
  /** The day that it is, where another one is shown. */
  readonly today: string;
}

/** What all bookings of a day have in common, read once. */
interface DayFacts {
  readonly studio: StudioRow;
  readonly products: readonly Product[];
  readonly rules: readonly RuleChange[];
  readonly hold: Hold;
  readonly nowMs: number;
}

const keptParts = keptSinceWrite<CaseParts | undefined>(300);

/** What the plan of a booking rests on that no visit was opened for: the client's own past. */
function partsAhead(
  db: Db,
  booking: BookingRow,
  client: ClientRow,
  { studio, products, rules, hold }: DayFacts,
): CaseParts | undefined {
  const person = readPerson(db, booking.personId);
  if (!person) return undefined;
  const on = civilDateAt(booking.startsAtMs, studio.timeZone);
  const pasts = zonePasts(db, client.id);
  const marks = clientMarks(db, client.id);
  const before = waxedBefore(db, client.id, on);
  const lately = workedLately(db, client.id);
  const worked = workedBefore(lately);
  const zones = booking.zones.map((z) => ({
    ...z,
    data: startingChart(z.zone, pasts.get(zoneKey(z)), on, marks.get(zoneKey(z)), before.get(zoneKey(z))),
    past: pasts.get(zoneKey(z)),
    workedOn: before.get(zoneKey(z)),
    worked: worked.get(zoneKey(z)),
  }));
  // before the client is there, consent is not the question: what is on file is asked for in words
  const consult = { ...startingConsult(client, on, undefined), consent: true };
  return {
    ...{ on, client, consult, studio, hold, person, products, zones, rules },
    knownProducts: knownProducts(db, client, consult.facts),
    heatFelt: feltBefore(lately),
  };
}

function forecast(
  db: Db,
  booking: BookingRow,
  client: ClientRow,
  visit: VisitRow | undefined,
  day: DayFacts,
  plan: (...of: Parameters<typeof planCase>) => PlannedCase | undefined = planCase,
): PlannedCase | undefined {
  const known = visit && partsOf(db, visit);
  if (visit && known) {
    return plan(db, known.parts, day.nowMs, { owner: { kind: 'visit', id: visit.id }, priority: 'day' });
  }
  const parts = keptParts(db, booking.id, () => partsAhead(db, booking, client, day));
  return parts && plan(db, parts, day.nowMs, { owner: { kind: 'booking', id: booking.id }, priority: 'day' });
}

/** Windows and grams that a plan wants of each pot. */
function potsOf(plan: Plan | undefined): TodayVisit['pots'] {
  if (!plan) return [];
  return [...potWindows(plan)].map(([productId, window]) => ({
    ...window,
    productId,
    grams: plan.materials.find((m) => m.item === productId)?.amount ?? 0,
  }));
}

function stateOf(visit: VisitRow | undefined, acts: number): TodayVisit['state'] {
  if (!visit) return 'ahead';
  if (visit.status === 'closed') return 'closed';
  return acts > 0 ? 'at-the-table' : 'open';
}

function lineOf(db: Db, booking: BookingRow, day: DayFacts): TodayVisit[] {
  const client = readClient(db, booking.clientId);
  if (!client) return [];
  const visit = visitOfBooking(db, booking.id);
  const planned = forecast(db, booking, client, visit, day);
  const isComing = planned !== undefined && planned.coming !== null;
  const plan = isComing ? undefined : planned?.plan;
  const events = visit && visit.status === 'open' ? journalOf(db, visit.id) : [];
  const chosen = [...new Set(plan?.zones.flatMap((z) => (z.choice ? [z.choice.product] : [])) ?? [])];
  const products = day.products.filter((p) => chosen.includes(p.id)).map((p) => p.name);
  return [
    {
      bookingId: booking.id,
      visitId: visit?.id ?? null,
      state: stateOf(visit, events.length),
      startsAtMs: booking.startsAtMs,
      minutes: booking.minutes,
      personId: booking.personId,
      clientName: client.name,
      clientId: client.id,
      what: [zonesInWords(booking.zones), booking.note].filter(Boolean).join(', '),
      product: products.join(', '),
      parts: plan?.time.parts ?? { prepareMin: 0, layPullMin: 0, readMin: 0, finishMin: 0, turnoverMin: 0 },
      words: visit?.status === 'closed' ? [] : wordsFor(db, { plan, client, booking }, day),
      isComing,
      tray: plan?.materials.map(({ item, amount, unit }) => ({ item, amount, unit })) ?? [],
      pots: visit?.status === 'closed' ? [] : potsOf(plan),
      version: booking.version,
    },
  ];
}

/** Stands for a booking of which something cannot be read. */
function damagedLine(db: Db, booking: BookingRow): TodayVisit[] {
  const name = clientName(db, booking.clientId);
  return [
    {
      bookingId: booking.id,
      visitId: null,
      state: 'ahead',
      startsAtMs: booking.startsAtMs,
      minutes: booking.minutes,
      personId: booking.personId,
      clientName: name,
      clientId: booking.clientId,
      what: '',
      product: '',
      parts: { prepareMin: 0, layPullMin: 0, readMin: 0, finishMin: 0, turnoverMin: 0 },
      words: [
        {
          text: 'Something of this record is damaged in the data file: a backup has it whole.',
          weight: 'stop',
          short: 'damaged',
        },
      ],
      isComing: false,
      tray: [],
      pots: [],
      version: booking.version,
    },
  ];
}

/** The bookings of the day, and what they have in common. */
function theDay(db: Db, studio: StudioRow, nowMs: number, on?: string) {
  const date = on ?? civilDateAt(nowMs, studio.timeZone);
  const rows = bookingsBetween(
    db,
    instantAt(date, 0, 0, studio.timeZone),
    instantAt(addDays(date, 1), 0, 0, studio.timeZone),
  );
  const day: DayFacts = { studio, products: readProducts(db), rules: changesOf(db), hold: studioHold(db, date), nowMs };
  return { date, rows, day };
}

/**
 * Plans of the visits of today that are open or still ahead, as far as they are made, in their order; none is made for
 * this, and what is damaged is passed over.
 */
export function plansOfDay(
  db: Db,
  nowMs: number,
  most: number,
): readonly { readonly startsAtMs: number; readonly plan: Plan }[] {
  const studio = readStudio(db);
  if (!studio) return [];
  const { rows, day } = theDay(db, studio, nowMs);
  const withVisit = rows.map((booking) => ({ booking, visit: visitOfBooking(db, booking.id) }));
  const ahead = withVisit.filter(({ booking: { startsAtMs, minutes, status }, visit }) =>
    visit ? visit.status === 'open' : status === 'booked' && nowMs < startsAtMs + minutes * 60_000,
  );
  return ahead.slice(0, most).flatMap(({ booking, visit }) => {
    const client = readClient(db, booking.clientId);
    const planned = client && readable(() => forecast(db, booking, client, visit, day, shelvedCase), undefined);
    return planned ? [{ startsAtMs: booking.startsAtMs, plan: planned.plan }] : [];
  });
}

/** The plan of a booking as far as it is made; undefined where it is not. */
export function planOfBooking(db: Db, booking: BookingRow, nowMs: number): Plan | undefined {
  const studio = readStudio(db);
  const client = readClient(db, booking.clientId);
  if (!studio || !client) return undefined;
  const on = civilDateAt(booking.startsAtMs, studio.timeZone);
  const facts = { studio, products: readProducts(db), rules: changesOf(db), hold: studioHold(db, on), nowMs };
  return forecast(db, booking, client, visitOfBooking(db, booking.id), facts, shelvedCase)?.plan;
}

/** @param on another day; absent = today */
export function loadToday(db: Db, nowMs: number, on?: string): ServiceResult<Today> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { date, rows, day } = theDay(db, studio, nowMs, on);
  return ok({
    today: civilDateAt(nowMs, studio.timeZone),
    studioName: studio.name,
    timeZone: studio.timeZone,
    date,
    nowMs,
    people: readPeople(db).map((p) => ({ id: p.id, name: p.name })),
    visits: withShort(
      db,
      rows.flatMap((b) => readable(() => lineOf(db, b, day), null) ?? damagedLine(db, b)),
      date,
    ),
  });
}
