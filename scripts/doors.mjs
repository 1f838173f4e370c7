// The outermost door: what is turned away before the application sees it. Only this machine's own address is answered,
// so that no name of another page can be made to mean it; methods and addresses that no client of ours sends are
// refused in words. Plain Node, so that it stands in front of the built server.

/** Largest body that any request may announce, bytes; each route reads no further than its own limit. */
export const MOST_BYTES = 2_200_000;

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];
const SAFE = ['GET', 'HEAD', 'OPTIONS'];

const refusal = (status, code, message) => ({ status, code, message });

function isDecodable(path) {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

function hostOf(origin) {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

/** Another page of the same browser that sends here; links that are followed to a page are no such thing. */
function isForeign(method, path, headers, host) {
  const { origin } = headers;
  const site = headers['sec-fetch-site'];
  if (SAFE.includes(method)) {
    return path.startsWith('/api/') && (site === 'cross-site' || site === 'same-site');
  }
  return (site !== undefined && site !== 'same-origin') || (origin !== undefined && hostOf(origin) !== host);
}

/**
 * What is answered instead of the application; null where the application may answer.
 * @param {{ method: string, url: string, headers: Record<string, string | undefined> }} request
 * @param {number} port where the server listens
 * @param {string[]} [lan] hosts under which it is reached in the network; absent = on this machine alone
 * @returns {null | { status: number, code: string, message: string, location?: string }}
 */
export function turnedAway({ method, url, headers }, port, lan) {
  const canonical = `127.0.0.1:${port}`;
  const host = (headers.host ?? '').toLowerCase();
  const [path] = url.split('?');
  if (!METHODS.includes(method)) return refusal(405, 'method', 'This cannot be asked so.');
  if (lan ? !lan.includes(host) : host !== canonical) {
    const isOwn = host === `localhost:${port}` || host === `[::1]:${port}`;
    if (!lan && isOwn && SAFE.includes(method) && !path.startsWith('/api/')) {
      // one address, so that one cookie: what is locked under one name is not open under another
      return { ...refusal(308, 'elsewhere', 'Here is another address.'), location: `http://${canonical}${url}` };
    }
    return refusal(421, 'host', 'This server answers at its own address only.');
  }
  if (!url.startsWith('/') || !isDecodable(url)) return refusal(400, 'address', 'This address cannot be read.');
  if (Number(headers['content-length'] ?? 0) > MOST_BYTES)
    return refusal(413, 'too-large', 'The request is too large.');
  if (isForeign(method, path, headers, host)) {
    return refusal(403, 'foreign-origin', 'Only pages of this studio may ask here.');
  }
  return null;
}
