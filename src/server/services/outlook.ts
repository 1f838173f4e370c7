// Who is ready when: each client's zones as their last visit left them, the soonest to close first.

import 'server-only';
import { ZONES, type Family } from '../../core/anatomy';
import { usualRange } from '../../core/matching';
import { studioFacts } from '../../core/plan';
import { addDays, daysBetween, earlierDate, laterDate } from '../../core/shared';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { forecastBeside } from '../planning/forecastThread';
import { bookedAhead, outlookRows, type OutlookRow } from '../repos/outlookRepo';
import { readProducts, readStudio } from '../repos/studioRepo';
import { zonesInWords } from './zonesInWords';

export interface ReadyLine {
  readonly clientId: string;
  readonly name: string;
  readonly what: string;
  readonly lastOn: string;
  /** When all of it is ready together; null where it is not known. */
  readonly fromOn: string | null;
  readonly toOn: string | null;
  readonly state: 'ready' | 'soon' | 'over' | 'unknown';
  /** The first booking ahead. */
  readonly bookedMs: number | null;
}

export interface ReadyList {
  readonly today: string;
  readonly timeZone: string;
  readonly lines: readonly ReadyLine[];
}

/** Who came last longer ago than this is not on the list. */
const SINCE_DAYS = 240;
const AT_ONCE = 1500;

function stateOf(fromOn: string | null, toOn: string | null, today: string): ReadyLine['state'] {
  if (fromOn === null || toOn === null) return 'unknown';
  if (toOn < today) return 'over';
  return fromOn <= today ? 'ready' : 'soon';
}

/** Zones that were last worked together make one line. */
function linesOf(
  rows: readonly OutlookRow[],
  booked: ReadonlyMap<string, number>,
  today: string,
): readonly ReadyLine[] {
  const visits = new Map<string, OutlookRow[]>();
  for (const row of rows) {
    const known = visits.get(row.visitId);
    if (known) known.push(row);
    else visits.set(row.visitId, [row]);
  }
  const lines = [...visits.values()].flatMap((zones): ReadyLine[] => {
    const [first] = zones;
    if (!first) return [];
    const known = zones.flatMap(({ readyFrom, readyTo }) =>
      readyFrom === null || readyTo === null ? [] : [{ readyFrom, readyTo }],
    );
    const whole = known.length === zones.length;
    const fromOn = whole ? known.map((k) => k.readyFrom).reduce(laterDate) : null;
    // where windows do not meet, the last to open counts
    const toOn = fromOn === null ? null : laterDate(fromOn, known.map((k) => k.readyTo).reduce(earlierDate));
    const { clientId, clientName: name, lastOn } = first;
    return [
      {
        ...{ clientId, name, lastOn, fromOn, toOn, what: zonesInWords(zones), state: stateOf(fromOn, toOn, today) },
        bookedMs: booked.get(clientId) ?? null,
      },
    ];
  });
  return lines.sort((a, b) => byClosing(a, b));
}

const byClosing = (a: ReadyLine, b: ReadyLine): number =>
  (a.toOn ?? '9999').localeCompare(b.toOn ?? '9999') || a.name.localeCompare(b.name);

/** As they were worked. @param only of these clients; absent = of all in use */
export function readyList(db: Db, nowMs: number, only?: readonly string[]): ReadyList {
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const today = civilDateAt(nowMs, timeZone);
  const rows = outlookRows(db, addDays(today, -SINCE_DAYS), only);
  return { today, timeZone, lines: linesOf(rows, bookedAhead(db, nowMs, only), today) };
}

export type Forecasting =
  { readonly done: number; readonly total: number } | ({ readonly done: number; readonly total: number } & ReadyList);

/** What each zone is ready for when it were worked with another family; the windows are worked out in a thread. */
export async function* readyWith(db: Db, family: Family, nowMs: number): AsyncGenerator<Forecasting> {
  const studio = readStudio(db);
  const timeZone = studio?.timeZone ?? 'UTC';
  const today = civilDateAt(nowMs, timeZone);
  const { products, schools } = studioFacts({ schools: studio?.settings.schools }, readProducts(db));
  const rows = outlookRows(db, addDays(today, -SINCE_DAYS));
  const ranges = new Map<string, ReturnType<typeof usualRange>>();
  const rangeOf = (zone: OutlookRow['zone']) => {
    const known = ranges.get(zone);
    if (known !== undefined) return known;
    const range = usualRange(family, ZONES[zone], products, schools);
    ranges.set(zone, range);
    return range;
  };
  const found: OutlookRow[] = [];
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const part = rows.slice(i, i + AT_ONCE).flatMap((row) => {
      const range = rangeOf(row.zone);
      const person = { rateFactor: row.rateFactor ?? 1, lagShiftDays: row.lagShift ?? 0 };
      return range ? [{ row, item: { zone: row.zone, ...range, person } }] : [];
    });
    const windows = await forecastBeside(part.map((p) => p.item));
    part.forEach(({ row }, k) => {
      const window = windows[k] ?? null;
      const readyFrom = window && addDays(row.lastOn, window[0]);
      const readyTo = window && addDays(row.lastOn, window[1]);
      found.push({ ...row, family, readyFrom, readyTo });
    });
    yield { done: Math.min(rows.length, i + AT_ONCE), total: rows.length };
  }
  const lines = linesOf(found, bookedAhead(db, nowMs), today);
  yield { done: rows.length, total: rows.length, today, timeZone, lines };
}

/** When a client is due, in few words for a list. */
export interface Due {
  readonly lastOn: string;
  readonly bookedMs: number | null;
  readonly state: ReadyLine['state'];
  readonly fromOn: string | null;
  readonly toOn: string | null;
  /** Days since the window closed; 0 where it has not. */
  readonly overDays: number;
}

/** Of each of these clients what closes first. */
export function dueOf(db: Db, clientIds: readonly string[], nowMs: number): ReadonlyMap<string, Due> {
  const { lines, today } = readyList(db, nowMs, clientIds);
  const due = new Map<string, Due>();
  for (const { clientId, lastOn, bookedMs, state, fromOn, toOn } of lines) {
    if (due.has(clientId)) continue;
    const overDays = state === 'over' && toOn !== null ? daysBetween(toOn, today) : 0;
    due.set(clientId, { lastOn, bookedMs, state, fromOn, toOn, overDays });
  }
  return due;
}
