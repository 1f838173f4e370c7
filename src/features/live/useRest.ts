'use client';

import { useEffect } from 'react';
import { isCurtainDrawn } from '@/ui/Curtain.client';
import { getJson, sendJson, type Sent } from '@/ui/sendJson';
import { useWho } from '@/ui/Who.client';

/** Touches are told no oftener than this. */
const TELL_MS = 30_000;
const LOOK_MS = 15_000;

/**
 * Tells the server that somebody is here, and goes to the door once the tablet rests. Whether it does is the server's
 * word: never while wax is on skin, and a tablet that does not reach it works on.
 */
export function useRest(): void {
  const { restAfterMin } = useWho();
  useEffect(() => {
    if (restAfterMin === null) return undefined;
    let [touchedAt, toldAt] = [Date.now(), 0];
    const leave = (isEnded: boolean): void => {
      // the curtain asks for the PIN itself
      if (isCurtainDrawn()) return;
      // a session that was ended from elsewhere takes nobody from a table: its acts wait on this tablet
      if (isEnded && window.location.pathname.endsWith('/work')) return;
      const to = window.location.pathname + window.location.search;
      window.location.assign(`/door?to=${encodeURIComponent(to)}`);
    };
    const heard = (sent: Sent<{ rests: boolean }>): void => {
      if (sent.ok ? sent.value.rests : sent.error.code === 'signed-out') leave(!sent.ok);
    };
    const touched = (): void => {
      touchedAt = Date.now();
      if (touchedAt - toldAt < TELL_MS) return;
      toldAt = touchedAt;
      void sendJson<{ rests: boolean }>('POST', '/api/door/here', {}).then(heard);
    };
    const look = (): void => {
      if (Date.now() - touchedAt < restAfterMin * 60_000) return;
      void getJson<{ rests: boolean }>('/api/door/here').then(heard);
    };
    const timer = setInterval(look, LOOK_MS);
    const kinds = ['pointerdown', 'keydown'] as const;
    for (const kind of kinds) window.addEventListener(kind, touched, { passive: true });
    return () => {
      clearInterval(timer);
      for (const kind of kinds) window.removeEventListener(kind, touched);
    };
  }, [restAfterMin]);
}
