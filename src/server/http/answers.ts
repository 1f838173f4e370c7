// Failures as responses: the one place where a code becomes a status. Nothing internal and nothing personal in them.

import 'server-only';
import { DamagedValue } from '../db/json';
import type { ServiceError, ServiceResult } from '../errors';
import { log } from '../log';

const STATUS: Readonly<Record<ServiceError['code'], number>> = {
  'not-found': 404,
  stale: 409,
  'plan-changed': 409,
  invalid: 422,
  refused: 422,
  'used-id': 422,
};
export const NO_STORE = { 'cache-control': 'no-store' };

export const errorResponse = (
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

export function toResponse<T>(result: ServiceResult<T>, okStatus = 200): Response {
  if (result.ok) return Response.json(result.value, { status: okStatus, headers: NO_STORE });
  const { code, message, details, newer } = result.error;
  return errorResponse(STATUS[code], code, message, details, newer);
}

/** A file to be kept; its name holds no personal data. */
export const fileResponse = (body: BodyInit, type: string, name: string): Response =>
  new Response(body, {
    headers: { ...NO_STORE, 'content-type': type, 'content-disposition': `attachment; filename="${name}"` },
  });

/** SQLite's own code of a fault, where it is one. */
const sqliteCode = (error: unknown): string =>
  error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : '';

export function unforeseen(error: unknown): Response {
  if (error instanceof DamagedValue) {
    return errorResponse(
      422,
      'damaged',
      'This record is damaged in the data file. Nothing was changed; a backup has it whole.',
    );
  }
  const code = sqliteCode(error) || sqliteCode(error instanceof Error ? error.cause : null);
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) {
    return errorResponse(
      503,
      'busy',
      'Another program holds the data file. What you did is kept on this tablet and sent again.',
    );
  }
  if (code === 'SQLITE_FULL' || code.startsWith('SQLITE_IOERR')) {
    log.error({ code }, 'the disk does not take it');
    return errorResponse(
      507,
      'no-room',
      'The disk of this machine is full or failing. Nothing was changed; make room.',
    );
  }
  log.error(
    {
      kind: error instanceof Error ? error.name : 'unknown',
      code,
      at: error instanceof Error ? (error.stack ?? '').split('\n')[1]?.trim() : undefined,
    },
    'request failed',
  );
  return errorResponse(500, 'internal', 'Something went wrong here. Nothing was changed; try again.');
}
