// One way in for what is written: foreign pages refused, the body limited, parsed and checked, the use case run in one
// transaction together with the memory of its id, so that what is sent twice is done once and answers the same.

import 'server-only';
import { createHash } from 'node:crypto';
import type Joi from 'joi';
import { ok } from '../../core/shared';
import { parseWith } from '../../formats/visitCaseSchema';
import { nowMs } from '../clock';
import { atomically } from '../db/atomically';
import { together } from '../db/together';
import type { Db } from '../db/openDatabase';
import type { ServiceResult } from '../errors';
import { tell, type StudioEvent } from '../events';
import { insertRequest, readRequest } from '../repos/groundRepo';
import { noteWrite } from '../trail';
import { errorResponse, NO_STORE, toResponse } from './answers';
import { limitedText } from './body';
import { isForeign } from './foreign';
import { answered } from './route';

/** Header with the id that the tablet made for this act. */
export const REQUEST_ID = 'x-request-id';
const ID = /^[A-Za-z0-9_-]{8,64}$/;

type Read = { readonly text: string } | { readonly refusal: Response };

async function readText(request: Request): Promise<Read> {
  if (isForeign(request)) {
    return { refusal: errorResponse(403, 'foreign-origin', 'Only this studio may write here.') };
  }
  const text = await limitedText(request);
  if (text === null) return { refusal: errorResponse(413, 'too-large', 'The request is too large.') };
  return { text };
}

async function readBody<B>(request: Request, schema: Joi.Schema): Promise<{ body: B; text: string } | Response> {
  const read = await readText(request);
  if ('refusal' in read) return read.refusal;
  let body: unknown;
  try {
    body = JSON.parse(read.text);
  } catch {
    return errorResponse(400, 'not-json', 'The request is not JSON. Nothing was changed.');
  }
  const parsed = parseWith<B>(schema, body);
  return parsed.ok
    ? { body: parsed.value, text: read.text }
    : errorResponse(422, 'invalid', 'Some fields are not right. Nothing was changed.', parsed.faults);
}

export interface Write<B, W, A = W, P = undefined> {
  readonly db: Db;
  readonly schema: Joi.Schema;
  /** What is looked up beforehand, in slices beside other requests; nothing is written in it. */
  readonly prepare?: (body: B) => Promise<P>;
  /** The use case; what it gives is remembered, so it is small. */
  readonly run: (body: B, prepared: P) => ServiceResult<W>;
  /** What is answered once it is done, now or on an earlier sending; absent = what the use case gave. */
  readonly answer?: (written: W, body: B) => ServiceResult<A>;
  readonly okStatus?: number;
  /** False where nothing is written, as in a preview: then there is nothing to remember. */
  readonly remembers?: (body: B) => boolean;
  /** True for what comes many times a second: it shares its commit with others. */
  readonly isFrequent?: boolean;
  /** What every open page hears of it. */
  readonly tells?: (written: W) => readonly StudioEvent[];
}

/** The use case, or what it gave when the same act was sent before; to be run in one transaction. */
function once<W>(
  db: Db,
  { id, what, text }: { readonly id: string | null; readonly what: string; readonly text: string },
  run: () => ServiceResult<W>,
): () => ServiceResult<W> {
  if (id === null) return run;
  const bodyHash = createHash('sha256').update(text).digest('hex');
  return () => {
    const before = readRequest(db, id);
    if (before && (before.what !== what || before.bodyHash !== bodyHash)) {
      return {
        ok: false,
        error: { code: 'used-id', message: 'This id was used for something else. Nothing was changed.', details: [] },
      };
    }
    // written by the lines below, for the same use case
    if (before) return ok((before.answer as { readonly gave: W }).gave);
    const done = run();
    if (done.ok) insertRequest(db, { id, what, bodyHash, answer: { gave: done.value }, atMs: nowMs() });
    return done;
  };
}

/** Reads, checks and does what a JSON request asks for. */
export async function write<B, W, A = W, P = undefined>(request: Request, use: Write<B, W, A, P>): Promise<Response> {
  const read = await readBody<B>(request, use.schema);
  if (read instanceof Response) return read;
  const id = request.headers.get(REQUEST_ID);
  if (id !== null && !ID.test(id)) return errorResponse(400, 'bad-id', 'The id of the request is not an id.');
  const what = `${request.method} ${new URL(request.url).pathname}`;
  return answered(async () => {
    const prepared = (await use.prepare?.(read.body)) as P; // undefined where nothing is prepared
    const kept = use.remembers?.(read.body) === false ? null : id;
    const run = (): ServiceResult<W> => {
      const done = use.run(read.body, prepared);
      // a table's acts are their own trail; a preview writes nothing
      if (done.ok && !use.isFrequent && use.remembers?.(read.body) !== false) noteWrite(use.db, request, what);
      return done;
    };
    const act = once(use.db, { id: kept, what, text: read.text }, run);
    const done = use.isFrequent ? await together(use.db, act) : atomically(use.db, act);
    if (!done.ok) return toResponse(done);
    use.tells?.(done.value).forEach(tell);
    const answer = use.answer ? use.answer(done.value, read.body) : done;
    return toResponse(answer as ServiceResult<unknown>, use.okStatus);
  });
}

/** The same for what only looks: nothing is remembered. */
export async function ask<B>(
  request: Request,
  schema: Joi.Schema,
  run: (body: B) => Response | Promise<Response>,
): Promise<Response> {
  const read = await readBody<B>(request, schema);
  return read instanceof Response ? read : answered(() => run(read.body));
}

/**
 * A plain form of a page, sent before the page's script runs: it is answered with another page, also where it is
 * refused.
 */
export async function writeForm<B>(
  request: Request,
  use: {
    readonly db: Db;
    readonly schema: Joi.Schema;
    readonly run: (body: B) => ServiceResult<string>;
    readonly otherwise: string;
  },
): Promise<Response> {
  const read = await readText(request);
  if ('refusal' in read) return read.refusal;
  const goTo = (path: string): Response =>
    new Response(null, { status: 303, headers: { ...NO_STORE, location: path } });
  const parsed = parseWith<B>(use.schema, Object.fromEntries(new URLSearchParams(read.text)));
  if (!parsed.ok) return goTo(use.otherwise);
  return answered(() => {
    const done = atomically(use.db, () => {
      const written = use.run(parsed.value);
      if (written.ok) noteWrite(use.db, request, `${request.method} ${new URL(request.url).pathname}`);
      return written;
    });
    return goTo(done.ok ? done.value : use.otherwise);
  });
}
