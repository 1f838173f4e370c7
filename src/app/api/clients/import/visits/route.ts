import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { answered, route } from '@/server/http/route';
import { toResponse } from '@/server/http/answers';
import { longText } from '@/server/http/write';
import { putDownPast } from '@/server/services/pastVisits';
import { noteDone } from '@/server/trail';

/** A table of a quarter of a million visits. */
const MOST_BYTES = 48_000_000;

/** Puts a table of past visits down, as plain text, to be looked at: what its columns seem to hold. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: async (request) => {
    const read = await longText(request, MOST_BYTES);
    if ('refusal' in read) return read.refusal;
    return answered(async () => toResponse(noteDone(getDb(), request, await putDownPast(getDb(), read.text, nowMs()))));
  },
});
