import type { ImportProgress } from '@/server/services/tableIn';
import { getJson } from '@/ui/sendJson';

const ASK_EVERY_MS = 250;
/** Without a line taken in for so many asks nothing is moving: a large table is looked through for a minute. */
const MOST_IDLE = 480;

/**
 * Asks how far it is until all is taken in, or out again where it was given up; null where the server does not answer
 * any more, or nothing moves.
 */
export async function followed(
  begun: ImportProgress,
  say: (p: ImportProgress) => void,
): Promise<ImportProgress | null> {
  let at = begun;
  for (let idle = 0; at.state !== 'taken' && idle < MOST_IDLE; idle++) {
    say(at);
    await new Promise((r) => setTimeout(r, ASK_EVERY_MS));
    const asked = await getJson<ImportProgress>(`/api/clients/import/${begun.id}`);
    if (!asked.ok) return asked.error.code === 'not-found' ? { ...at, state: 'left' } : null;
    if (asked.value.taken > at.taken || asked.value.state !== at.state) idle = 0;
    at = asked.value;
  }
  return at.state === 'taken' ? at : null;
}
