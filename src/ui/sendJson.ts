// One way to talk to the server: JSON in, Result out. No health words ever in the address. Every write carries an id:
// one that was sent before, with its answer lost on the way, is sent again under the same id and so done once.

export interface WireError {
  readonly code: string;
  readonly message: string;
  readonly details: readonly { readonly path: string; readonly message: string }[];
  readonly newer?: unknown;
}

export type Sent<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: WireError };

const AWAY: WireError = {
  code: 'away',
  message: 'The server does not answer. Try again when it is back: what was taken already is not done twice.',
  details: [],
};
/** A page that is left may still send so much. */
const KEEPALIVE_LETTERS = 60_000;

/** Ids of what was sent and not answered, by what it was. */
const unanswered = new Map<string, string>();

/** @param requestId of the caller's own, where it keeps what it sends */
export async function sendJson<T>(
  method: 'POST' | 'PUT' | 'DELETE',
  url: string,
  body: unknown,
  requestId?: string,
): Promise<Sent<T>> {
  const text = JSON.stringify(body);
  const what = `${method} ${url} ${text}`;
  const id = requestId ?? unanswered.get(what) ?? crypto.randomUUID();
  if (requestId === undefined) unanswered.set(what, id);
  try {
    const response = await fetch(url, {
      method,
      headers: { 'content-type': 'application/json', 'x-request-id': id },
      body: text,
      keepalive: method === 'POST' && text.length < KEEPALIVE_LETTERS,
    });
    const answer = (await response.json()) as unknown;
    if (response.status < 500) unanswered.delete(what);
    if (response.ok) return { ok: true, value: answer as T }; // our own route's answer
    return { ok: false, error: (answer as { error: WireError }).error }; // the shape of src/server/http/answers.ts
  } catch {
    return { ok: false, error: AWAY };
  }
}

/** The same for what is only asked. */
export const getJson = <T>(url: string): Promise<Sent<T>> => getAnswer(url);

/** What an address answers, whatever was sent to it. */
export async function getAnswer<T>(url: string, init?: RequestInit): Promise<Sent<T>> {
  try {
    const response = await fetch(url, init);
    const answer = (await response.json()) as unknown;
    if (response.ok) return { ok: true, value: answer as T }; // our own route's answer
    return { ok: false, error: (answer as { error: WireError }).error }; // the shape of src/server/http/answers.ts
  } catch {
    return { ok: false, error: AWAY };
  }
}

/**
 * Why something was not taken, in one line; what was typed always stays.
 * @param nothing what was not done, said where that is sure
 */
export function notTaken({ code, message, details }: WireError, nothing = 'Nothing was changed'): string {
  const stands = 'hat you typed still stands here.';
  if (code === 'away') return `${message} W${stands}`;
  // what is invalid names its fields; a refusal says it all
  if (code === 'invalid') return `${message} ${details.map((d) => d.message).join('; ')}. W${stands}`;
  return `${message} ${nothing}: w${stands}`;
}

/** Errors that pass by themselves; everything else is an answer. */
const PASSING = ['away', 'internal', 'busy', 'no-room', 'locked', 'unknown-tablet', 'signed-out', 'too-many'];
export const isPassing = (error: WireError): boolean => PASSING.includes(error.code);
