import 'server-only';
import type { Result } from '../core/shared';

/** Failure of a use case; `toResponse` maps the code to a status. No personal data in it. */
export interface ServiceError {
  readonly code: 'not-found' | 'stale' | 'plan-changed' | 'invalid' | 'refused' | 'used-id';
  readonly message: string;
  readonly details: readonly { readonly path: string; readonly message: string }[];
  /** With `stale` and `plan-changed`: what is newer. */
  readonly newer?: unknown;
}

export type ServiceResult<T> = Result<T, ServiceError>;

export const notFound = (what: string): { readonly ok: false; readonly error: ServiceError } => ({
  ok: false,
  error: { code: 'not-found', message: `No such ${what}.`, details: [] },
});

export const refused = (message: string, path = ''): { readonly ok: false; readonly error: ServiceError } => ({
  ok: false,
  error: { code: 'refused', message, details: [{ path, message }] },
});

export const stale = (newer: unknown): { readonly ok: false; readonly error: ServiceError } => ({
  ok: false,
  error: {
    code: 'stale',
    message: 'Another tablet has saved something newer. Nothing of yours was lost; choose which to keep.',
    details: [],
    newer,
  },
});
