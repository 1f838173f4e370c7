'use client';

import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { TableEvent } from '@/core/hands';
import type { Bench, BenchZone } from '@/server/services/bench';
import type { ChartData, Consult, Reading, ZoneRef } from '@/server/db/schema';
import { sendJson, type WireError } from '@/ui/sendJson';
import { isEmpty, joinJournal, keepWaiting, readWaiting, type Waiting } from './outbox';

export type Sync = 'saved' | 'saving' | 'waiting' | 'conflict';

export interface BenchApi {
  readonly bench: Bench;
  /** Zones as they will be once the server has planned them; the bench's own where nothing is under way. */
  readonly wantedZones: readonly ZoneRef[];
  readonly sync: Sync;
  /** The last refusal in words; what is kept stands in it. */
  readonly refusal: string | null;
  readonly dismissRefusal: () => void;
  readonly resolveConflict: (keep: 'mine' | 'theirs') => void;
  readonly saveConsult: (consult: Consult) => void;
  readonly saveChart: (zone: ZoneRef, data: ChartData) => void;
  readonly saveReading: (zone: ZoneRef, data: Reading) => void;
  readonly saveZones: (zones: readonly ZoneRef[]) => void;
  readonly sendEvents: (events: readonly TableEvent[]) => void;
  /** Fetches the bench anew, e.g. after a change of the client's card. */
  readonly reload: () => Promise<void>;
}

const Context = createContext<BenchApi | null>(null);
const RETRY_MS = 2500;

export function useBench(): BenchApi {
  const api = useContext(Context);
  if (!api) throw new Error('useBench stands outside its provider');
  return api;
}

const sameZone = (a: ZoneRef, b: ZoneRef): boolean => a.zone === b.zone && a.side === b.side;

/** The bench with what is still waiting laid over it, so that nothing typed ever jumps back. */
function withWaiting(bench: Bench, waiting: Waiting): Bench {
  let next: Bench = { ...bench, journal: joinJournal(bench.journal, waiting.events) };
  for (const [key, doc] of Object.entries(waiting.docs)) {
    const [kind, zone, side] = key.split('|');
    // docs hold what save… put in
    if (kind === 'consult') next = { ...next, visit: { ...next.visit, consult: doc.data as Consult } };
    if (kind === 'chart') {
      next = {
        ...next,
        zones: next.zones.map((z): BenchZone =>
          z.zone === zone && z.side === side ? { ...z, data: doc.data as ChartData } : z,
        ),
      };
    }
    if (kind === 'reading') {
      const reading = { zone: zone as BenchZone['zone'], side: side as BenchZone['side'], data: doc.data as Reading };
      next = { ...next, readings: [...next.readings.filter((r) => !sameZone(r, reading)), reading] };
    }
  }
  return next;
}

export function BenchProvider({ first, children }: { readonly first: Bench; readonly children: ReactNode }) {
  const visitId = first.visit.id;
  const [server, setServer] = useState(first);
  const [waiting, setWaiting] = useState<Waiting>({ docs: {}, events: [] });
  const [sync, setSync] = useState<Sync>('saved');
  const [refusal, setRefusal] = useState<string | null>(null);
  const serverRef = useRef(first);
  const waitingRef = useRef<Waiting>(waiting);
  const newer = useRef<Bench | null>(null);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);

  const putServer = useCallback((bench: Bench): void => {
    serverRef.current = bench;
    setServer(bench);
  }, []);
  const putWaiting = useCallback(
    (next: Waiting): void => {
      waitingRef.current = next;
      setWaiting(next);
      keepWaiting(visitId, next);
    },
    [visitId],
  );

  const pump = useCallback(async (): Promise<void> => {
    if (busy.current || newer.current) return;
    busy.current = true;
    const retry = (): void => {
      setSync('waiting');
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => void pump(), RETRY_MS);
    };
    try {
      while (!isEmpty(waitingRef.current)) {
        setSync((s) => (s === 'waiting' ? s : 'saving'));
        const { events, docs } = waitingRef.current;
        if (events.length > 0) {
          const sent = await sendJson<{ journal: readonly TableEvent[] }>('POST', `/api/visits/${visitId}/journal`, {
            events,
          });
          if (!sent.ok && isPassing(sent.error)) return retry();
          const done = new Set(events.map((e) => e.id));
          putWaiting({ ...waitingRef.current, events: waitingRef.current.events.filter((e) => !done.has(e.id)) });
          if (sent.ok) putServer({ ...serverRef.current, journal: sent.value.journal });
          else setRefusal(sent.error.message);
          continue;
        }
        const [key, doc] = Object.entries(docs)[0] ?? [];
        if (key === undefined || doc === undefined) break;
        const sent = await sendJson<Bench>('PUT', doc.url, {
          version: serverRef.current.visit.version,
          [doc.field]: doc.data,
        });
        if (!sent.ok && sent.error.code === 'stale' && sent.error.newer) {
          newer.current = sent.error.newer as Bench; // the route answers with a bench
          setSync('conflict');
          return;
        }
        if (!sent.ok && isPassing(sent.error)) return retry();
        if (waitingRef.current.docs[key] === doc || !sent.ok) {
          const rest = Object.fromEntries(Object.entries(waitingRef.current.docs).filter(([k]) => k !== key));
          putWaiting({ ...waitingRef.current, docs: rest });
        }
        if (sent.ok) putServer(sent.value);
        else setRefusal(`${sent.error.message} ${sent.error.details.map((d) => d.message).join(' ')}`);
      }
      setSync('saved');
    } finally {
      busy.current = false;
    }
  }, [putServer, putWaiting, visitId]);

  // what a reload or a sleeping tablet left waiting goes first
  useEffect(() => {
    const left = readWaiting(visitId);
    queueMicrotask(() => {
      if (!isEmpty(left)) putWaiting(left);
      void pump();
    });
    const awake = (): void => void pump();
    window.addEventListener('online', awake);
    return () => {
      window.removeEventListener('online', awake);
      if (timer.current) clearTimeout(timer.current);
    };
  }, [pump, putWaiting, visitId]);

  const saveDoc = useCallback(
    (key: string, url: string, field: string, data: unknown): void => {
      putWaiting({ ...waitingRef.current, docs: { ...waitingRef.current.docs, [key]: { url, field, data } } });
      void pump();
    },
    [pump, putWaiting],
  );

  const api = useMemo((): BenchApi => {
    const at = `/api/visits/${visitId}`;
    return {
      bench: withWaiting(server, waiting),
      wantedZones: (waiting.docs['zones']?.data as readonly ZoneRef[] | undefined) ?? server.zones,
      sync,
      refusal, // saveZones puts zone references in
      dismissRefusal: () => setRefusal(null),
      resolveConflict: (keep) => {
        const theirs = newer.current;
        newer.current = null;
        if (theirs) putServer(theirs);
        if (keep === 'theirs') putWaiting({ ...waitingRef.current, docs: {} });
        setSync('saving');
        void pump();
      },
      saveConsult: (consult) => saveDoc('consult', `${at}/consult`, 'consult', consult),
      saveChart: (z, data) => saveDoc(`chart|${z.zone}|${z.side}`, `${at}/charts/${z.zone}/${z.side}`, 'data', data),
      saveReading: (z, data) =>
        saveDoc(`reading|${z.zone}|${z.side}`, `${at}/readings/${z.zone}/${z.side}`, 'data', data),
      saveZones: (zones) => saveDoc('zones', `${at}/zones`, 'zones', zones),
      reload: async () => {
        const fresh = await fetch(at)
          .then((r) => (r.ok ? (r.json() as Promise<Bench>) : null))
          .catch(() => null);
        if (fresh) putServer(fresh);
      },
      sendEvents: (events) => {
        putWaiting({ ...waitingRef.current, events: [...waitingRef.current.events, ...events] });
        void pump();
      },
    };
  }, [visitId, server, waiting, sync, refusal, saveDoc, putServer, putWaiting, pump]);
  return <Context value={api}>{children}</Context>;
}

/**
 * Errors that pass by themselves: the server is away or stumbled, the tablet is with a client; everything else is an
 * answer.
 */
const isPassing = (error: WireError): boolean =>
  error.code === 'away' || error.code === 'internal' || error.code === 'locked';
