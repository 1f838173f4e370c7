// Visits of before this book, out of a table of anybody's: put down as it stands, matched to what its columns hold,
// looked through line by line, then taken in, all of them or none.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { statSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { currencyDigits } from '../../core/ledger';
import { ok } from '../../core/shared';
import {
  FIELD_NAMES,
  guessPast,
  MOST_PAST,
  pastRows,
  readPastLine,
  type PastGuess,
  type PastLine,
  type PastMapping,
  type ReadPast,
} from '../../formats/pastCsv';
import { zoneReader } from '../../formats/zoneWords';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { EMPTY_PROFILE } from '../db/upSteps';
import { notFound, refused, type ServiceResult } from '../errors';
import { sharedThread } from '../giveWay';
import { insertClient, namesakes } from '../repos/clientRepo';
import {
  beginTaking,
  insertImport,
  insertPast,
  pastOnDay,
  readImport,
  readImportRow,
  type ImportRow,
} from '../repos/importRepo';
import { readServices, readStudio } from '../repos/studioRepo';
import { dropUpload, uploadAt } from '../uploads';
import { otherImport, type ImportProgress, type LinesIn } from './tableIn';

type Pause = () => Promise<void> | undefined;

/** Puts a table down to be looked at; nothing of it is taken in yet. */
export async function putDownPast(
  db: Db,
  csv: string,
  nowMs: number,
): Promise<ServiceResult<PastGuess & { readonly id: string }>> {
  const today = civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC');
  const rows = await pastRows(csv, sharedThread());
  if (!rows.ok) return refused(`${rows.error.message} None was imported.`, 'csv');
  const guess = guessPast(rows.value, today);
  if (guess.rows === 0) return refused('There is no visit in it. None was imported.', 'csv');
  if (rows.value.length > MOST_PAST + 1) return refused(`More than ${MOST_PAST} visits at once.`, 'csv');
  const id = randomUUID();
  const put = {
    ...{ id, csv, onDate: today, total: guess.rows, taken: 0, atMs: nowMs },
    ...{ kind: 'visits' as const, state: 'read' as const, mapping: null },
  };
  db.transaction((tx) => insertImport(tx, put));
  return ok({ id, ...guess });
}

/** A quarter of a million visits. */
const MOST_BYTES = 48_000_000;

/** The same of a file that came in pieces. */
export async function putDownFile(db: Db, upload: string, nowMs: number): ReturnType<typeof putDownPast> {
  const at = uploadAt(upload);
  if (!at.ok) return at;
  try {
    if (statSync(at.value).size > MOST_BYTES) return refused('The table is too large. None was imported.', 'upload');
    return await putDownPast(db, await readFile(at.value, 'utf8'), nowMs);
  } finally {
    dropUpload(upload);
  }
}

/** Where a line belongs: a card that is there, or a new one, by a number of this table. */
type Whose = { readonly id: string; readonly isNew: boolean } | { readonly fault: string };
interface KnownCard {
  readonly id: string;
  readonly bornOn: string | null;
  readonly isNew: boolean;
}

/** Finds a line's card: by name and day of birth; the same table always gives the same cards. */
class Cards {
  readonly #byName = new Map<string, KnownCard[]>();

  constructor(
    private readonly db: Db,
    private readonly importId: string,
  ) {}

  #known(name: string): KnownCard[] {
    const key = name.toLowerCase();
    const known = this.#byName.get(key);
    if (known) return known;
    const found = namesakes(this.db, name).map((c): KnownCard => ({ id: c.id, bornOn: c.bornOn, isNew: false }));
    this.#byName.set(key, found);
    return found;
  }

  /** @param line of the file, by which a new card is called: a table that was cut off goes on with the same cards */
  whose({ client, bornOn }: Pick<PastLine, 'client' | 'bornOn'>, line: number, isTaking: boolean): Whose {
    const known = this.#known(client);
    const fits = bornOn === null ? known : known.filter((c) => c.bornOn === bornOn || c.bornOn === null);
    const exact = bornOn === null ? [] : known.filter((c) => c.bornOn === bornOn);
    const [card] = exact.length > 0 ? exact : fits;
    if (!isTaking && (exact.length || fits.length) > 1) {
      return { fault: `${FIELD_NAMES.client}: ${fits.length} cards have this name; a day of birth tells them apart.` };
    }
    if (card) return { id: card.id, isNew: card.isNew };
    const made: KnownCard = { id: `${this.importId}-${line}`, bornOn, isNew: true };
    known.push(made);
    return { id: made.id, isNew: true };
  }
}

/** Every line with its card, and its reason where it cannot be taken; once it is being taken every good line stays. */
async function* linesWithCards(
  db: Db,
  row: ImportRow,
  mapping: PastMapping,
  pause: Pause,
): AsyncGenerator<ReadPast & { readonly card: Exclude<Whose, { fault: string }> | null }> {
  const rows = await pastRows(row.csv, pause);
  if (!rows.ok) return;
  const zonesOf = zoneReader(readServices(db));
  const cards = new Cards(db, row.id);
  const seen = new Map<string, number>();
  for (const [i, cells] of rows.value.entries()) {
    if (i === 0 || cells.every((c) => c.trim() === '')) continue;
    await pause();
    const read = readPastLine(cells, i + 1, mapping, { today: row.onDate, zonesOf });
    if (!read.past) {
      yield { ...read, card: null };
      continue;
    }
    const isTaking = row.state === 'taking';
    const whose = cards.whose(read.past, read.line, isTaking);
    const doubt = 'fault' in whose || isTaking ? null : doubled(db, seen, whose, read);
    const fault = 'fault' in whose ? whose.fault : doubt;
    if (fault !== null || 'fault' in whose) yield { ...read, past: null, faults: [fault ?? ''], card: null };
    else yield { ...read, card: whose };
  }
}

function doubled(db: Db, seen: Map<string, number>, card: Exclude<Whose, { fault: string }>, read: ReadPast) {
  if (!read.past) return null;
  const { onDate, what } = read.past;
  const key = `${card.id} ${onDate} ${what}`;
  const before = seen.get(key);
  seen.set(key, before ?? read.line);
  if (before !== undefined) return `The same visit as on line ${before}.`;
  const isThere = !card.isNew && pastOnDay(db, card.id, onDate).some((p) => p.what === what);
  return isThere ? 'This visit stands on the card already.' : null;
}

export interface PastLook {
  readonly good: number;
  readonly bad: number;
  /** Cards that would be made. */
  readonly newCards: number;
  /** Different words that are no zones known here: they stay as words. */
  readonly onlyWords: readonly string[];
  /** The first bad lines. */
  readonly lines: readonly Pick<ReadPast, 'line' | 'name' | 'faults'>[];
  /** The first good ones, as they were understood. */
  readonly understood: readonly PastLine[];
}
const MOST_NAMED = 200;
const MOST_WORDS = 12;
const MOST_SHOWN = 4;

/** What taking it in would do, with its columns read so. */
export async function lookAtPast(db: Db, id: string, mapping: PastMapping): Promise<ServiceResult<PastLook>> {
  const row = readImportRow(db, id);
  if (row?.state !== 'read') return notFound('import');
  const bad: PastLook['lines'][number][] = [];
  const understood: PastLine[] = [];
  const onlyWords = new Set<string>();
  const fresh = new Set<string>();
  let [good, wrong] = [0, 0];
  for await (const { line, name, faults, past, card } of linesWithCards(db, row, mapping, sharedThread())) {
    if (!past || !card) {
      wrong++;
      if (bad.length < MOST_NAMED) bad.push({ line, name, faults });
      continue;
    }
    good++;
    if (card.isNew) fresh.add(card.id);
    if (understood.length < MOST_SHOWN) understood.push(past);
    if (past.zones === null && past.what !== '' && onlyWords.size < MOST_WORDS) onlyWords.add(past.what);
  }
  return ok({ good, bad: wrong, newCards: fresh.size, onlyWords: [...onlyWords], lines: bad, understood });
}

/** Begins to take a table in that was looked at with these columns and found good. */
export function startPast(
  db: Db,
  id: string,
  mapping: PastMapping,
  look: ServiceResult<PastLook>,
): ServiceResult<ImportProgress> {
  if (!look.ok) return look;
  const { good, bad } = look.value;
  if (bad > 0) return refused(`${bad} of ${good + bad} lines cannot be taken. None was imported.`, 'csv');
  return atomically(db, () => {
    const other = otherImport(db);
    if (other !== null) return refused(other, 'csv');
    if (readImport(db, id)?.state !== 'read') return notFound('import');
    beginTaking(db, id, mapping, good);
    return ok({ id, state: 'taking', taken: 0, total: good });
  });
}

/** So many visits at once hold the thread for some milliseconds. */
const TAKEN_AT_ONCE = 25;

/** Lines of a table that was found good, with the cards they belong to. */
export async function pastLines(db: Db, row: ImportRow, pause: Pause): Promise<LinesIn> {
  const digits = currencyDigits(readStudio(db)?.currency ?? 'EUR');
  const lines: { readonly past: PastLine; readonly cardId: string }[] = [];
  const madeAt = new Map<number, string>();
  const made = new Set<string>();
  if (row.mapping) {
    for await (const { past, card } of linesWithCards(db, row, row.mapping, pause)) {
      if (!past || !card) continue;
      if (card.isNew && !made.has(card.id)) madeAt.set(lines.length, card.id);
      made.add(card.id);
      lines.push({ past, cardId: card.id });
    }
  }
  return {
    ...{ count: lines.length, atOnce: TAKEN_AT_ONCE },
    write: (to, at) => {
      const line = lines[at];
      if (!line) return;
      const { past, cardId } = line;
      if (madeAt.has(at)) {
        insertClient(to, {
          ...{ id: cardId, name: past.client, bornOn: past.bornOn, phone: past.phone, profile: EMPTY_PROFILE },
          ...{ importId: row.id, createdAtMs: row.atMs },
        });
      }
      const { onDate, zones, what, family, product, minutes, paid, lengthMm, words } = past;
      insertPast(to, {
        ...{ id: randomUUID(), clientId: cardId, onDate, zones: zones ?? [], what, family, product, minutes },
        ...{ paidMinor: paid === null ? null : Math.round(paid * 10 ** digits), lengthMm, words, importId: row.id },
      });
    },
  };
}
