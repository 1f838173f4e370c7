// The bench of a visit as this page shows it: the server's, with what waits laid over it, so that nothing typed ever
// jumps back. A store outside React: a page draws anew only where what it shows has changed.

import type { TableEvent } from '@/core/hands';
import { onLive, type LiveEvent } from '@/features/live/liveEvents';
import type { ChartData, Consult, Reading, ZoneRef } from '@/server/db/schema';
import type { Bench, BenchZone } from '@/server/services/bench';
import { isKept } from '@/features/kept/isKept';
import { emptyBox, type Box, type Refused, type WaitingDoc } from './box';
import { syncControl } from './control';
import { keepBench, keptBench } from './keptBench';
import { disputedDocs, syncWord, type ActsTaken, type SyncWord } from './reduce';
import { takeOver, workOn } from './store';

export interface SyncShown {
  readonly sync: SyncWord;
  /** What the server did not take, until someone has seen it. */
  readonly refused: readonly Refused[];
  /** Documents that another tablet wrote too. */
  readonly disputed: readonly string[];
}

const LOOK_AGAIN_MS = 2500;
const KEEP_AFTER_MS = 400;

const sameZone = (a: ZoneRef, b: ZoneRef): boolean => a.zone === b.zone && a.side === b.side;
const dataOf = (doc: WaitingDoc | undefined): unknown => (doc?.next ?? doc?.sent)?.data;

/** Journal of the server and what is still on its way, each act once, in the order of the hands. */
export function joinJournal(journal: readonly TableEvent[], waiting: readonly TableEvent[]): readonly TableEvent[] {
  const known = new Set(journal.map((e) => e.id));
  const fresh = waiting.filter((e) => !known.has(e.id));
  return fresh.length === 0 ? journal : [...journal, ...fresh];
}

/** The bench with what waits laid over it; what waits was put there by `save…`, so that its shape is known. */
export function withWaiting(bench: Bench, box: Box): Bench {
  const events = box.acts.map((a) => a.event);
  let next: Bench = { ...bench, journal: joinJournal(bench.journal, events) };
  for (const [key, doc] of Object.entries(box.docs)) {
    const data = dataOf(doc);
    const [kind, zone, side] = key.split('|');
    if (kind === 'consult') next = { ...next, visit: { ...next.visit, consult: data as Consult } };
    if (kind === 'chart') {
      const over = (z: BenchZone): BenchZone =>
        z.zone === zone && z.side === side ? { ...z, data: data as ChartData } : z;
      next = { ...next, zones: next.zones.map(over) };
    }
    if (kind === 'reading') {
      const reading = { zone: zone as BenchZone['zone'], side: side as BenchZone['side'], data: data as Reading };
      next = { ...next, readings: [...next.readings.filter((r) => !sameZone(r, reading)), reading] };
    }
  }
  return next;
}

/** A plan that is being made does not empty the screen: the last one stands, without its id, until it is there. */
export function overLast(fresh: Bench, last: Bench): Bench {
  if (!fresh.planComing || last.plan.zones.length === 0) return fresh;
  return { ...fresh, plan: { ...last.plan, screening: fresh.plan.screening }, planHash: '' };
}

/** A bench that was read before acts that this page has heard of does not take them back: a journal only grows. */
export function withLaterActs(fresh: Bench, shown: Pick<Bench, 'journal' | 'journalAt'>): Bench {
  if (fresh.journalAt >= shown.journalAt) return fresh;
  return { ...fresh, journal: joinJournal(fresh.journal, shown.journal), journalAt: shown.journalAt };
}

/**
 * True where a bench tells more than the one that is shown: a newer version, or at the same one another plan, e.g.
 * after a change of the card. What is shown is never given up for the same plan still coming.
 */
export function isNewer(fresh: Bench, shown: Bench): boolean {
  if (fresh.visit.version !== shown.visit.version) return fresh.visit.version > shown.visit.version;
  const isShownAlready = shown.planHash !== '' && shown.planHash === fresh.planHash && !shown.planComing;
  return !(fresh.planComing && isShownAlready);
}

export interface BenchStore {
  readonly bench: () => Bench;
  readonly shown: () => SyncShown;
  readonly wantedZones: () => readonly ZoneRef[];
  readonly subscribe: (listener: () => void) => () => void;
  readonly save: (key: string, url: string, field: string, data: unknown) => void;
  readonly act: (events: readonly TableEvent[]) => void;
  readonly choose: (key: string, keep: 'mine' | 'theirs') => void;
  readonly understood: (id: string) => void;
  readonly reload: () => Promise<void>;
  /** From when the page stands. @returns ends it */
  readonly start: () => () => void;
}

/** What of the box is shown over the bench, to be compared. */
const shownOf = (box: Box): readonly unknown[] => [
  ...Object.entries(box.docs).flatMap(([key, doc]) => [key, dataOf(doc)]),
  ...box.acts.map((a) => a.event),
];
const alike = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((v, i) => v === b[i]);

export function benchStore(first: Bench): BenchStore {
  const id = first.visit.id;
  const at = `/api/visits/${id}`;
  let server = first;
  let over: { readonly server: Bench; readonly shown: readonly unknown[]; readonly bench: Bench } | null = null;
  let said: SyncShown = { sync: 'saved', refused: [], disputed: [] };
  const listeners = new Set<() => void>();
  const tell = (): void => listeners.forEach((l) => l());
  let keeping: ReturnType<typeof setTimeout> | null = null;
  /** For a page that is loaded anew while the server is away: many acts are kept at once. */
  const keep = (): void => {
    keeping ??= setTimeout(() => {
      keeping = null;
      void keepBench(server);
    }, KEEP_AFTER_MS);
  };
  /** What this tablet knew last is more than the kept page tells, and less than the server does. */
  const lastKnown = async (): Promise<void> => {
    const known = await keptBench(id);
    if (known && known.visit.version >= server.visit.version && known.journalAt >= server.journalAt) {
      server = known;
      control.dispatch({ kind: 'seen', version: known.visit.version, journalAt: known.journalAt });
      tell();
    }
    void look();
  };

  const take = (fresh: Bench): void => {
    if (!isNewer(fresh, server)) return;
    server = withLaterActs(overLast(fresh, server), server);
    keep();
    control.dispatch({ kind: 'seen', version: fresh.visit.version, journalAt: server.journalAt });
    tell();
    if (fresh.planComing) void look('?plan=wait');
  };
  const hear = (entries: ActsTaken['entries']): void => {
    if (entries.length === 0) return;
    const journal = joinJournal(
      server.journal,
      entries.map((e) => e.event),
    );
    server = { ...server, journal, journalAt: Math.max(server.journalAt, ...entries.map((e) => e.seq)) };
    keep();
    control.dispatch({ kind: 'seen', version: server.visit.version, journalAt: server.journalAt });
    tell();
  };
  // the route answers with a bench
  const onBench = (bench: unknown): void => take(bench as Bench);
  const who = first.client.name.split(' ')[0] ?? '';
  const { version } = first.visit;
  const control = syncControl({
    box: emptyBox(id, who),
    version,
    journalAt: first.journalAt,
    onBench,
    onEntries: hear,
  });

  /** Looks at the server's bench; null where it does not answer. */
  async function look(query = ''): Promise<void> {
    const answer = await fetch(at + query).catch(() => null);
    if (answer?.ok) take((await answer.json()) as Bench);
    // what was told and could not be looked at is looked at when the line is back
    else if (answer === null || answer.status >= 500) setTimeout(() => void look(query), LOOK_AGAIN_MS);
  }
  async function listen(): Promise<void> {
    const answer = await fetch(`${at}/journal?after=${server.journalAt}`).catch(() => null);
    if (answer?.ok) hear(((await answer.json()) as ActsTaken).entries);
  }
  const onEvent = (event: LiveEvent): void => {
    if (event.kind === 'anew') {
      void look();
      return;
    }
    if (event.kind === 'card' && event.clientId === first.client.id) void look();
    if (!('visitId' in event) || event.visitId !== id) return;
    if (event.kind === 'journal' && event.at > server.journalAt) void listen();
    if (event.kind === 'ended') void look();
    // one's own write is answered by itself
    if (event.kind === 'visit' && event.version > server.visit.version && control.state().underWay === null) {
      void look();
    }
  };
  const bench = (): Bench => {
    const shown = shownOf(control.state().box);
    if (over === null || over.server !== server || !alike(over.shown, shown)) {
      over = { server, shown, bench: withWaiting(server, control.state().box) };
    }
    return over.bench;
  };
  const shown = (): SyncShown => {
    const { box } = control.state();
    const [sync, disputed] = [syncWord(control.state()), disputedDocs(box)];
    if (sync !== said.sync || box.refused !== said.refused || !alike(disputed, said.disputed)) {
      said = { sync, refused: box.refused, disputed };
    }
    return said;
  };
  let refusedBefore = 0;
  control.subscribe(() => {
    tell();
    // a refusal says that the server's visit is another one than the one on the screen
    const refusedNow = control.state().box.refused.length;
    if (refusedNow > refusedBefore) void look();
    refusedBefore = refusedNow;
  });
  return {
    bench,
    shown,
    wantedZones: () => {
      const wanted = dataOf(control.state().box.docs['zones']);
      // saveZones puts zone references in
      return (wanted as readonly ZoneRef[] | undefined) ?? server.zones;
    },
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    save: (key, url, field, data) =>
      control.dispatch({ kind: 'changed', key, url: at + url, field, data, requestId: crypto.randomUUID() }),
    act: (events) => {
      const plan = server.planHash;
      control.dispatch({ kind: 'acted', acts: events.map((event) => ({ event, plan })) });
    },
    choose: (key, keep) => control.dispatch({ kind: 'chosen', key, keep, requestId: crypto.randomUUID() }),
    understood: (refusedId) => control.dispatch({ kind: 'understood', id: refusedId }),
    reload: () => look(),
    start: () => {
      const ends = [workOn(id), control.start(), onLive(onEvent)];
      takeOver(id).then(
        ([box]) => control.dispatch({ kind: 'found', box: box ?? null }),
        () => control.dispatch({ kind: 'found', box: null }),
      );
      if (isKept()) void lastKnown();
      else keep();
      if (server.planComing) void look('?plan=wait');
      return () => ends.forEach((end) => end());
    },
  };
}
