import Joi from 'joi';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { ok } from '../../core/shared';
import type { OpenDatabase } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { PlanWanted } from '../planning/planWanted';
import { insertClient, readClient } from '../repos/clientRepo';
import { EMPTY_PROFILE } from '../db/upSteps';
import { toResponse, unforeseen } from './answers';
import { answered, route } from './route';
import { ask, write, writeForm } from './write';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const HOST = '127.0.0.1:4100';
const schema = Joi.object({ n: Joi.number().required() }).required();
const post = (body: string, headers: Record<string, string> = {}): Request =>
  new Request(`http://${HOST}/api/x`, { method: 'POST', body, headers: { host: HOST, ...headers } });
const errorOf = async (
  response: Response,
): Promise<{ code: string; message: string; details: { path: string }[]; newer?: unknown }> =>
  ((await response.json()) as { error: { code: string; message: string; details: { path: string }[] } }).error;

let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

describe('toResponse', () => {
  it('gives values as JSON that no cache keeps', async () => {
    const response = toResponse({ ok: true, value: { a: 1 } }, 201);
    expect(response.status).toBe(201);
    expect(response.headers.get('cache-control')).toBe('no-store');
    expect(await response.json()).toEqual({ a: 1 });
  });
  it('maps each failure to its status', async () => {
    expect(toResponse(notFound('visit')).status).toBe(404);
    expect(toResponse(refused('no', 'zones')).status).toBe(422);
    const conflict = toResponse(stale({ version: 3 }));
    expect(conflict.status).toBe(409);
    expect((await errorOf(conflict)).newer).toEqual({ version: 3 });
  });
  it('tells a data file that is held from a fault, and keeps the insides to itself', async () => {
    const busy = unforeseen(Object.assign(new Error('database is locked'), { code: 'SQLITE_BUSY' }));
    expect(busy.status).toBe(503);
    expect((await errorOf(busy)).code).toBe('busy');
    expect(unforeseen(Object.assign(new Error('x'), { code: 'SQLITE_FULL' })).status).toBe(507);
    const unknown = unforeseen(new Error('insert into clients values (a private name)'));
    expect(unknown.status).toBe(500);
    expect(JSON.stringify(await errorOf(unknown))).not.toContain('private');
  });
});

describe('route', () => {
  const { GET, POST, DELETE } = route<{ id: string }>({
    GET: (_, { id }) => Response.json({ id }),
    POST: () => {
      throw new Error('a private name');
    },
  });
  const context = { params: Promise.resolve({ id: 'one' }) };
  it('hands on the parameters, answers what it does not know in words, and what goes wrong plainly', async () => {
    expect(await (await GET(new Request('http://x/'), context)).json()).toEqual({ id: 'one' });
    const refusal = await DELETE(new Request('http://x/', { method: 'DELETE' }), context);
    expect([refusal.status, refusal.headers.get('allow')]).toEqual([405, 'GET, POST']);
    expect((await errorOf(refusal)).code).toBe('method');
    expect((await POST(new Request('http://x/api/visits', { method: 'POST', body: '{}' }), context)).status).toBe(500);
  });
  it('waits for a plan that is wanted and runs again, but not for ever', async () => {
    let runs = 0;
    const wants = (times: number) => (): Response => {
      runs++;
      if (runs <= times) throw new PlanWanted(Promise.resolve());
      return Response.json({ runs });
    };
    expect(await (await answered(wants(2))).json()).toEqual({ runs: 3 });
    runs = 0;
    expect((await answered(wants(1000))).status).toBe(500);
    expect(runs).toBeLessThan(20);
  });
});

describe('write', () => {
  const run = (): ServiceResult<{ done: boolean }> => ok({ done: true });
  const send = (request: Request): Promise<Response> => write(request, { db: open.db, schema, run });
  it('runs what is right', async () => expect((await send(post('{"n":1}'))).status).toBe(200));
  it('names what is wrong and does not run it', async () => {
    let ran = false;
    const response = await write(post('{"n":"one","m":2}'), {
      db: open.db,
      schema,
      run: () => {
        ran = true;
        return run();
      },
    });
    expect(response.status).toBe(422);
    expect((await errorOf(response)).details.map((d) => d.path).sort()).toEqual(['m', 'n']);
    expect(ran).toBe(false);
  });
  it('refuses what is no JSON, too large, or no id', async () => {
    expect((await send(post('{'))).status).toBe(400);
    expect((await send(post(`"${'x'.repeat(2_000_001)}"`))).status).toBe(413);
    expect((await send(post('{"n":1}', { 'x-request-id': 'a b' }))).status).toBe(400);
  });
  it('reads no further than the limit, also without a length', async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull: (stream) => {
        sent++;
        if (sent > 1000) stream.error(new Error('read on and on'));
        else stream.enqueue(new Uint8Array(100_000));
      },
    });
    const request = new Request(`http://${HOST}/api/x`, {
      method: 'POST',
      body: endless,
      duplex: 'half',
      headers: { host: HOST },
    } as RequestInit);
    expect((await send(request)).status).toBe(413);
    expect(sent).toBeLessThan(40);
  });
  it.each([
    ['http://elsewhere.example', null],
    ['null', null],
    ['', null],
    ['not an origin', null],
    [`http://${HOST}`, 'cross-site'],
    [null, 'cross-site'],
    [null, 'same-site'],
    [null, 'none'],
  ])('refuses what another page sends: origin %s, site %s', async (origin, site) => {
    const headers = { ...(origin === null ? {} : { origin }), ...(site === null ? {} : { 'sec-fetch-site': site }) };
    expect((await send(post('{"n":1}', headers))).status).toBe(403);
  });
  it('takes what its own pages send', async () => {
    const own = { origin: `http://${HOST}`, 'sec-fetch-site': 'same-origin' };
    expect((await send(post('{"n":1}', own))).status).toBe(200);
  });
  it('refuses text with a NUL in it and names the field', async () => {
    const response = await write(post('{"n":1,"name":"\\u0000a"}'), {
      db: open.db,
      schema: Joi.object({ n: Joi.number(), name: Joi.string() }),
      run,
    });
    expect(response.status).toBe(422);
    expect((await errorOf(response)).details).toMatchObject([{ path: 'name' }]);
  });
});

describe('a write that is sent twice', () => {
  const headers = { 'x-request-id': 'request-one' };
  let ran = 0;
  const add = (request: Request): Promise<Response> =>
    write<{ n: number }, { id: string }>(request, {
      db: open.db,
      schema,
      okStatus: 201,
      run: ({ n }) => {
        ran++;
        const id = `client-${ran}`;
        insertClient(open.db, { id, name: `N ${n}`, createdAtMs: NOW, profile: EMPTY_PROFILE });
        return n < 0 ? refused('less than nothing', 'n') : ok({ id });
      },
    });
  beforeEach(() => {
    ran = 0;
  });
  it('is done once and answered the same', async () => {
    const first = await add(post('{"n":1}', headers));
    const second = await add(post('{"n":1}', headers));
    expect([first.status, await first.json()]).toEqual([201, { id: 'client-1' }]);
    expect([second.status, await second.json()]).toEqual([201, { id: 'client-1' }]);
    expect(ran).toBe(1);
    expect(readClient(open.db, 'client-2')).toBeUndefined();
  });
  it('may give nothing at all', async () => {
    let done = 0;
    const nothing = (): Promise<Response> =>
      write(post('{"n":1}', headers), {
        db: open.db,
        schema,
        run: () => {
          done++;
          return ok(null);
        },
      });
    expect([(await nothing()).status, (await nothing()).status, done]).toEqual([200, 200, 1]);
  });
  it('is refused where the same id comes with something else', async () => {
    await add(post('{"n":1}', headers));
    const other = await add(post('{"n":2}', headers));
    expect([other.status, (await errorOf(other)).code]).toEqual([422, 'used-id']);
    expect(ran).toBe(1);
  });
  it('leaves nothing behind where it is refused, and may be tried again', async () => {
    expect((await add(post('{"n":-1}', headers))).status).toBe(422);
    expect(readClient(open.db, 'client-1')).toBeUndefined();
    expect((await add(post('{"n":1}', headers))).status).toBe(201);
    expect(readClient(open.db, 'client-2')).toBeDefined();
  });
});

describe('ask', () => {
  it('checks as a write does and remembers nothing', async () => {
    let asked = 0;
    const look = (request: Request): Promise<Response> =>
      ask<{ n: number }>(request, schema, ({ n }) => {
        asked++;
        return Response.json({ n });
      });
    await look(post('{"n":1}', { 'x-request-id': 'request-one' }));
    expect(await (await look(post('{"n":1}', { 'x-request-id': 'request-one' }))).json()).toEqual({ n: 1 });
    expect(asked).toBe(2);
    expect((await look(post('{"n":1}', { origin: 'http://elsewhere.example' }))).status).toBe(403);
  });
});

describe('writeForm', () => {
  it('answers with a page, also where it is refused', async () => {
    const form = (body: string, headers: Record<string, string> = {}): Request =>
      new Request(`http://${HOST}/visits/open`, {
        method: 'POST',
        body,
        headers: { host: HOST, 'content-type': 'application/x-www-form-urlencoded', ...headers },
      });
    const named = Joi.object({ name: Joi.string().required() });
    const sent = (request: Request, to: string | null): Promise<Response> =>
      writeForm<{ name: string }>(request, {
        db: open.db,
        schema: named,
        run: ({ name }) => (to === null ? notFound('page') : ok(`${to}/${name}`)),
        otherwise: '/',
      });
    const whereTo = async (request: Request, to: string | null): Promise<readonly unknown[]> => {
      const r = await sent(request, to);
      return [r.status, r.headers.get('location')];
    };
    expect(await whereTo(form('name=a'), '/there')).toEqual([303, '/there/a']);
    expect(await whereTo(form('name=a'), null)).toEqual([303, '/']);
    expect(await whereTo(form('other=a'), '/there')).toEqual([303, '/']);
    expect((await sent(form('name=a', { origin: 'http://elsewhere.example' }), '/there')).status).toBe(403);
  });
});
