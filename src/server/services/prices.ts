// The price list: what each service costs the client, and what an hour of hands and room costs the studio.

import 'server-only';
import { minutesOfService, type Service } from '../../core/agreement';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { StudioMoney } from '../db/schema';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { shelfItemsInUse } from '../repos/shelfRepo';
import { readServices, readStudio, setSettings } from '../repos/studioRepo';

export interface PriceList {
  readonly services: readonly (Pick<Service, 'id' | 'name' | 'says'> & { readonly shippedMin: number })[];
  /** How long a service is booked where the studio says so itself, min. */
  readonly serviceMinutes: Readonly<Record<string, number>>;
  /** Without what the ledger's year was told. */
  readonly money: Omit<StudioMoney, 'year'>;
  /** Goods of the shelf that are sold. */
  readonly goods: readonly { readonly id: string; readonly name: string }[];
  readonly currency: string;
  readonly studioVersion: number;
}

const NOTHING_ENTERED: StudioMoney = { labourMinorPerHour: 0, roomMinorPerHour: 0, priceMinor: {} };

export function loadPrices(db: Db): ServiceResult<PriceList> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { labourMinorPerHour, roomMinorPerHour, priceMinor, goodsMinor, vatBp } =
    studio.settings.money ?? NOTHING_ENTERED;
  return ok({
    services: readServices(db).map(({ zones, ...s }) => ({
      ...{ id: s.id, name: s.name, says: s.says },
      shippedMin: minutesOfService({ id: s.id, zones }),
    })),
    serviceMinutes: studio.settings.serviceMinutes ?? {},
    money: {
      labourMinorPerHour,
      roomMinorPerHour,
      priceMinor,
      ...(goodsMinor ? { goodsMinor } : {}),
      ...(vatBp ? { vatBp } : {}),
    },
    goods: shelfItemsInUse(db)
      .filter((i) => i.kind === 'retail')
      .map(({ id, name }) => ({ id, name })),
    currency: studio.currency,
    studioVersion: studio.version,
  });
}

/** Saves the whole list at once; a price for a service that is not there is refused. */
export function savePrices(
  db: Db,
  body: {
    readonly version: number;
    readonly money: PriceList['money'];
    /** Absent = as it is. */
    readonly serviceMinutes?: PriceList['serviceMinutes'] | undefined;
  },
): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio) return notFound('studio');
    const known = new Set(readServices(db).map((s) => s.id));
    const strange = Object.keys(body.money.priceMinor).find((id) => !known.has(id));
    if (strange !== undefined) return refused(`There is no service "${strange}".`, `money.priceMinor.${strange}`);
    const { serviceMinutes } = body;
    const unknown = Object.keys(serviceMinutes ?? {}).find((id) => !known.has(id));
    if (unknown !== undefined) return refused(`There is no service "${unknown}".`, `serviceMinutes.${unknown}`);
    const settings = {
      ...studio.settings,
      money: { ...studio.settings.money, ...body.money },
      ...(serviceMinutes ? { serviceMinutes } : {}),
    };
    if (studio.version === body.version && setSettings(db, settings, body.version)) return ok(null);
    const newer = loadPrices(db);
    return stale(newer.ok ? newer.value : null);
  });
}
