// The bench of a visit as this tablet last knew it, for a page that is loaded anew while the server is away.

import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Bench } from '@/server/services/bench';

interface Row {
  readonly visitId: string;
  readonly atMs: number;
  readonly bench: Bench;
}
interface Kept extends DBSchema {
  benches: { key: string; value: Row };
}

/** A copy of health notes goes after a working day, as the pages do (public/sw.js). */
const KEPT_MS = 12 * 3_600_000;

let database: Promise<IDBPDatabase<Kept>> | null = null;
const open = (): Promise<IDBPDatabase<Kept>> =>
  (database ??= openDB<Kept>('strickle-kept', 1, {
    upgrade: (db) => {
      db.createObjectStore('benches', { keyPath: 'visitId' });
    },
  }));

/** Keeps it, and lets go of those of yesterday. */
export async function keepBench(bench: Bench): Promise<void> {
  try {
    const tx = (await open()).transaction('benches', 'readwrite');
    for (const { visitId, atMs } of await tx.store.getAll()) {
      if (atMs < Date.now() - KEPT_MS) await tx.store.delete(visitId);
    }
    await tx.store.put({ visitId: bench.visit.id, atMs: Date.now(), bench });
    await tx.done;
  } catch {
    // a full or forbidden store: the page holds it as long as it stands
  }
}

/** Null where none is kept, or it is too old. */
export async function keptBench(visitId: string): Promise<Bench | null> {
  try {
    const row = await (await open()).get('benches', visitId);
    return row && row.atMs >= Date.now() - KEPT_MS ? row.bench : null;
  } catch {
    return null;
  }
}

export const dropKeptBenches = async (): Promise<void> => (await open()).clear('benches');
