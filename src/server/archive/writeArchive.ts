// The whole studio as one file (docs/formats.md): a zip of every table as lines of JSON, with what other programmes can
// read beside it: clients and past visits as CSV, the latest chart of every zone. All of one instant; written as a
// stream, by a process of its own.

import { createHash } from 'node:crypto';
import { PassThrough, Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Database from 'better-sqlite3';
import { stringify } from 'csv-stringify/sync';
import yazl from 'yazl';
import { shielded } from '../../formats/csvRows';
import { archivedTables, rowOut, settingsOut } from './tables';

export const ARCHIVE_FORMAT = 'strickle-archive';
export const ARCHIVE_VERSION = 1;

export interface ArchiveHead {
  readonly format: typeof ARCHIVE_FORMAT;
  readonly version: typeof ARCHIVE_VERSION;
  readonly madeAt: string;
  /** How many migrations the tables have gone through. */
  readonly migrations: number;
  readonly studio: string;
  /** By table: how many rows, and the SHA-256 of its lines. */
  readonly tables: Readonly<Record<string, { readonly rows: number; readonly sha256: string }>>;
}

type Raw = Readonly<Record<string, unknown>>;

function* linesOf(raw: Database.Database, table: string): Generator<string> {
  for (const row of raw.prepare(`select * from "${table}" order by rowid`).iterate() as Iterable<Raw>) {
    const out = rowOut(table, row);
    yield `${JSON.stringify(table === 'studio' ? { ...out, settings: settingsOut(String(row['settings'])) } : out)}\n`;
  }
}

const asCsv = (cells: readonly unknown[]): string =>
  stringify([cells.map((c) => (typeof c === 'string' ? shielded(c) : (c ?? '')))]);

function* csvOf(raw: Database.Database, query: string): Generator<string> {
  const asked = raw.prepare(query);
  yield asCsv(asked.columns().map((c) => c.name));
  for (const row of asked.raw().iterate() as Iterable<readonly unknown[]>) yield asCsv(row);
}

const CSV: Readonly<Record<string, string>> = {
  'clients.csv': `select name, byline as known_by, born_on, phone, note from clients order by name, id`,
  'visits.csv': `select c.name as client, c.born_on as born, v.on_date as date,
      (select group_concat(h.zone || ' ' || h.side, '; ') from charts h where h.visit_id = v.id) as zones,
      (select group_concat(distinct w.product) from worked w where w.visit_id = v.id) as product,
      round(v.table_min) as minutes, coalesce(v.ended_as, v.status) as ended
    from visits v join clients c on c.id = v.client_id order by v.on_date, v.id`,
  'past-visits.csv': `select c.name as client, c.born_on as born, p.on_date as date, p.what as what,
      p.product as product, p.minutes as minutes, p.length_mm as "length mm",
      p.paid_minor as "paid, minor units", p.words as note
    from past_visits p join clients c on c.id = p.client_id order by p.on_date, p.id`,
};

/** The latest chart of each of a client's zones, in the format of chart files. */
const LATEST_CHARTS = `select client, zone, side, data from (
    select v.client_id as client, h.zone as zone, h.side as side, h.data as data,
      row_number() over (partition by v.client_id, h.zone, h.side order by v.on_date desc, v.created_at_ms desc) as n
    from charts h join visits v on v.id = h.visit_id where v.status = 'closed' and h.looked_at = 1)
  where n = 1`;

interface ChartRow {
  readonly client: string;
  readonly zone: string;
  readonly side: string;
  readonly data: string;
}

/** A chart as other programmes of the format read it; null where it cannot be read. */
function chartFileOf({ zone, side, data }: ChartRow): string | null {
  try {
    const { hair, strokes, marks, densities, sheetCm } = JSON.parse(data) as Record<string, unknown>;
    return JSON.stringify({
      strickle: 'chart',
      version: 1,
      zone: { zone, side, hair, strokes, marks, densities, sheetCm },
    });
  } catch {
    return null;
  }
}

/** Adds a part and waits until it is in, so that only one is under way. */
async function addStream(zip: yazl.ZipFile, name: string, lines: Iterable<string>): Promise<void> {
  const part = new PassThrough();
  zip.addReadStream(part, name, { compressionLevel: 6 });
  await pipeline(Readable.from(lines), part);
}

/** Writes the archive of a data file, in use or not. */
export async function writeArchive(dataFile: string, to: Writable, madeAt: string): Promise<ArchiveHead> {
  const raw = new Database(dataFile, { readonly: true, fileMustExist: true });
  const zip = new yazl.ZipFile();
  const sent = pipeline(zip.outputStream, to);
  // it is waited for at the end; a fault before that is told by whoever meets it first
  sent.catch(() => undefined);
  try {
    // one instant for all of it, whatever is written meanwhile
    raw.exec('begin');
    const tables: Record<string, { rows: number; sha256: string }> = {};
    for (const table of archivedTables(raw)) {
      const hash = createHash('sha256');
      let rows = 0;
      const counted = function* (): Generator<string> {
        for (const line of linesOf(raw, table)) {
          rows++;
          hash.update(line);
          yield line;
        }
      };
      await addStream(zip, `tables/${table}.jsonl`, counted());
      tables[table] = { rows, sha256: hash.digest('hex') };
    }
    for (const [name, query] of Object.entries(CSV)) await addStream(zip, name, csvOf(raw, query));
    for (const row of raw.prepare(LATEST_CHARTS).iterate() as Iterable<ChartRow>) {
      const file = chartFileOf(row);
      if (file !== null) zip.addBuffer(Buffer.from(file), `charts/${row.client}/${row.zone}-${row.side}.json`);
    }
    const head: ArchiveHead = {
      ...{ format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, madeAt, tables },
      migrations: raw.prepare('select count(*) from __drizzle_migrations').pluck().get() as number,
      studio: String(raw.prepare('select name from studio').pluck().get() ?? ''),
    };
    zip.addBuffer(Buffer.from(JSON.stringify(head, null, 1)), 'archive.json');
    zip.end();
    await sent;
    return head;
  } catch (error) {
    to.destroy();
    throw error;
  } finally {
    raw.close();
  }
}
