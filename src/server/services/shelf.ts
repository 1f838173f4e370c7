// The shelf as it stands: lots, how long they last by the visits that are booked, what to order by when.

import 'server-only';
import { openOn, USUAL_HOURS } from '../../core/calendar';
import {
  forecast,
  inOrder,
  isPast,
  orderBy,
  packsFor,
  sellable,
  usable,
  type Forecast,
  type Use,
} from '../../core/shelf';
import { addDays, ok } from '../../core/shared';
import { civilDateAt, instantAt, timeInWords } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { readPots } from '../repos/potRepo';
import {
  bookedFrom,
  fullLots,
  lastCount,
  lastTaken,
  lastUseOf,
  meanUse,
  metLot,
  shelfItemsInUse,
  type ShelfItemRow,
  type ShelfLotRow,
  type UsedItem,
} from '../repos/shelfRepo';
import { readStudio } from '../repos/studioRepo';
import { notYetThere } from './shelfItems';

export interface ShelfRow extends Pick<
  ShelfItemRow,
  'id' | 'name' | 'kind' | 'unit' | 'pack' | 'deliveryDays' | 'reserve' | 'supplier' | 'priceMinor' | 'version'
> {
  /** In the order in which they are used; what is past stands last. */
  readonly lots: readonly (ShelfLotRow & { readonly isPast: boolean })[];
  /** To be worked with today, on the shelf. */
  readonly amount: number;
  /** Beside it, in the pots. */
  readonly inPots: number;
  /** May be sold; 0 for what is not for sale. */
  readonly sellable: number;
  readonly forecast: Forecast;
  /** By when to order, and how many packs; null where it lasts. */
  readonly order: { readonly by: string; readonly packs: number } | null;
}

export interface Shelf {
  readonly rows: readonly ShelfRow[];
  /** What could stand there and was never delivered nor counted. */
  readonly others: readonly Pick<ShelfRow, 'id' | 'name' | 'unit' | 'pack'>[];
  readonly today: string;
  /** Last day looked at. */
  readonly toOn: string;
  readonly visits: number;
  readonly closed: readonly { readonly from: string; readonly to: string; readonly why: string }[];
  readonly lastCountOn: string | null;
  readonly currency: string;
  /** The last sale or waste of today that may still be taken back. */
  readonly lastTaken: { readonly moveSeq: number; readonly words: string } | null;
}

const AHEAD_DAYS = 56;
/** What is ordered lasts so long. */
const ORDER_DAYS = 56;
/** It is said so long before. */
const SAID_DAYS = 21;

/** What the booked visits take, by item: as each client's last visit did, else as the mean of all. */
export function usesAhead(db: Db, nowMs: number, timeZone: string): ReadonlyMap<string, readonly Use[]> {
  const mean = meanUse(db);
  const known = new Map<string, readonly UsedItem[]>();
  const usesOf = (clientId: string): readonly UsedItem[] => {
    const own = known.get(clientId) ?? lastUseOf(db, clientId);
    known.set(clientId, own);
    return own.length > 0 ? own : mean;
  };
  const uses = new Map<string, Use[]>();
  for (const { clientId, startsAtMs, zones } of bookedFrom(db, nowMs)) {
    // a patch test or a talk takes nothing off the shelf
    if (zones.length === 0) continue;
    const on = civilDateAt(startsAtMs, timeZone);
    for (const { item, amount } of usesOf(clientId)) {
      const list = uses.get(item) ?? [];
      list.push({ on, amount });
      uses.set(item, list);
    }
  }
  return uses;
}

export function loadShelf(db: Db, nowMs: number): ServiceResult<Shelf> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { timeZone, settings, currency } = studio;
  const today = civilDateAt(nowMs, timeZone);
  const toOn = addDays(today, AHEAD_DAYS);
  const closed = settings.closed ?? [];
  const isOpen = (on: string): boolean => openOn(settings.hours ?? USUAL_HOURS, closed, on).length > 0;
  const lots = fullLots(db);
  const uses = usesAhead(db, nowMs, timeZone);
  const pots = readPots(db);
  const counted = lastCount(db);
  const [taken] = lastTaken(db, instantAt(today, 0, 0, timeZone));
  return ok({
    rows: shelfItemsInUse(db).map((item) => {
      const own = lots.filter((l) => l.itemId === item.id);
      const wanted = uses.get(item.id) ?? [];
      const inPots = pots.reduce((sum, p) => sum + (p.product.id === item.id ? p.pot.waxG : 0), 0);
      // what is in a pot is worked with too
      const potLot = { id: 'pot', amount: inPots, receivedOn: today, expiresOn: null, openedOn: today };
      const ahead = forecast({ lots: [...own, potLot], uses: wanted, today, toOn });
      const { emptyOn } = ahead;
      const by = emptyOn && orderBy({ emptyOn, deliveryDays: item.deliveryDays, today, isOpen });
      const order =
        emptyOn && by ? { by, packs: packsFor(wanted, item.pack, { fromOn: emptyOn, days: ORDER_DAYS }) } : null;
      const shown = inOrder(own).map((l) => ({ ...l, isPast: isPast(l, today) }));
      const { id, name, kind, unit, pack, deliveryDays, reserve, supplier, priceMinor, version } = item;
      return {
        ...{ id, name, kind, unit, pack, deliveryDays, reserve, supplier, priceMinor, version },
        lots: [...shown.filter((l) => !l.isPast), ...shown.filter((l) => l.isPast)],
        amount: usable(own, today),
        inPots,
        sellable: kind === 'retail' ? sellable(own, reserve, today) : 0,
        forecast: ahead,
        order: order && order.by <= addDays(today, SAID_DAYS) ? order : null,
      };
    }),
    others: notYetThere(db).map(({ id, name, unit, pack }) => ({ id, name, unit, pack })),
    ...{ today, toOn, closed, currency },
    visits: bookedFrom(db, instantAt(today, 0, 0, timeZone)).length,
    lastTaken: taken
      ? {
          moveSeq: taken.seq,
          words: `${-taken.amount} × ${taken.name}, ${taken.kind === 'sold' ? 'sold' : 'thrown away'} at ${timeInWords(taken.atMs, timeZone)}`,
        }
      : null,
    lastCountOn: counted === null ? null : civilDateAt(counted, timeZone),
  });
}

export interface Recall {
  readonly lot: string;
  readonly left: number;
  readonly visits: readonly {
    readonly visitId: string;
    readonly on: string;
    readonly clientId: string;
    readonly name: string;
  }[];
}

/** Which clients met a lot, and what is left of it on the shelf. */
export function recall(db: Db, lot: string): ServiceResult<Recall> {
  const met = metLot(db, lot);
  const left = fullLots(db).reduce((sum, l) => sum + (l.lot === lot ? l.amount : 0), 0);
  const byVisit = new Map(met.map(({ visitId, on, clientId, name }) => [visitId, { visitId, on, clientId, name }]));
  return ok({ lot, left, visits: [...byVisit.values()] });
}
