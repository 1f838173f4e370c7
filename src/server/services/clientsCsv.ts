import 'server-only';
import { randomUUID } from 'node:crypto';
import { readClientCsv, writeClientCsv, type CsvClient, type CsvLine } from '../../formats/clientCsv';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { refused, type ServiceResult } from '../errors';
import { clientsAfter, insertClient, namesakes, type ClientRow } from '../repos/clientRepo';
import { readStudio } from '../repos/studioRepo';
import { EMPTY_PROFILE } from '../db/upSteps';

export interface ImportPreview {
  readonly faults: readonly string[];
  readonly lines: readonly Pick<CsvLine, 'line' | 'name' | 'faults'>[];
  readonly good: number;
  readonly bad: number;
  /** How many were taken in; 0 in a preview. */
  readonly imported: number;
}

const sameAs = (name: string, bornOn: string | null): string => `${name.trim().toLowerCase()}|${bornOn ?? ''}`;

/** Why a line that is right in itself cannot be taken; null where it can. */
function doubleFault(isThere: boolean, before: number | undefined): string | null {
  if (isThere) return 'This name and date of birth are in the card index already.';
  return before === undefined ? null : `The same client as on line ${before}.`;
}

function read(
  db: Db,
  csv: string,
  nowMs: number,
): { readonly faults: readonly string[]; readonly lines: readonly CsvLine[] } {
  const table = readClientCsv(csv, civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC'));
  const names = table.lines.flatMap((l) => (l.client ? [l.client.name] : []));
  const there = new Set(namesakes(db, names).map((c) => sameAs(c.name, c.bornOn)));
  const seen = new Map<string, number>();
  return {
    faults: table.faults,
    lines: table.lines.map((l) => {
      if (!l.client) return l;
      const key = sameAs(l.client.name, l.client.bornOn);
      const before = seen.get(key);
      seen.set(key, before ?? l.line);
      const fault = doubleFault(there.has(key), before);
      return fault === null ? l : { ...l, client: null, faults: [fault] };
    }),
  };
}

/** Shows what an import would do, or does it: every line or none. */
export function importClients(
  db: Db,
  body: { readonly csv: string; readonly commit: boolean },
  nowMs: number,
): ServiceResult<ImportPreview> {
  const { faults, lines } = read(db, body.csv, nowMs);
  const good = lines.filter((l) => l.client !== null);
  const preview: ImportPreview = {
    faults,
    lines: lines.map(({ line, name, faults: f }) => ({ line, name, faults: f })),
    good: good.length,
    bad: lines.length - good.length,
    imported: 0,
  };
  if (!body.commit) return ok(preview);
  if (faults.length > 0 || preview.bad > 0) {
    return refused(
      `${faults[0] ?? `${preview.bad} of ${lines.length} lines cannot be taken.`} None was imported.`,
      'csv',
    );
  }
  db.transaction((tx) => {
    for (const l of lines) {
      if (!l.client) continue;
      const { name, byline, bornOn, phone, note, ...rest } = l.client;
      insertClient(tx, {
        id: randomUUID(),
        name,
        byline,
        bornOn,
        phone,
        note,
        createdAtMs: nowMs,
        profile: { ...EMPTY_PROFILE, ...rest },
      });
    }
  });
  return ok({ ...preview, imported: good.length });
}

/** Of a card that cannot be read its name and what stands beside the profile go out. */
const lineOf = ({ name, byline, bornOn, phone, note, profile }: ClientRow): CsvClient => ({
  name,
  byline,
  bornOn,
  phone,
  note,
  sensitivity: profile.sensitivity,
  skin: profile.skin,
  ingrownProne: profile.ingrownProne,
  statureCm: profile.statureCm,
  massKg: profile.massKg,
  consentOn: profile.consentOn,
});

/** So many cards at once hold the thread for some milliseconds. */
const AT_ONCE = 400;

/** Every client that is not put away, in the columns of the import, some hundred lines at a time. */
export function* exportClients(db: Db): Generator<string> {
  yield writeClientCsv([]);
  let after: { readonly name: string; readonly id: string } | null = null;
  for (;;) {
    const rows: readonly ClientRow[] = clientsAfter(db, after, AT_ONCE);
    const last = rows.at(-1);
    if (!last) return;
    yield writeClientCsv(rows.map(lineOf), false);
    after = last;
  }
}
