import 'server-only';
import type Joi from 'joi';
import { parseWith } from '../formats/visitCaseSchema';
import type { ServiceError, ServiceResult } from './errors';
import { log } from './log';

const STATUS: Readonly<Record<ServiceError['code'], number>> = {
  'not-found': 404,
  stale: 409,
  invalid: 422,
  refused: 422,
};
const MAX_BODY_BYTES = 2_000_000;
const NO_STORE = { 'cache-control': 'no-store' };

const errorResponse = (
  status: number,
  code: string,
  message: string,
  details: readonly unknown[] = [],
  newer?: unknown,
): Response =>
  Response.json(
    { error: { code, message, details, ...(newer === undefined ? {} : { newer }) } },
    { status, headers: NO_STORE },
  );

/** The one place where a failure becomes a status. */
export function toResponse<T>(result: ServiceResult<T>, okStatus = 200): Response {
  if (result.ok) return Response.json(result.value, { status: okStatus, headers: NO_STORE });
  const { code, message, details, newer } = result.error;
  return errorResponse(STATUS[code], code, message, details, newer);
}

/** Only pages of this very server may write: a foreign page in the same browser is refused. */
function isForeign(request: Request): boolean {
  const origin = request.headers.get('origin');
  return origin !== null && new URL(origin).host !== request.headers.get('host');
}

/** Reads, checks and handles a JSON request; anything unforeseen is a plain 500 without internals. */
export async function handle<T>(request: Request, schema: Joi.Schema, run: (body: T) => Response): Promise<Response> {
  try {
    if (isForeign(request)) return errorResponse(403, 'foreign-origin', 'Only this studio may write here.');
    const text = await request.text();
    if (text.length > MAX_BODY_BYTES) return errorResponse(413, 'too-large', 'The request is too large.');
    let body: unknown;
    try {
      body = JSON.parse(text);
    } catch {
      return errorResponse(400, 'not-json', 'The request is not JSON. Nothing was changed.');
    }
    const parsed = parseWith<T>(schema, body);
    if (!parsed.ok) {
      return errorResponse(422, 'invalid', 'Some fields are not right. Nothing was changed.', parsed.faults);
    }
    return run(parsed.value);
  } catch (error) {
    return unforeseen(error);
  }
}

/**
 * A plain form of a page, sent before the page's script runs: it is answered with another page, also where it is
 * refused.
 */
export async function handleForm<T>(
  request: Request,
  schema: Joi.Schema,
  run: (body: T) => string | null,
  otherwise: string,
): Promise<Response> {
  const goTo = (path: string): Response =>
    new Response(null, { status: 303, headers: { ...NO_STORE, location: path } });
  try {
    if (isForeign(request)) return errorResponse(403, 'foreign-origin', 'Only this studio may write here.');
    const text = await request.text();
    if (text.length > MAX_BODY_BYTES) return errorResponse(413, 'too-large', 'The request is too large.');
    const parsed = parseWith<T>(schema, Object.fromEntries(new URLSearchParams(text)));
    return goTo((parsed.ok ? run(parsed.value) : null) ?? otherwise);
  } catch (error) {
    return unforeseen(error);
  }
}

/** The same for reading. */
export function handleRead(run: () => Response): Response {
  try {
    return run();
  } catch (error) {
    return unforeseen(error);
  }
}

function unforeseen(error: unknown): Response {
  log.error(
    {
      kind: error instanceof Error ? error.name : 'unknown',
      at: error instanceof Error ? (error.stack ?? '').split('\n')[1]?.trim() : undefined,
    },
    'request failed',
  );
  return errorResponse(500, 'internal', 'Something went wrong here. Nothing was changed; try again.');
}

/** The same for an answer that takes a moment to make. */
export async function handleReadLater(run: () => Promise<Response>): Promise<Response> {
  try {
    return await run();
  } catch (error) {
    return unforeseen(error);
  }
}
