// A file to the server, piece by piece: a piece that was not answered is sent once more, and goes on where it was.

import { getAnswer, sendJson, type Sent } from './sendJson';

const PIECE = 1_500_000;
const TRIES = 4;
const AGAIN_MS = 1_500;

async function sendPiece(id: string, file: File, at: number): Promise<Sent<{ readonly size: number }>> {
  const body = file.slice(at, at + PIECE);
  for (let k = 1; ; k++) {
    const sent = await getAnswer<{ readonly size: number }>(`/api/uploads/${id}`, {
      ...{ method: 'PUT', body },
      headers: { 'content-type': 'application/octet-stream', 'x-at': String(at) },
    });
    if (sent.ok || sent.error.code !== 'away' || k === TRIES) return sent;
    await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
  }
}

/**
 * Sends a file and then what is to be done with it.
 * @param url takes `{upload}` once the file is there
 */
export async function sendFile<T>(url: string, file: File): Promise<Sent<T>> {
  const id = crypto.randomUUID();
  for (let at = 0; at < file.size || at === 0; at += PIECE) {
    const sent = await sendPiece(id, file, at);
    if (!sent.ok) return sent;
  }
  return sendJson<T>('POST', url, { upload: id });
}
