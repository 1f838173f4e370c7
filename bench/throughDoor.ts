// The server as a second device in the network meets it: HTTPS with the studio's own certificate, signed in with a
// passphrase. For the fuzz and the kill -9 of `bench`.

import { request as plain, type IncomingHttpHeaders } from 'node:http';
import { request as secure } from 'node:https';
import { lanNames } from '../scripts/lan.mjs';

const PIN = '2468';
const WORDS = 'grey seals on the bar';
/** A certificate of the studio's own authority, which this device has not been told to trust. */
const UNTRUSTED = { rejectUnauthorized: false } as const;

export interface Door {
  readonly host: string;
  readonly isSecure: boolean;
  /** Of a device that has been here; once signed in, of whoever did. */
  cookie: string;
}
export interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly text: string;
}

/** One request; a stream of events is answered by its head. Status 0 = the line broke, -1 = nothing within `mostMs`. */
export function askAt(
  door: Door,
  asked: {
    readonly method: string;
    readonly path: string;
    readonly headers?: Record<string, string>;
    readonly body?: string | null;
  },
  mostMs = 30_000,
): Promise<Answer> {
  const { method, path } = asked;
  const [hostname = '', port = ''] = door.host.split(':');
  const headers = { host: door.host, cookie: door.cookie, 'content-type': 'application/json', ...asked.headers };
  return new Promise((resolve) => {
    const none = { headers: {}, text: '' };
    const timer = setTimeout(() => {
      sent.destroy();
      resolve({ status: -1, ...none });
    }, mostMs);
    const end = (answer: Answer): void => {
      clearTimeout(timer);
      resolve(answer);
    };
    const options = { hostname, port, method, path, headers };
    const sent = (door.isSecure ? secure : plain)({ ...options, ...(door.isSecure ? UNTRUSTED : {}) }, (answer) => {
      const head = { status: answer.statusCode ?? 0, headers: answer.headers };
      if (answer.headers['content-type']?.includes('event-stream')) {
        sent.destroy();
        end({ ...head, text: '' });
        return;
      }
      let text = '';
      answer.on('data', (chunk: Buffer) => (text += chunk.toString('utf8')));
      answer.on('end', () => end({ ...head, text }));
      answer.on('error', () => end({ ...head, text }));
    });
    sent.on('error', () => end({ status: 0, ...none }));
    sent.end(asked.body ?? undefined);
  });
}

/** The cookies of a device after an answer that may have set some of them. */
export function cookiesAfter(cookie: string, { headers }: Answer): string {
  const known = new Map(cookie.split('; ').map((c) => [c.split('=')[0] ?? '', c]));
  for (const set of headers['set-cookie'] ?? []) {
    const [pair = ''] = set.split(';');
    known.set(pair.split('=')[0] ?? '', pair);
  }
  known.delete('');
  return [...known.values()].join('; ');
}

/** Turns signing in on at the machine itself, then comes in as Ines from another device of the network. */
export async function comeInByNetwork(here: Door): Promise<Door> {
  const json = (path: string, body: object, door: Door) =>
    askAt(door, {
      ...{ method: 'POST', path, body: JSON.stringify(body) },
      headers: { origin: `${door.isSecure ? 'https' : 'http'}://${door.host}` },
    });
  const on = await json('/api/studio/sign-in', { on: { personId: 'ines', pin: PIN, passphrase: WORDS } }, here);
  if (on.status !== 200) throw new Error(`signing in was not turned on: ${on.status} ${on.text}`);
  const [ip] = lanNames().ips;
  if (ip === undefined) throw new Error('this machine has no address in a network');
  const port = Number(here.host.split(':')[1]) + 1;
  const there: Door = { host: `${ip}:${port}`, isSecure: true, cookie: '' };
  const begun = await json('/api/door/sign-in', { name: 'Ines', passphrase: WORDS }, there);
  if (begun.status !== 200) throw new Error(`nobody came in: ${begun.status} ${begun.text}`);
  there.cookie = cookiesAfter('', begun);
  return there;
}
