'use client';

import { useRef, useState } from 'react';

export interface Found {
  readonly id: string;
  readonly name: string;
  readonly byline: string;
}

/** Clients whose name begins so; words to look for never stand in an address. */
async function findClients(query: string): Promise<readonly Found[]> {
  try {
    const response = await fetch('/api/clients', { headers: { 'x-search': encodeURIComponent(query) } });
    // our own route's answer
    return response.ok ? ((await response.json()) as { clients: readonly Found[] }).clients : [];
  } catch {
    return [];
  }
}

/** What is found as one types: an answer that comes late takes no place of a newer one. */
export function useFoundClients(first: readonly Found[] = []): readonly [readonly Found[], (query: string) => void] {
  const [found, setFound] = useState(first);
  const asked = useRef(0);
  const find = (query: string): void => {
    const mine = ++asked.current;
    void findClients(query).then((clients) => {
      if (mine === asked.current) setFound(clients);
    });
  };
  return [found, find];
}
