'use client';

import { useEffect, useState } from 'react';
import type { NextSlots } from '@/server/services/nextSlots';
import { getJson } from '@/ui/sendJson';

/** While a handle is dragged only where it rests is asked for, ms. */
const REST_MS = 250;

export interface SlotsAnswer {
  readonly value: NextSlots | null;
  readonly fault: string | null;
}

/** Free places for the next visit: about a day where one was chosen, and what a date that counts asks for. */
export function useSlots(visitId: string, about: string | null, smoothOn: string | null, version: number): SlotsAnswer {
  const [answer, setAnswer] = useState<SlotsAnswer>({ value: null, fault: null });
  useEffect(() => {
    let isOver = false;
    const asked = new URLSearchParams({
      ...(about === null ? {} : { about }),
      ...(smoothOn === null ? {} : { smoothOn }),
    });
    const timer = setTimeout(
      () => {
        void getJson<NextSlots>(`/api/visits/${visitId}/slots?${asked}`).then((sent) => {
          if (isOver) return;
          // what is known stands while the server is away
          setAnswer((last) =>
            sent.ok ? { value: sent.value, fault: null } : { value: last.value, fault: sent.error.message },
          );
        });
      },
      about === null ? 0 : REST_MS,
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [visitId, about, smoothOn, version]);
  return answer;
}
