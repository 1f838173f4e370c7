// Expected failure is data: every function of the core that can fail in a foreseen way returns a Result.
// Errors are plain objects so that they survive a worker boundary and JSON.

export interface CoreError {
  /** Stable dotted code, e.g. `case.zone.side`. */
  readonly code: string;
  /** One plain sentence for the practitioner. */
  readonly message: string;
  /** Where in the input, e.g. `zones[0].side`. */
  readonly path?: string;
}

export type Result<T, E = CoreError> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: E };

export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value };
}

export function fail<E>(error: E): { readonly ok: false; readonly error: E } {
  return { ok: false, error };
}
