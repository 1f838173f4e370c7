// What twelve visits show: how it felt, minutes, density, hairs tweezed; how regularly the client came; bare places.

import 'server-only';
import { hairsPerCm2, sheetFor, ZONES, type Side, type ZoneId } from '../../core/anatomy';
import { progressWords, trendOf, type TrendPoint } from '../../core/progress';
import { isSaid } from '../../core/reading';
import { addDays, daysBetween, ok, roundTo, type Ring } from '../../core/shared';
import { civilDateAt } from '../clock';
import { readable } from '../db/json';
import type { DbOrTx } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { readClient, type ClientRow } from '../repos/clientRepo';
import { readingsOfClient } from '../repos/pastRepo';
import { readStudio } from '../repos/studioRepo';
import { chartsOf, closedVisits } from '../repos/visitRepo';
import { workedOfClient } from '../repos/workedRepo';
import { placeWords } from './recordBlocks';

const VISITS = 12;
const HALF_YEAR_DAYS = 182;
/** A visit this near to its window still kept the interval, days. */
const NEAR_DAYS = 3;

export interface ProgressPoint {
  readonly on: string;
  readonly value: number;
  /** Why this visit stands apart; empty where it does not. */
  readonly odd: string;
}

export interface BareZone {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly name: string;
  readonly outline: Ring;
  readonly sizeCm: readonly [number, number];
  readonly places: readonly {
    readonly at: readonly [number, number];
    readonly radiusCm: number;
    readonly on: string;
    /** It was there half a year ago. */
    readonly isOld: boolean;
    readonly areaCm2: number;
  }[];
}

export interface Progress {
  readonly name: string;
  readonly pain: readonly ProgressPoint[];
  readonly minutes: readonly ProgressPoint[];
  readonly density: readonly ProgressPoint[];
  readonly tweezed: readonly ProgressPoint[];
  /** One sentence; empty where nothing clearly changed. */
  readonly words: string;
  /** Days between visits on average; null with one visit. */
  readonly everyDays: number | null;
  /** How many visits came in their window, of those where it is known. */
  readonly kept: { readonly in: number; readonly of: number };
  readonly visits: number;
  readonly bare: readonly BareZone[];
}

const dayPoints = (points: readonly ProgressPoint[]): readonly TrendPoint[] =>
  points.map((p) => ({ day: daysBetween(points[0]?.on ?? p.on, p.on), value: p.value }));

function spanWords(points: readonly { readonly on: string }[]): string {
  const days = daysBetween(points[0]?.on ?? '', points.at(-1)?.on ?? '');
  if (days > 300) return days > 430 ? `In ${Math.round(days / 365)} years` : 'In a year';
  return days > 150 ? 'In half a year' : `In ${Math.max(1, Math.round(days / 7))} weeks`;
}

/** How many visits came in the window that the one before left. */
function keptOf(db: DbOrTx, clientId: string, visits: readonly { readonly id: string; readonly onDate: string }[]) {
  const worked = workedOfClient(db, clientId);
  const found = visits.slice(1).flatMap((visit, i): readonly boolean[] => {
    const before = worked.find((w) => w.visitId === visits[i]?.id && w.readyFrom !== null && w.readyTo !== null);
    if (!before?.readyFrom || !before.readyTo) return [];
    const { readyFrom, readyTo } = before;
    return [visit.onDate >= addDays(readyFrom, -NEAR_DAYS) && visit.onDate <= addDays(readyTo, NEAR_DAYS)];
  });
  return { in: found.filter((k) => k).length, of: found.length };
}

function bareOf(db: DbOrTx, visitId: string, today: string, { profile }: ClientRow): readonly BareZone[] {
  const { statureCm, massKg } = profile;
  const body = statureCm === null || massKg === null ? {} : { statureCm, massKg };
  return chartsOf(db, visitId).flatMap((chart): BareZone[] => {
    const { data } = chart;
    const [zone, side] = [chart.zone as ZoneId, chart.side]; // zones are checked on the way in
    const places = data.bare ?? [];
    const sheet = sheetFor(ZONES[zone], side, body, data.sheetCm);
    if (places.length === 0 || !sheet.ok) return [];
    const { outline, widthCm, heightCm } = sheet.value;
    const [fx, fy] = data.drawnOnCm ? [widthCm / data.drawnOnCm[0], heightCm / data.drawnOnCm[1]] : [1, 1];
    return [
      {
        ...{ zone, side, outline, name: placeWords(zone, side), sizeCm: [widthCm, heightCm] },
        places: places.map((p) => ({
          at: [p.at[0] * fx, p.at[1] * fy],
          radiusCm: p.radiusCm,
          on: p.on,
          isOld: daysBetween(p.on, today) >= HALF_YEAR_DAYS,
          areaCm2: roundTo(Math.PI * p.radiusCm ** 2, 0),
        })),
      },
    ];
  });
}

export function loadProgress(db: DbOrTx, clientId: string, nowMs: number): ServiceResult<Progress> {
  const client = readClient(db, clientId);
  if (!client) return notFound('client');
  const today = civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC');
  const visits = closedVisits(db, clientId, VISITS).reverse();
  const readings = readingsOfClient(db, clientId, visits[0]?.onDate);
  const pain: ProgressPoint[] = [];
  const minutes: ProgressPoint[] = [];
  const density: ProgressPoint[] = [];
  const tweezed: ProgressPoint[] = [];
  for (const visit of visits) {
    const on = visit.onDate;
    const charts = readable(() => chartsOf(db, visit.id), []);
    // what was only carried over says nothing of that day
    const seen = charts.filter((c) => c.data.confirmed);
    const odd = charts.some((c) => c.data.hair.history === 'shaved') ? 'shaved before' : '';
    const read = (readings.get(visit.id) ?? []).map((r) => r.data);
    const felt = read.flatMap((r) => (r.pain === undefined ? [] : [r.pain]));
    if (felt.length > 0) pain.push({ on, odd, value: Math.max(...felt) });
    if (visit.tableMin !== null) minutes.push({ on, odd, value: Math.round(visit.tableMin) });
    const perCm2 = seen.map((c) => hairsPerCm2(ZONES[c.zone as ZoneId].hairsPerCm2, c.data.hair.density));
    if (perCm2.length > 0) {
      density.push({ on, odd, value: roundTo(perCm2.reduce((a, b) => a + b, 0) / perCm2.length, 1) });
    }
    const counted = read.filter((r) => isSaid(r, 'tweezed'));
    if (counted.length > 0) tweezed.push({ on, odd, value: counted.reduce((s, r) => s + r.tweezed, 0) });
  }
  const trend = (points: readonly ProgressPoint[]) => trendOf(dayPoints(points));
  const trends = { minutes: trend(minutes), density: trend(density), pain: trend(pain), tweezed: trend(tweezed) };
  const [first, last] = [visits[0], visits.at(-1)];
  const days = first && last ? daysBetween(first.onDate, last.onDate) : 0;
  return ok({
    ...{ name: client.name, pain, minutes, density, tweezed, visits: visits.length },
    words: progressWords(trends, spanWords(visits.map((v) => ({ on: v.onDate })))),
    everyDays: visits.length > 1 ? Math.round(days / (visits.length - 1)) : null,
    kept: keptOf(db, clientId, visits),
    bare: last ? bareOf(db, last.id, today, client) : [],
  });
}
