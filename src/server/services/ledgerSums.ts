// What an hour earns, by service or by person, and what the honest year and the questions of "what if" begin with: the
// studio's own visits, its hours and closures, and what it has said itself.

import 'server-only';
import type { Family } from '../../core/anatomy';
import { FAMILIES } from '../../core/anatomy';
import { hoursEarned, vatInside, WEEKS, type DonePart, type ServiceHour } from '../../core/ledger';
import type { ProductEffect, TableFacts, YearFacts } from '../../core/ledger';
import { TURNOVER_MIN } from '../../core/materials';
import { addDays, daysBetween, ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db, DbOrTx } from '../db/openDatabase';
import type { StudioMoney } from '../db/schema';
import { keptSinceWrite } from '../db/sinceWrite';
import { notFound, stale, type ServiceResult } from '../errors';
import { missedAndDone, partLines } from '../repos/ledgerRepo';
import { readPeople, readStudio, setSettings, type StudioRow } from '../repos/studioRepo';
import { loadHours } from './hours';
import { namesIn } from './ledgerDay';

export type Period = 'month' | 'half-year' | 'year';
const DAYS: Readonly<Record<Period, number>> = { month: 30, 'half-year': 182, year: 365 };
const DAY_MS = 86_400_000;

export interface HourRow extends ServiceHour {
  readonly name: string;
}
export type YearSaid = NonNullable<StudioMoney['year']>;
/** Where each figure of the year comes from, in words. */
export type YearOrigins = Readonly<Record<keyof YearSaid, string>>;

export interface LedgerSums {
  readonly period: Period;
  readonly from: string;
  readonly today: string;
  readonly currency: string;
  readonly visits: number;
  readonly people: string;
  /** Hours of services, and of those who did them; what earns most first. */
  readonly services: readonly HourRow[];
  readonly persons: readonly HourRow[];
  readonly year: YearFacts;
  readonly said: YearSaid;
  readonly origins: YearOrigins;
  readonly products: Readonly<Partial<Record<Family, ProductEffect>>>;
  readonly table: TableFacts;
  readonly studioVersion: number;
}

const NOTHING_SAID: YearSaid = {
  ...{ placesAWeek: null, priceMinor: null, weeksOff: null, turnoverMin: null },
  ...{ noShowPermille: null, materialsMinor: null, roomYearMinor: null, taxPermille: null },
};

interface VisitPart extends DonePart {
  readonly visitId: string;
  readonly personId: string;
}

/** What was done in a span with what came for it; a visit that nobody has entered yet is not in it. */
export function donePartsBetween(db: DbOrTx, from: string, to: string): readonly VisitPart[] {
  const parts: (VisitPart & { place: number; netMinor: number })[] = [];
  for (const line of partLines(db, from, to)) {
    const netMinor = line.amountMinor - vatInside(line.amountMinor, line.vatBp);
    const last = parts.at(-1);
    // lines of one part stand together
    if (last?.visitId === line.visitId && last.place === line.place) {
      last.netMinor += netMinor;
      continue;
    }
    // each field by its name: what is spread out of a row is several times slower to read
    const { visitId, place, service, family, minutes, materialsMinor, personId } = line;
    parts.push({ visitId, place, service, family, minutes, materialsMinor, personId, netMinor });
  }
  return parts;
}

function productEffects(parts: readonly VisitPart[]): LedgerSums['products'] {
  const mean = (of: readonly VisitPart[], value: (p: VisitPart) => number): number =>
    of.reduce((s, p) => s + value(p), 0) / Math.max(1, of.length);
  const byService = new Map<string, VisitPart[]>();
  for (const part of parts) {
    if (part.family === null) continue;
    const own = byService.get(part.service);
    if (own) own.push(part);
    else byService.set(part.service, [part]);
  }
  const effects = FAMILIES.flatMap((family): readonly (readonly [Family, ProductEffect])[] => {
    // like is compared with like: only services that were worked with it and without it
    const both = [...byService.values()].flatMap((own) => {
      const [with_, without] = [own.filter((p) => p.family === family), own.filter((p) => p.family !== family)];
      return with_.length > 0 && without.length > 0 ? [{ n: own.length, with_, without }] : [];
    });
    const n = both.reduce((s, b) => s + b.n, 0);
    if (n === 0) return [];
    const more = (value: (p: VisitPart) => number): number =>
      both.reduce((s, b) => s + (b.n / n) * (mean(b.with_, value) - mean(b.without, value)), 0);
    const shareNow = parts.filter((p) => p.family === family).length / Math.max(1, parts.length);
    return [
      [family, { shareNow, minutesMore: more((p) => p.minutes), materialsMoreMinor: more((p) => p.materialsMinor) }],
    ];
  });
  return Object.fromEntries(effects);
}

/** Minutes that the studio is open in a week. */
const openMinutes = (hours: readonly (readonly { readonly fromMin: number; readonly toMin: number }[])[]): number =>
  hours.flat().reduce((s, span) => s + span.toMin - span.fromMin, 0);

interface Own {
  readonly facts: YearFacts;
  readonly origins: YearOrigins;
}

/** The year by the studio's own figures, with where each comes from. */
function ownYear(db: Db, studio: StudioRow, parts: readonly VisitPart[], nowMs: number): Own {
  const today = civilDateAt(nowMs, studio.timeZone);
  const hours = loadHours(db);
  const openMin = hours.ok ? openMinutes(hours.value.hours) : 0;
  const openDays = hours.ok ? hours.value.hours.filter((d) => d.length > 0).length : 0;
  const closedDays = (hours.ok ? hours.value.closed : [])
    .map((c) => ({ from: c.from < today ? today : c.from, to: c.to }))
    .filter((c) => c.to >= c.from && c.from <= addDays(today, 365))
    .reduce((s, c) => s + daysBetween(c.from, c.to) + 1, 0);
  const visits = new Set(parts.map((p) => p.visitId)).size;
  const sum = (of: (p: VisitPart) => number): number => parts.reduce((s, p) => s + of(p), 0);
  const each = (total: number): number => (visits === 0 ? 0 : Math.round(total / visits));
  const minutes = Math.max(5, visits === 0 ? 40 : Math.round(sum((p) => p.minutes) / visits) - TURNOVER_MIN);
  const { missed, done } = missedAndDone(db, {
    ...{ fromMs: nowMs - 365 * DAY_MS, toMs: nowMs, fromOn: addDays(today, -365), toOn: today },
  });
  const came = missed + done;
  const roomHour = studio.settings.money?.roomMinorPerHour ?? 0;
  const by = visits === 0 ? 'no visit is entered yet' : `by ${visits} own visits`;
  return {
    facts: {
      placesAWeek: Math.floor(openMin / minutes),
      priceMinor: each(sum((p) => p.netMinor)),
      weeksOff: Math.min(WEEKS, Math.round(closedDays / 7)),
      minutes,
      turnoverMin: TURNOVER_MIN,
      noShowPermille: came === 0 ? 0 : Math.round((1000 * missed) / came),
      materialsMinor: each(sum((p) => p.materialsMinor)),
      roomYearMinor: Math.round((roomHour * openMin * WEEKS) / 60),
      taxPermille: 0,
    },
    origins: {
      placesAWeek: `${Math.round(openMin / 6) / 10} hours on ${openDays} days a week, ${minutes} min a place, ${by}`,
      priceMinor: `what a visit brought, tax taken off, ${by}`,
      weeksOff:
        closedDays === 0
          ? 'no closed days are entered under Hours'
          : `${closedDays} closed days of the next year, under Hours`,
      turnoverMin: 'cleaning up and airing, as planned with',
      noShowPermille: `nobody came to ${missed} of ${came} in the last year`,
      materialsMinor: `by the plans of the visits, ${by}`,
      roomYearMinor: `what an hour of the room costs, under Prices, times the hours open, ${WEEKS} weeks`,
      taxPermille: 'nobody has said it; ask who does your taxes',
    },
  };
}

/** Mixes what was said over what was found. */
const withSaid = (facts: YearFacts, said: YearSaid): YearFacts => ({
  ...facts,
  ...Object.fromEntries(Object.entries(said).filter(([, v]) => v !== null)),
});

/** Who did not come is counted anew every so often without a write: it only enters the share of a year. */
const COUNTED_ANEW_MS = 300_000;
const keptSums = keptSinceWrite<ServiceResult<LedgerSums>>(6);

export const loadLedger = (db: Db, period: Period, nowMs: number): ServiceResult<LedgerSums> =>
  keptSums(db, `${period} ${Math.floor(nowMs / COUNTED_ANEW_MS)}`, () => sumsOf(db, period, nowMs));

function sumsOf(db: Db, period: Period, nowMs: number): ServiceResult<LedgerSums> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const today = civilDateAt(nowMs, studio.timeZone);
  const from = addDays(today, -DAYS[period]);
  const parts = donePartsBetween(db, from, today);
  const money = studio.settings.money;
  const room = money?.roomMinorPerHour ?? 0;
  const names = namesIn(db);
  const half = period === 'half-year' ? parts : donePartsBetween(db, addDays(today, -DAYS['half-year']), today);
  const own = ownYear(db, studio, half, nowMs);
  const said = money?.year ?? NOTHING_SAID;
  const whose = [...new Set(parts.map((p) => names.person(p.personId)))].sort();
  return ok({
    ...{ period, from, today, currency: studio.currency, said, origins: own.origins, studioVersion: studio.version },
    visits: new Set(parts.map((p) => p.visitId)).size,
    people:
      whose.length > 0
        ? new Intl.ListFormat('en-GB').format(whose)
        : readPeople(db)
            .map((p) => p.name)
            .join(', '),
    services: hoursEarned(parts, room).map((h) => ({ ...h, name: names.item(h.service) })),
    persons: hoursEarned(
      parts.map(({ personId: service, family, minutes, materialsMinor, netMinor }) => ({
        service,
        family,
        minutes,
        materialsMinor,
        netMinor,
      })),
      room,
    ).map((h) => ({ ...h, name: names.person(h.service) })),
    year: withSaid(own.facts, said),
    products: productEffects(half),
    table: { labourMinorPerHour: money?.labourMinorPerHour ?? 0 },
  });
}

/** What the studio itself says of its year; null in a field = by its own visits again. */
export function saveYear(
  db: Db,
  { version, year }: { readonly version: number; readonly year: YearSaid },
): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    const money = studio.settings.money ?? { labourMinorPerHour: 0, roomMinorPerHour: 0, priceMinor: {} };
    const settings = { ...studio.settings, money: { ...money, year } };
    return setSettings(db, settings, version) ? ok(null) : stale(null);
  });
}
