// Search over a large card index: 20 000 invented clients in a real file, every key of a name as it is typed.

import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededRandom } from '../src/core/shared';
import { openDatabase } from '../src/server/db/openDatabase';
import { findClients, insertClient } from '../src/server/repos/clientRepo';

const CLIENTS = 20_000;
const SYLLABLES: readonly [string, ...string[]] = [
  'an',
  'bel',
  'cor',
  'dun',
  'el',
  'fen',
  'gar',
  'hol',
  'is',
  'jor',
  'kel',
  'lun',
  'mar',
  'nor',
  'ost',
  'pen',
  'quin',
  'ros',
  'sal',
  'tor',
  'ul',
  'ver',
  'wes',
  'yar',
  'zel',
];
const TYPED = ['m', 'ma', 'mar', 'mar o', 'mar os', 'mar ost', 'pensal', '0555 12', 'rows', 'rows pen', 'q', 'zel zel'];

/** Slowest and median of every key, ms. */
export function benchSearch(): { readonly medianMs: number; readonly slowestMs: number; readonly clients: number } {
  const random = seededRandom(20);
  const { db, close } = openDatabase(join(mkdtempSync(join(tmpdir(), 'strickle-bench-')), 'studio.sqlite'));
  const word = (): string => {
    const w = random.pick(SYLLABLES) + random.pick(SYLLABLES) + (random.next() < 0.4 ? random.pick(SYLLABLES) : '');
    return w.charAt(0).toUpperCase() + w.slice(1);
  };
  db.transaction((tx) => {
    for (let k = 0; k < CLIENTS; k++) {
      insertClient(tx, {
        id: `c${k}`,
        name: `${word()} ${word()}`,
        byline: random.pick(['rows', 'swims', 'coaches', 'builds boats']),
        bornOn: null,
        phone: `0555 ${String(100_000 + k)}`,
        note: `${word()} ${word()} ${word()}`,
        createdAtMs: 0,
        profile: {
          v: 2,
          statureCm: null,
          massKg: null,
          sensitivity: 3,
          skin: 'normal',
          ingrownProne: false,
          standing: [],
          reactions: [],
          patchTests: [],
          consentOn: null,
          guardianConsentOn: null,
          blackout: [],
        },
      });
    }
  });
  const times = Array.from({ length: 5 }, () =>
    TYPED.map((query) => {
      const from = performance.now();
      findClients(db, query, 60);
      return performance.now() - from;
    }),
  )
    .flat()
    .sort((a, b) => a - b);
  close();
  return { medianMs: times[Math.floor(times.length / 2)] ?? 0, slowestMs: times.at(-1) ?? 0, clients: CLIENTS };
}
