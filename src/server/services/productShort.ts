// What the visits of a day take and neither pot nor shelf has: said at the first visit that it does not suffice for.

import 'server-only';
import { usable } from '../../core/shelf';
import type { DbOrTx } from '../db/openDatabase';
import { readPots } from '../repos/potRepo';
import { fullLots, shelfItemsInUse } from '../repos/shelfRepo';
import type { TodayVisit } from './today';

/** The visits with a word where something runs out; what the shelf does not know is not judged. */
export function withShort(db: DbOrTx, visits: readonly TodayVisit[], date: string): readonly TodayVisit[] {
  const items = new Map(shelfItemsInUse(db).map((i) => [i.id, i]));
  if (items.size === 0) return visits;
  const lots = fullLots(db);
  const left = new Map(
    [...items.keys()].map((id) => [
      id,
      usable(
        lots.filter((l) => l.itemId === id),
        date,
      ),
    ]),
  );
  for (const { pot, product } of readPots(db)) left.set(product.id, (left.get(product.id) ?? 0) + pot.waxG);
  const said = new Set<string>();
  return visits.map((visit) => {
    if (visit.state === 'closed') return visit;
    const words = visit.tray.flatMap(({ item, amount }): TodayVisit['words'] => {
      const known = items.get(item);
      const there = left.get(item) ?? 0;
      left.set(item, there - amount);
      if (!known || there >= amount || said.has(item)) return [];
      said.add(item);
      const unit = known.unit === 'piece' ? '' : ` ${known.unit}`;
      const has = `${Math.max(0, Math.round(there))}${unit} by then`;
      return [
        {
          text: `${known.name}: ${Math.ceil(amount)}${unit} needed, ${has}, pots and shelf together.`,
          weight: 'note',
          short: 'product short',
          remedy: { kind: 'shelf' },
        },
      ];
    });
    return words.length === 0 ? visit : { ...visit, words: [...visit.words, ...words] };
  });
}
