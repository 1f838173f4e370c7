// Loads the invented studio into an empty database, in one transaction. Seeded: the same day gives the same data.

import 'server-only';
import { ZONES } from '../core/anatomy';
import { usualOutcome } from '../core/outcomes';
import { ASKED_EACH_TIME, ASKED_ONCE, judge } from '../core/screening';
import { typicalVisibleLength, type HairHistory } from '../core/hair';
import { SHIPPED_PRODUCTS } from '../core/products';
import { addDays, ok, seededRandom, type Random } from '../core/shared';
import { civilDateAt, instantAt } from '../server/clock';
import type { Db, DbOrTx } from '../server/db/openDatabase';
import { people, products, studio, visits, type ChartData, type Consult } from '../server/db/schema';
import { refused, type ServiceResult } from '../server/errors';
import { insertBooking, insertClient } from '../server/repos/clientRepo';
import { readStudio } from '../server/repos/studioRepo';
import { insertVisit, putChart, putReading, readVisit } from '../server/repos/visitRepo';
import { putWorked } from '../server/repos/workedRepo';
import { partsOf } from '../server/services/bench';
import { keepParts, servicesOfVisit } from '../server/services/visitParts';
import { planCase } from '../server/services/planCase';
import { eq } from 'drizzle-orm';
import { insertAdvice, painOf, thinning, timesOf } from './demoCourse';
import { SHIPPED_SERVICES } from '../core/agreement';
import { insertBatches } from './demoKitchen';
import { DEMO_MONEY, insertBook, insertParts, insertTaken } from './demoLedger';
import { insertPots } from './demoPots';
import { insertPractice } from './demoPractice';
import { insertShelf, insertUse } from './demoShelf';
import { READ_SEED, readAsPlanned, readingFor } from './demoReadings';
import { CLIENTS, PEOPLE, REGATTA_IN_DAYS, type DemoClient } from './scenario';

const SEED = 20_270_508;
const TIME_ZONE = 'Europe/London';
function chartFor(
  client: DemoClient,
  zone: DemoClient['zones'][number],
  lengthMm: number,
  history: HairHistory,
): ChartData {
  const marked = zone.side !== 'right';
  return {
    v: 1,
    hair: {
      lengthMm: Math.round(lengthMm * 2) / 2,
      coarseness: client.coarseness,
      density: client.density,
      curl: client.curl ?? 1,
      history,
    },
    strokes: marked ? (client.strokes ?? []) : [],
    marks: marked ? (client.marks ?? []) : [],
    ...(marked && client.densities ? { densities: client.densities } : {}),
    product: null,
    way: null,
    reason: '',
    confirmed: true,
  };
}

/** Closed visits of one client, oldest first; gives the date of the last. */
function insertPast(tx: DbOrTx, client: DemoClient, day: string, random: Random, till: Random): void {
  if (client.intervals.length === 0) return;
  // one visit more than intervals: first visit, then one after each interval
  const gaps = [...client.intervals, client.sinceLast];
  const dates = gaps.map((_, i) => addDays(day, -gaps.slice(i).reduce((a, b) => a + b, 0)));
  dates.forEach((on, i) => {
    const visitId = `demo-${client.id}-${i + 1}`;
    const first = i === 0;
    const atMs = instantAt(on, 9 + (i % 6), 15, TIME_ZONE);
    const consult: Consult = {
      v: 2,
      facts: client.standing ?? [],
      asked: [...ASKED_EACH_TIME, ...ASKED_ONCE],
      unsure: [],
      spots: [],
      services: [],
      overrides: [],
      judged: null,
      consent: true,
      guardianConsent: false,
      sensitivity: client.sensitivity,
      agreed: {
        howMuch: client.zones.map((z) => ({ ...z, choice: client.agreed?.[z.zone] ?? usualOutcome(z.zone) })),
        coldPack: false,
        company: client.note.startsWith('Quiet') ? 'quiet' : 'either',
        tweezing: true,
        words: '',
      },
      confirmedAtMs: atMs,
    };
    insertVisit(tx, {
      id: visitId,
      bookingId: null,
      clientId: client.id,
      personId: client.person,
      onDate: on,
      status: 'closed',
      consult,
      createdAtMs: atMs,
      closedAtMs: atMs + 2_400_000,
      ...timesOf(client, i),
    });
    client.zones.forEach((zone, place) => {
      const days = client.intervals[i - 1] ?? 0;
      const lengthMm = first
        ? random.between(6, 9)
        : typicalVisibleLength(
            ZONES[zone.zone].growth,
            'regular',
            { rateFactor: client.rateFactor, lagShiftDays: 0 },
            days,
          ) * random.between(0.93, 1.07);
      const drawn = chartFor(client, zone, Math.max(2, lengthMm), first ? 'first' : 'regular');
      const density = Math.min(5, drawn.hair.density + thinning(client, i));
      const data = { ...drawn, hair: { ...drawn.hair, density } };
      putChart(tx, visitId, zone, { place, data, version: 1 });
      putReading(tx, visitId, zone, { ...readingFor(random, first), pain: painOf(client, i) }, 1);
    });
    if (i < gaps.length - 1) insertParts(tx, client, visitId, i);
    insertTaken(tx, client, { on, atMs: atMs + 2_400_000, visitId, random: till, prices: DEMO_MONEY.priceMinor });
    insertAdvice(tx, client, i, (k) => `demo-${client.id}-${k + 1}`);
  });
}

const trainedAs = (level: string) => (level === 'trainee' ? 'trainee' : 'practitioner');

function insertPerson(tx: DbOrTx, client: DemoClient, day: string, nowMs: number): void {
  const hadVisits = client.intervals.length > 0;
  insertClient(tx, {
    id: client.id,
    name: client.name,
    byline: client.byline,
    bornOn: addDays(day, -Math.round(client.ageYears * 365.25) - 40),
    phone: client.phone,
    note: client.note,
    createdAtMs: nowMs,
    profile: {
      v: 2,
      statureCm: client.stature ?? null,
      massKg: client.mass ?? null,
      sensitivity: client.sensitivity,
      skin: client.skin,
      ingrownProne: client.ingrownProne ?? false,
      standing: (client.standing ?? []).map((f) => ({ ...f, since: addDays(day, -250) })),
      reactions: client.reactions?.(day) ?? [],
      patchTests: client.patchTests?.(day) ?? [],
      consentOn: client.noConsent || !hadVisits ? null : addDays(day, -client.sinceLast),
      guardianConsentOn: null,
      blackout: [{ from: addDays(day, REGATTA_IN_DAYS), to: addDays(day, REGATTA_IN_DAYS + 1), why: 'regatta' }],
    },
  });
}

/** The visit that came to nothing, with the answer that stopped it. */
function insertNotDone(tx: DbOrTx, client: DemoClient, day: string): void {
  if (!client.notDone) return;
  const { daysAgo, endedAs, fact } = client.notDone;
  const on = addDays(day, -daysAgo);
  const atMs = instantAt(on, 10, 30, TIME_ZONE);
  const facts = [...(client.standing ?? []), fact === 'numb-skin' ? { fact } : { fact, lastOn: addDays(on, -1) }];
  const answer = judge({
    on,
    consent: true,
    guardianConsent: false,
    sensitivity: client.sensitivity,
    facts,
    zones: client.zones.map((z) => ({ ...z, hair: { ...chartFor(client, z, 7, 'regular').hair, past: [] } })),
  });
  const reasons = answer.reasons.map(({ code, outcome, zone, text }) => ({ code, outcome, zone, text }));
  insertVisit(tx, {
    id: `demo-${client.id}-not-done`,
    bookingId: null,
    clientId: client.id,
    personId: client.person,
    onDate: on,
    status: 'closed',
    endedAs,
    createdAtMs: atMs,
    closedAtMs: atMs + 600_000,
    consult: {
      v: 2,
      facts,
      asked: [...ASKED_EACH_TIME, ...ASKED_ONCE],
      unsure: [],
      spots: [],
      services: [],
      overrides: [],
      consent: true,
      guardianConsent: false,
      sensitivity: client.sensitivity,
      confirmedAtMs: null,
      judged: { ruleSet: answer.ruleSet, atMs, outcome: answer.outcome, earliestOn: answer.earliestOn, reasons },
      agreed: { howMuch: [], coldPack: false, company: 'either', tweezing: true, words: '' },
    },
  });
  client.zones.forEach((zone, place) =>
    putChart(tx, `demo-${client.id}-not-done`, zone, { place, data: chartFor(client, zone, 7, 'regular'), version: 1 }),
  );
}

function insertMissed(tx: DbOrTx, client: DemoClient, day: string, daysAgo: number): void {
  insertBooking(tx, {
    ...{ id: `demo-missed-${client.id}`, clientId: client.id, personId: client.person, zones: client.zones },
    ...{ startsAtMs: instantAt(addDays(day, -daysAgo), 15, 0, TIME_ZONE), minutes: 30, status: 'missed' },
  });
}

/** Loads everything; refused where a studio is already there. */
export function loadDemo(db: Db, nowMs: number): ServiceResult<{ readonly clients: number }> {
  if (readStudio(db)) return refused('The database already holds a studio.');
  const random = seededRandom(SEED);
  const till = seededRandom(SEED + 1);
  const day = civilDateAt(nowMs, TIME_ZONE);
  db.transaction((tx) => {
    tx.insert(studio)
      .values({
        id: 1,
        name: 'Saltmarsh Row',
        timeZone: TIME_ZONE,
        currency: 'EUR',
        settings: {
          v: 1,
          roomC: 22,
          humidityPct: 55,
          walkS: 6,
          schools: {
            hardLay: 'with',
            shortHair: 'crossed',
            maxHardPasses: 2,
            prep: 'powder',
            families: ['hard', 'soft', 'sugar'],
          },
          readySign: 'no-thread',
          tables: ['Window', 'Back room'],
          money: DEMO_MONEY,
        },
      })
      .run();
    for (const p of PEOPLE) {
      tx.insert(people)
        .values({ ...p, active: true, role: p.id === 'ines' ? 'owner' : trainedAs(p.level) })
        .run();
    }
    for (const product of SHIPPED_PRODUCTS) {
      tx.insert(products)
        .values({ id: product.id, data: { v: 1, product }, stocked: true })
        .run();
    }
    insertPots(tx, nowMs);
    insertBatches(tx, day, TIME_ZONE);
    insertShelf(tx, day, nowMs);
    insertPractice(tx, day, TIME_ZONE);
    for (const client of CLIENTS) {
      insertPerson(tx, client, day, nowMs);
      insertPast(tx, client, day, random, till);
      insertNotDone(tx, client, day);
      if (client.missedDaysAgo !== undefined) insertMissed(tx, client, day, client.missedDaysAgo);
      const b = client.booked;
      if (b) {
        insertBooking(tx, {
          id: `demo-booking-${client.id}`,
          clientId: client.id,
          personId: client.person,
          startsAtMs: instantAt(addDays(day, b.inDays), b.hour, b.minute, TIME_ZONE),
          minutes: b.minutes,
          zones: client.zones,
        });
      }
    }
  });
  keepLastPlans(db, nowMs);
  db.transaction((tx) => insertBook(tx, day, nowMs));
  return ok({ clients: CLIENTS.length });
}

/** The last visit of each client gets its plan, so that the card can say what was used and how warm. */
function keepLastPlans(db: Db, nowMs: number): void {
  const random = seededRandom(READ_SEED);
  for (const client of CLIENTS) {
    const visit = readVisit(db, `demo-${client.id}-${client.intervals.length + 1}`);
    const found = visit && partsOf(db, visit);
    if (!visit || !found) continue;
    const owner = { kind: 'visit', id: visit.id } as const;
    const { hash, plan } = planCase(db, found.parts, nowMs, { owner, priority: 'ahead' });
    putWorked(db, visit.id, plan, visit.consult.sensitivity);
    readAsPlanned(db, visit.id, plan, random);
    insertUse(db, visit.id, plan);
    keepParts(db, {
      ...{ visitId: visit.id, plan, serviceMinutes: {}, services: servicesOfVisit(SHIPPED_SERVICES, [], client.zones) },
      tookMin: visit.tableMin ?? 0,
    });
    if (hash !== '') db.update(visits).set({ planHash: hash }).where(eq(visits.id, visit.id)).run();
  }
}
