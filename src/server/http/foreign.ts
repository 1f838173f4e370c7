// Only pages of this very server may write: what another page in the same browser sends is refused.

import 'server-only';

/** Host of an origin; null where it is none (`null`, empty, garbage). */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

export function isForeign(request: Request): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin') return true;
  const origin = request.headers.get('origin');
  return origin !== null && hostOf(origin) !== request.headers.get('host');
}
