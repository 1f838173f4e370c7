// The body of a request, read no further than the limit.

import 'server-only';

export const MAX_BODY_BYTES = 2_000_000;

/** The bytes of a body, or null where it is longer than the limit: what lies beyond is not read. */
export async function limitedBytes(request: Request, mostBytes = MAX_BODY_BYTES): Promise<Buffer | null> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return null;
  if (!request.body) return Buffer.alloc(0);
  const reader = request.body.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > mostBytes) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}

/** The same as text. */
export const limitedText = async (request: Request, mostBytes = MAX_BODY_BYTES): Promise<string | null> =>
  (await limitedBytes(request, mostBytes))?.toString('utf8') ?? null;
