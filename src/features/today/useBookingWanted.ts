'use client';

import { useEffect, useState } from 'react';
import type { BookingWanted } from '@/server/services/bookingWanted';
import { getJson } from '@/ui/sendJson';

/** What a client would be booked for, and how long; null until it is known. */
export function useBookingWanted(
  clientId: string | null,
  personId: string | null,
  services: readonly string[],
): BookingWanted | null {
  const key =
    clientId === null || personId === null
      ? ''
      : `client=${clientId}&person=${personId}&services=${services.join(',')}`;
  const [known, setKnown] = useState<{ readonly key: string; readonly value: BookingWanted } | null>(null);
  useEffect(() => {
    if (key === '') return;
    let isOver = false;
    void getJson<BookingWanted>(`/api/bookings/wanted?${key}`).then((sent) => {
      if (!isOver && sent.ok) setKnown({ key, value: sent.value });
    });
    return () => {
      isOver = true;
    };
  }, [key]);
  return known?.key === key ? known.value : null;
}
