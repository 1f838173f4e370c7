export interface Found {
  readonly id: string;
  readonly name: string;
  readonly byline: string;
}

/** Clients whose name begins so; words to look for never stand in an address. */
export async function findClients(query: string): Promise<readonly Found[]> {
  try {
    const response = await fetch('/api/clients', { headers: { 'x-search': encodeURIComponent(query) } });
    // our own route's answer
    return response.ok ? ((await response.json()) as { clients: readonly Found[] }).clients : [];
  } catch {
    return [];
  }
}
