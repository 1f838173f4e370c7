// The boxes in IndexedDB: one row a visit and tab, so that two tabs never write over one another. Whose tab is gone is
// told by its Web Lock, which the browser lets go with the page; what it left is taken over whole.

import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { isEmptyBox, joinBoxes, type Box } from './box';

interface Row {
  readonly visitId: string;
  readonly tab: string;
  readonly box: Box;
}
interface Boxes extends DBSchema {
  boxes: { key: [string, string]; value: Row };
}

let database: Promise<IDBPDatabase<Boxes>> | null = null;
const open = (): Promise<IDBPDatabase<Boxes>> =>
  (database ??= openDB<Boxes>('strickle-sync', 1, {
    upgrade: (db) => {
      db.createObjectStore('boxes', { keyPath: ['visitId', 'tab'] });
    },
  }));

const lockOf = (tab: string): string => `strickle-tab-${tab}`;

/** This page, for as long as it stands. */
let own: string | null = null;
export function thisTab(): string {
  if (own !== null) return own;
  own = crypto.randomUUID();
  // held until the page is gone
  void navigator.locks.request(lockOf(own), () => new Promise(() => undefined));
  return own;
}

async function standingTabs(): Promise<ReadonlySet<string>> {
  const { held = [], pending = [] } = await navigator.locks.query();
  return new Set([thisTab(), ...[...held, ...pending].flatMap((l) => l.name?.split('strickle-tab-')[1] ?? [])]);
}

/** Told to other pages of this browser: what waits has changed. */
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('strickle-boxes');
const heard = new Set<() => void>();
if (channel) channel.onmessage = () => heard.forEach((h) => h());
export function onBoxes(listener: () => void): () => void {
  heard.add(listener);
  return () => heard.delete(listener);
}
function tellBoxes(): void {
  channel?.postMessage(null);
  heard.forEach((h) => h());
}

// writes of one page follow one another: the last box is the one that stays
let writing: Promise<unknown> = Promise.resolve();

/** Keeps this tab's box of a visit; an empty one goes. Resolves when it is on the disk, also where that failed. */
export function keepBox(box: Box): Promise<void> {
  const tab = thisTab();
  const write = async (): Promise<void> => {
    const db = await open();
    if (isEmptyBox(box)) await db.delete('boxes', [box.visitId, tab]);
    else await db.put('boxes', { visitId: box.visitId, tab, box });
    tellBoxes();
  };
  // a full or forbidden store: the page still holds it and keeps trying
  const done = writing.then(write, write).catch(() => undefined);
  writing = done;
  return done;
}

/** Visits that this page works on itself: what was left of them is taken over by the visit, not by the way. */
const openHere = new Set<string>();
export function workOn(visitId: string): () => void {
  openHere.add(visitId);
  return () => openHere.delete(visitId);
}

/**
 * Boxes of pages that are gone, taken over by this one, one a visit.
 * @param visitId only of this visit; absent = of all that no page works on
 */
export async function takeOver(visitId?: string): Promise<readonly Box[]> {
  const standing = await standingTabs();
  const tx = (await open()).transaction('boxes', 'readwrite', { durability: 'strict' });
  const rows = await tx.store.getAll();
  const isMeant = (r: Row): boolean => (visitId === undefined ? !openHere.has(r.visitId) : r.visitId === visitId);
  const left = rows.filter((r) => !standing.has(r.tab) && isMeant(r));
  const taken = new Map<string, Box>();
  for (const { visitId: visit, tab, box } of left) {
    const before = taken.get(visit) ?? rows.find((r) => r.tab === thisTab() && r.visitId === visit)?.box;
    taken.set(visit, before ? joinBoxes(before, box) : box);
    await tx.store.delete([visit, tab]);
  }
  // in the same transaction they become this page's: nothing is nobody's for a moment
  for (const [visit, box] of taken) await tx.store.put({ visitId: visit, tab: thisTab(), box });
  await tx.done;
  return [...taken.values()];
}

export interface KeptBox {
  readonly box: Box;
  /** Kept by this page, not by a visit that stands open in another one. */
  readonly isOwn: boolean;
}

/** Everything that waits or was refused on this tablet. */
export async function allBoxes(): Promise<readonly KeptBox[]> {
  try {
    return (await (await open()).getAll('boxes')).map((r) => ({ box: r.box, isOwn: r.tab === thisTab() }));
  } catch {
    return [];
  }
}

/** A person has seen it: it leaves the boxes that this page keeps. */
export async function dropRefused(visitId: string, id: string): Promise<void> {
  const tx = (await open()).transaction('boxes', 'readwrite');
  const row = await tx.store.get([visitId, thisTab()]);
  if (row) {
    const box = { ...row.box, refused: row.box.refused.filter((r) => r.id !== id) };
    if (isEmptyBox(box)) await tx.store.delete([visitId, row.tab]);
    else await tx.store.put({ ...row, box });
  }
  await tx.done;
  tellBoxes();
}
