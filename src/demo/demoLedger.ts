// What the demo's past visits took and what came for them: invented, like the rest. Days are closed up to the day
// before yesterday, so that one is still to be closed.

import type { Family } from '../core/anatomy';
import { minutesOfService, SHIPPED_SERVICES, type Service } from '../core/agreement';
import type { Entry, Paid } from '../core/ledger';
import { sumsOf } from '../core/ledger';
import { addDays, type Random } from '../core/shared';
import type { DbOrTx } from '../server/db/openDatabase';
import { entriesBetween, insertClosing, insertEntry, lastEntrySeq, putVisitPart } from '../server/repos/ledgerRepo';
import { servicesOfVisit } from '../server/services/visitParts';
import { timesOf } from './demoCourse';
import type { DemoClient } from './scenario';

/** What services cost, and what an hour of hands and room costs. */
export const DEMO_MONEY = {
  labourMinorPerHour: 1800,
  roomMinorPerHour: 950,
  priceMinor: {
    underarms: 2600,
    shins: 3200,
    lip: 1800,
    'leg-lower': 4600,
    'leg-upper': 5000,
    'leg-full': 7600,
    brows: 3400,
    'face-lower': 2600,
    'beard-line': 4600,
    'ears-nose': 2200,
    arms: 3600,
    'back-whole': 5800,
    'chest-abdomen': 5400,
    'bikini-edge': 2800,
    'bikini-extended': 3800,
    'bikini-complete': 5200,
    'bikini-crease': 6000,
  },
  goodsMinor: { gel: 1400 },
  /** What Ines says of her year; the rest is counted. */
  year: {
    ...{ placesAWeek: 36, priceMinor: null, weeksOff: 6, turnoverMin: null },
    ...{ noShowPermille: null, materialsMinor: null, roomYearMinor: 960_000, taxPermille: 250 },
  },
};

const TURNOVER_MIN = 8;
/** What a gram and the small things of a part come to, minor units a booked minute, by what it was worked with. */
const MATERIAL_A_MIN: Readonly<Record<Family, number>> = { hard: 9, soft: 6, sugar: 5 };
const PRODUCT: Readonly<Record<Family, string>> = { hard: 'film-hard', soft: 'soft', sugar: 'sugar-firm' };
/** Each client is mostly worked with one, now and then with another. */
function familyOf(client: DemoClient, i: number): Family {
  const usual = (['hard', 'sugar', 'hard', 'soft'] as const)[client.id.length % 4] ?? 'hard';
  if (i % 4 !== 2) return usual;
  return usual === 'sugar' ? 'hard' : 'sugar';
}

const servicesFor = (client: DemoClient): readonly Service[] => servicesOfVisit(SHIPPED_SERVICES, [], client.zones);

/** Parts of a past visit; the last ones are worked out from their plans. */
export function insertParts(tx: DbOrTx, client: DemoClient, visitId: string, i: number): void {
  const family = familyOf(client, i);
  const services = servicesFor(client);
  const all = services.length > 0 ? services : [{ id: 'other', zones: client.zones }];
  const weights = all.map((s) => minutesOfService(s));
  const total = weights.reduce((a, b) => a + b, 0);
  // sugar takes a little longer, soft a little less
  const pace = { hard: 1, soft: 0.9, sugar: 1.12 }[family];
  all.forEach(({ id: service }, place) => {
    const minutes = ((timesOf(client, i).tableMin * pace + TURNOVER_MIN) * (weights[place] ?? 0)) / total;
    putVisitPart(tx, {
      ...{ visitId, place, service, family, product: PRODUCT[family], minutes },
      materialsMinor: Math.round(minutes * MATERIAL_A_MIN[family]),
    });
  });
}

const line = (id: string, onDate: string, atMs: number, more: Partial<Entry>) => ({
  ...{ id, onDate, atMs, byId: 'ines', act: 'taken' as const, vatBp: 0, paid: 'card' as Paid, creditId: null },
  ...{ uses: 0, about: null, kind: 'service' as const, amountMinor: 0, words: '' },
  ...more,
});

interface Taken {
  readonly on: string;
  readonly atMs: number;
  readonly visitId: string;
  readonly random: Random;
  readonly prices: Readonly<Record<string, number>>;
}

/** What came for a past visit. */
export function insertTaken(tx: DbOrTx, client: DemoClient, { on, atMs, visitId, random, prices }: Taken): void {
  const services = servicesFor(client);
  const items = services.length > 0 ? services.map((s) => s.id) : ['other'];
  const paid: Paid = random.between(0, 1) < 0.3 ? 'cash' : 'card';
  items.forEach((item, k) => {
    const of = { visitId, clientId: client.id, personId: client.person, item, paid };
    insertEntry(tx, line(`${visitId}-paid-${k}`, on, atMs, { ...of, amountMinor: prices[item] ?? 2000 }));
  });
}

/** A gift, a package and a deposit that are open, some gel sold, and the days closed. */
export function insertBook(tx: DbOrTx, day: string, nowMs: number): void {
  const at = (daysAgo: number): readonly [string, number] => [addDays(day, -daysAgo), nowMs - daysAgo * 86_400_000];
  const credit = (id: string, daysAgo: number, more: Partial<Entry>): void => {
    insertEntry(tx, line(id, ...at(daysAgo), { creditId: id, personId: 'ines', ...more }));
  };
  credit('demo-gift', 24, { kind: 'gift', amountMinor: 5000, words: 'card with a heron, no name' });
  credit('demo-package', 16, {
    ...{ kind: 'package', amountMinor: 8000, uses: 5, item: 'underarms', clientId: 'ottilie' },
    words: 'five underarms',
  });
  credit('demo-deposit', 9, {
    kind: 'deposit',
    amountMinor: 1500,
    clientId: 'corwin',
    words: 'for the first of the season',
  });
  for (const daysAgo of [3, 12, 19, 40, 61]) {
    const gel = { kind: 'goods' as const, amountMinor: 1400, item: 'gel', paid: 'cash' as const, personId: 'bao' };
    insertEntry(tx, line(`demo-gel-${daysAgo}`, ...at(daysAgo), gel));
  }
  const entries = entriesBetween(tx, addDays(day, -400), addDays(day, -2));
  for (const onDate of [...new Set(entries.map((e) => e.onDate))]) {
    const own = entries.filter((e) => e.onDate === onDate);
    const { earnedMinor, cashMinor } = sumsOf(own);
    insertClosing(tx, {
      ...{ onDate, atMs: nowMs, personId: 'ines', lastSeq: lastEntrySeq(tx), lines: own.length, earnedMinor },
      ...{ cashMinor, countedMinor: cashMinor },
    });
  }
}
