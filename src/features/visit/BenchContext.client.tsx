'use client';

import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { TableEvent } from '@/core/hands';
import type { ChartData, Consult, Reading, ZoneRef } from '@/server/db/schema';
import type { Bench } from '@/server/services/bench';
import { benchStore, type BenchStore, type SyncShown } from './sync/benchStore';

export interface BenchApi {
  readonly bench: Bench;
  /** Zones as they will be once the server has planned them; the bench's own where nothing is under way. */
  readonly wantedZones: readonly ZoneRef[];
  readonly saveConsult: (consult: Consult) => void;
  readonly saveChart: (zone: ZoneRef, data: ChartData) => void;
  readonly saveReading: (zone: ZoneRef, data: Reading) => void;
  readonly saveZones: (zones: readonly ZoneRef[]) => void;
  readonly sendEvents: (events: readonly TableEvent[]) => void;
  /** Fetches the bench anew, e.g. after a change of the client's card. */
  readonly reload: () => Promise<void>;
}

const Context = createContext<BenchStore | null>(null);

function useStore(): BenchStore {
  const store = useContext(Context);
  if (!store) throw new Error('useBench stands outside its provider');
  return store;
}

/** The visit on this page. What is being saved draws nothing anew here: that is `useSync`. */
export function useBench(): BenchApi {
  const store = useStore();
  const bench = useSyncExternalStore(store.subscribe, store.bench, store.bench);
  const wantedZones = useSyncExternalStore(store.subscribe, store.wantedZones, store.wantedZones);
  return useMemo((): BenchApi => {
    const place = (kind: string, z: ZoneRef): string => `${kind}|${z.zone}|${z.side}`;
    return {
      bench,
      wantedZones,
      saveConsult: (consult) => store.save('consult', '/consult', 'consult', consult),
      saveChart: (z, data) => store.save(place('chart', z), `/charts/${z.zone}/${z.side}`, 'data', data),
      saveReading: (z, data) => store.save(place('reading', z), `/readings/${z.zone}/${z.side}`, 'data', data),
      saveZones: (zones) => store.save('zones', '/zones', 'zones', zones),
      sendEvents: store.act,
      reload: store.reload,
    };
  }, [bench, wantedZones, store]);
}

export interface SyncApi extends SyncShown {
  readonly choose: (key: string, keep: 'mine' | 'theirs') => void;
  readonly understood: (id: string) => void;
}

/** Whether all is saved, what was refused, what is disputed. */
export function useSync(): SyncApi {
  const store = useStore();
  const shown = useSyncExternalStore(store.subscribe, store.shown, store.shown);
  return { ...shown, choose: store.choose, understood: store.understood };
}

export function BenchProvider({ first, children }: { readonly first: Bench; readonly children: ReactNode }) {
  const [store] = useState(() => benchStore(first));
  useEffect(() => store.start(), [store]);
  return <Context value={store}>{children}</Context>;
}
