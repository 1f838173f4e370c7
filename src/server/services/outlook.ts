// Who is ready when: each client's zones as their last visit left them, the soonest to close first.

import 'server-only';
import { zoneKey, ZONES, type Family } from '../../core/anatomy';
import { usualRange } from '../../core/matching';
import { studioFacts } from '../../core/plan';
import { addDays, daysBetween, laterDate } from '../../core/shared';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { keptSinceWrite } from '../db/sinceWrite';
import type { Forecast } from '../planning/forecast.thread';
import { forecastBeside } from '../planning/forecastThread';
import {
  bookedAhead,
  outlookLines,
  countOutlookRows,
  outlookRowsAfter,
  zonesOfKeys,
  type OutlookLine,
  type OutlookRow,
} from '../repos/outlookRepo';
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
  /** Those that are ready, the soonest to close first; then those that will be; then those whose window is past. */
  readonly lines: readonly ReadyLine[];
  /** Of those who are not booked, lines that are not shown among them. */
  readonly ready: number;
  readonly over: number;
  /** How many there are beside the lines. */
  readonly more: number;
}

/** Who came last longer ago than this is not on the list. */
const SINCE_DAYS = 240;
/** Rows of a part: some hundred visits. */
const AT_ONCE = 600;
/** So many lines go out at once. */
const MOST_LINES = 300;

function stateOf(fromOn: string | null, toOn: string | null, today: string): ReadyLine['state'] {
  if (fromOn === null || toOn === null) return 'unknown';
  if (toOn < today) return 'over';
  return fromOn <= today ? 'ready' : 'soon';
}

const RANK: Readonly<Record<ReadyLine['state'], number>> = { ready: 0, soon: 1, over: 2, unknown: 3 };

type Urgent = Pick<ReadyLine, 'state' | 'toOn' | 'name'>;
function compared(a: string, b: string): number {
  if (a === b) return 0;
  return a < b ? -1 : 1;
}
/** What closes first stands first; what is past stands last, the latest of it first. */
function byUrgency(a: Urgent, b: Urgent): number {
  const closing = compared(a.toOn ?? '', b.toOn ?? '') * (a.state === 'over' ? -1 : 1);
  return RANK[a.state] - RANK[b.state] || closing || compared(a.name, b.name);
}

interface Standing {
  readonly booked: ReadonlyMap<string, number>;
  readonly today: string;
}

/** As it is sorted: words are made only for what is shown. */
const sortedOf = (line: OutlookLine, { booked, today }: Standing) => ({
  line,
  ...{ name: line.name, toOn: line.toOn, state: stateOf(line.fromOn, line.toOn, today) },
  bookedMs: booked.get(line.clientId) ?? null,
});

function shownLine({ line, state, bookedMs }: ReturnType<typeof sortedOf>): ReadyLine {
  const { zoneKeys, clientId, name, lastOn, fromOn, toOn } = line;
  const what = zonesInWords(zonesOfKeys(zoneKeys));
  return { clientId, name, lastOn, fromOn, toOn, state, bookedMs, what };
}

function listOf(found: readonly OutlookLine[], standing: Standing, timeZone: string): ReadyList {
  const all = found.map((line) => sortedOf(line, standing)).sort(byUrgency);
  const free = all.filter((l) => l.bookedMs === null);
  // who is booked already waits for nothing: they give way where there are too many
  const shown = [...free, ...all.filter((l) => l.bookedMs !== null)].slice(0, MOST_LINES).sort(byUrgency);
  return {
    ...{ today: standing.today, timeZone, lines: shown.map(shownLine), more: all.length - shown.length },
    ready: free.filter((l) => l.state === 'ready').length,
    over: free.filter((l) => l.state === 'over').length,
  };
}

const keptLines = keptSinceWrite<readonly OutlookLine[]>(2);

/** As they were worked. @param only of these clients; absent = of all in use */
export function readyList(db: Db, nowMs: number, only?: readonly string[]): ReadyList {
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const today = civilDateAt(nowMs, timeZone);
  const since = addDays(today, -SINCE_DAYS);
  const found = only
    ? outlookLines(db, { since, only })
    : keptLines(db, since, () => outlookLines(db, { since, only }));
  return listOf(found, { booked: bookedAhead(db, nowMs, only), today }, timeZone);
}

const LOOKED_AT = 200;
/** Ready in a week and not booked, what closes first on top. @param fromOn its Monday */
export function readyInWeek(
  db: Db,
  { fromOn, nowMs, most }: { readonly fromOn: string; readonly nowMs: number; readonly most: number },
): readonly ReadyLine[] {
  const today = civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC');
  const closing = { from: laterDate(fromOn, today), most: LOOKED_AT };
  const found = outlookLines(db, { since: addDays(today, -SINCE_DAYS), closing });
  const standing = { today, booked: bookedAhead(db, nowMs, [...new Set(found.map((l) => l.clientId))]) };
  return found
    .map((line) => sortedOf(line, standing))
    .filter(({ bookedMs, line }) => bookedMs === null && line.fromOn !== null && line.fromOn <= addDays(fromOn, 6))
    .slice(0, most)
    .map(shownLine);
}

export type Forecasting =
  { readonly done: number; readonly total: number } | ({ readonly done: number; readonly total: number } & ReadyList);

/** Zones of one visit as one line, in the window that all of them share. */
function togetherAgain(rows: readonly (OutlookRow & { readonly window: Forecast })[]): OutlookLine[] {
  const visits = new Map<string, (typeof rows)[number][]>();
  for (const row of rows) {
    const known = visits.get(row.visitId);
    if (known) known.push(row);
    else visits.set(row.visitId, [row]);
  }
  return [...visits.values()].flatMap((zones): OutlookLine[] => {
    const [first] = zones;
    if (!first) return [];
    const windows = zones.flatMap((z) => (z.window ? [z.window] : []));
    const { clientId, name, visitId, lastOn } = first;
    const line = { clientId, name, visitId, lastOn, zoneKeys: zones.map(zoneKey).join(' ') };
    if (windows.length < zones.length) return [{ ...line, fromOn: null, toOn: null }];
    const fromDay = Math.max(...windows.map((w) => w[0]));
    const toDay = Math.max(fromDay, Math.min(...windows.map((w) => w[1])));
    return [{ ...line, fromOn: addDays(lastOn, fromDay), toOn: addDays(lastOn, toDay) }];
  });
}

/** What each zone is ready for when it were worked with another family; the windows are worked out in a thread. */
export async function* readyWith(db: Db, family: Family, nowMs: number): AsyncGenerator<Forecasting> {
  const studio = readStudio(db);
  const timeZone = studio?.timeZone ?? 'UTC';
  const today = civilDateAt(nowMs, timeZone);
  const { products, schools } = studioFacts({ schools: studio?.settings.schools }, readProducts(db));
  const ranges = new Map<string, ReturnType<typeof usualRange>>();
  const rangeOf = (zone: OutlookRow['zone']) => {
    const known = ranges.get(zone);
    if (known !== undefined) return known;
    const range = usualRange(family, ZONES[zone], products, schools);
    ranges.set(zone, range);
    return range;
  };
  const since = addDays(today, -SINCE_DAYS);
  const total = countOutlookRows(db, since);
  const found: OutlookLine[] = [];
  let after = '';
  for (let done = 0; ;) {
    // some visits at once: the thread that answers is shared
    const rows = outlookRowsAfter(db, since, { after, most: AT_ONCE });
    const last = rows.at(-1);
    if (!last) break;
    after = last.visitId;
    const part = rows.flatMap((row) => {
      const range = rangeOf(row.zone);
      const person = { rateFactor: row.rateFactor ?? 1, lagShiftDays: row.lagShift ?? 0 };
      return range ? [{ row, item: { zone: row.zone, ...range, person } }] : [];
    });
    const windows = await forecastBeside(part.map((p) => p.item));
    found.push(...togetherAgain(part.map(({ row }, k) => ({ ...row, window: windows[k] ?? null }))));
    done += rows.length;
    yield { done: Math.min(done, total), total };
  }
  const list = listOf(found, { booked: bookedAhead(db, nowMs), today }, timeZone);
  yield { done: total, total, ...list };
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
