// An empty studio for a first start with own data: one person, the shipped catalogue, the starred house rules. Its
// first run asks for the rest.

import 'server-only';
import { SHIPPED_PRODUCTS } from '../../core/products';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { people, products, studio } from '../db/schema';
import type { ServiceResult } from '../errors';
import { machineZone } from './timeZone';

export function setUpStudio(db: Db, timeZone = machineZone()): ServiceResult<null> {
  db.transaction((tx) => {
    tx.insert(studio)
      .values({
        id: 1,
        name: 'My studio',
        timeZone,
        currency: 'EUR',
        settings: {
          v: 1,
          roomC: 22,
          humidityPct: 50,
          walkS: 6,
          schools: {
            hardLay: 'with',
            shortHair: 'crossed',
            maxHardPasses: 2,
            prep: 'powder',
            families: ['hard', 'soft', 'sugar'],
          },
          readySign: 'no-thread',
          firstRun: { done: [], clientId: null },
        },
      })
      .run();
    tx.insert(people)
      .values({ id: 'practitioner', name: 'Practitioner', level: 'practised', active: true, role: 'owner' })
      .run();
    for (const product of SHIPPED_PRODUCTS) {
      tx.insert(products)
        .values({ id: product.id, data: { v: 1, product }, stocked: true })
        .run();
    }
  });
  return ok(null);
}
