// Rows of a table as text: comma or semicolon or tab, quoted as usual; read in pieces so that others have the thread.

import { Readable } from 'node:stream';
import { parse } from 'csv-parse';
import { fail, ok, type Result } from '../core/shared';

/** Gives the thread away now and then; undefined where there is no need. */
export type Pause = () => Promise<void> | undefined;
export const noPause: Pause = () => undefined;

/** A cell that a spreadsheet would take for a formula, and what the writing puts before it to make it harmless. */
const FORMULA = /^[=+\-@\t\r\uFF1D\uFF0B\uFF0D\uFF20]/;
const SHIELDED = /^'[=+\-@\t\r\uFF1D\uFF0B\uFF0D\uFF20']/;
/**
 * A shield of its own goes before a text that begins like one that is shielded, so that reading gives back the text.
 */
export const shielded = (text: string): string => (FORMULA.test(text) || SHIELDED.test(text) ? `'${text}` : text);
export const unshielded = (text: string): string => (SHIELDED.test(text) ? text.slice(1) : text);

/** So many bytes are parsed at once: some milliseconds. */
const PIECE = 4096;
/** A heading is not longer than this. */
const HEADING_LETTERS = 20_000;
function* piecesOf(bytes: Buffer): Generator<Buffer> {
  for (let at = 0; at < bytes.length; at += PIECE) yield bytes.subarray(at, at + PIECE);
}

function delimiterOf(heading: string): string {
  const count = (c: string): number => heading.split(c).length;
  const [best = ','] = [',', ';', '\t'].toSorted((a, b) => count(b) - count(a));
  return best;
}

/**
 * Rows of a table, line by line.
 * @param most rows; those beyond are not read, one more than `most` says that there are
 */
export async function readRows(
  text: string,
  most: number,
  pause: Pause = noPause,
): Promise<Result<readonly (readonly string[])[]>> {
  const csv = text.replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(csv.slice(0, HEADING_LETTERS).split(/\r?\n/, 1)[0] ?? '');
  const rows: (readonly string[])[] = [];
  try {
    const parser = parse({ delimiter, skip_empty_lines: false, relax_column_count: true });
    // rows of cells: no columns are named to the parser
    const read = Readable.from(piecesOf(Buffer.from(csv))).compose(parser) as AsyncIterable<readonly string[]>;
    for await (const row of read) {
      rows.push(row);
      if (rows.length > most) break;
      await pause();
    }
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unknown reason';
    return fail({ code: 'csv', message: `This is not a table that can be read: ${why}.` });
  }
  return rows.length === 0 ? fail({ code: 'csv', message: 'The file is empty.' }) : ok(rows);
}
