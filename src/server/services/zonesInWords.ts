import 'server-only';
import type { BookingRow } from '../repos/clientRepo';
import { zoneName } from './planCase';

/** Zones in few words: `both underarms, upper lip`. */
export function zonesInWords(zones: BookingRow['zones']): string {
  const names = [...new Set(zones.map((z) => z.zone))].map((zone) => {
    const both = zones.filter((z) => z.zone === zone).length === 2;
    const name = zoneName(zone).toLowerCase();
    const [head = '', ...rest] = name.split(',');
    return both ? [`both ${head}s`, ...rest].join(',') : name;
  });
  return names.join('; ');
}
