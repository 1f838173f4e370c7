// One way to talk to the server: JSON in, Result out. No health words ever in the address.

export interface WireError {
  readonly code: string;
  readonly message: string;
  readonly details: readonly { readonly path: string; readonly message: string }[];
  readonly newer?: unknown;
}

export type Sent<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: WireError };

const AWAY: WireError = {
  code: 'away',
  message: 'The server does not answer. What you did is kept on this tablet and sent when it is back.',
  details: [],
};

export async function sendJson<T>(method: 'POST' | 'PUT', url: string, body: unknown): Promise<Sent<T>> {
  try {
    const response = await fetch(url, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      keepalive: method === 'POST' && JSON.stringify(body).length < 60_000,
    });
    const answer = (await response.json()) as unknown;
    if (response.ok) return { ok: true, value: answer as T }; // our own route's answer
    return { ok: false, error: (answer as { error: WireError }).error }; // toResponse's shape
  } catch {
    return { ok: false, error: AWAY };
  }
}
