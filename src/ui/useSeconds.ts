'use client';

import { useEffect, useState } from 'react';
import { tabletNow } from '@/ui/tabletClock';

/** The server's time, every second. @param firstMs as the page came */
export function useSeconds(firstMs: number): number {
  const [nowMs, setNowMs] = useState(firstMs);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(tabletNow()), 1000);
    return () => clearInterval(timer);
  }, []);
  return nowMs;
}
