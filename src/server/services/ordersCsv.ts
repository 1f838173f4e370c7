// What to order, as a table for a spreadsheet or a supplier (RFC 4180).

import 'server-only';
import { stringify } from 'csv-stringify/sync';
import type { Shelf } from './shelf';

const COLUMNS = ['order by', 'what', 'packs', 'in a pack', 'supplier'];

export function ordersCsv({ rows }: Shelf): string {
  const lines = rows.flatMap(({ name, order, pack, unit, supplier }) =>
    order ? [[order.by, name, order.packs, `${pack} ${unit}`, supplier]] : [],
  );
  // a name that begins like a formula is a name
  return stringify([COLUMNS, ...lines], { record_delimiter: 'windows', escape_formulas: true });
}
