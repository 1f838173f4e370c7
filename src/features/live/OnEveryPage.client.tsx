'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { sendWaiting } from '@/features/visit/sync/sendWaiting';
import { onBoxes } from '@/features/visit/sync/store';
import { clockSkewMs, onSkew, SKEW_SAID_MS } from '@/ui/tabletClock';
import { isCurtainDrawn } from '@/ui/Curtain.client';
import { onLive } from './liveEvents';
import styles from './Live.module.css';
import { useRest } from './useRest';

const AGAIN_MS = 20_000;
/** Several writes of one act are one look. */
const LOOK_MS = 300;

/** What every page does beside what it shows: sends what waits on this tablet, hears of others, minds the clock. */
export function OnEveryPage({ follows = false }: { readonly follows?: boolean }) {
  const router = useRouter();
  useRest();
  useEffect(() => {
    const send = (): void => void sendWaiting();
    send();
    const timer = setInterval(send, AGAIN_MS);
    window.addEventListener('online', send);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, []);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    const end = onLive((event) => {
      if (!follows || event.kind === 'journal' || event.kind === 'pots') return;
      timer ??= setTimeout(() => {
        timer = null;
        // behind the curtain a tablet may rest: the page stays what it is until that is lifted
        if (!isCurtainDrawn()) router.refresh();
      }, LOOK_MS);
    });
    return () => {
      end();
      if (timer) clearTimeout(timer);
    };
  }, [follows, router]);
  const skewMs = useSyncExternalStore(onSkew, clockSkewMs, () => 0);
  if (Math.abs(skewMs) <= SKEW_SAID_MS) return null;
  const seconds = Math.round(Math.abs(skewMs) / 1000);
  return (
    <p role="alert" className={styles.skew}>
      The clock of this tablet is {seconds} s {skewMs > 0 ? 'ahead' : 'behind'}. Strickle counts and writes by the
      server’s time, so setting times stay right; set the clock all the same.
    </p>
  );
}

/** Raised whenever the boxes on this tablet change. */
export function useBoxesChanged(): number {
  const [count, setCount] = useState(0);
  useEffect(() => onBoxes(() => setCount((n) => n + 1)), []);
  return count;
}
