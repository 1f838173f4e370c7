import Joi from 'joi';
import { describe, expect, it } from 'vitest';
import { notFound, refused, stale } from './errors';
import { handle, handleForm, handleRead, toResponse } from './toResponse';

const schema = Joi.object({ n: Joi.number().required() }).required();
const post = (body: string, headers: Record<string, string> = {}): Request =>
  new Request('http://127.0.0.1:4100/api/x', { method: 'POST', body, headers: { host: '127.0.0.1:4100', ...headers } });
const errorOf = async (
  response: Response,
): Promise<{ code: string; message: string; details: { path: string }[]; newer?: unknown }> =>
  ((await response.json()) as { error: { code: string; message: string; details: { path: string }[] } }).error;

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
});

describe('handle', () => {
  const run = (): Response => Response.json({ done: true });
  it('runs what is right', async () => expect((await handle(post('{"n":1}'), schema, run)).status).toBe(200));
  it('names what is wrong and does not run it', async () => {
    let ran = false;
    const response = await handle(post('{"n":"one","m":2}'), schema, () => {
      ran = true;
      return run();
    });
    expect(response.status).toBe(422);
    expect((await errorOf(response)).details.map((d) => d.path).sort()).toEqual(['m', 'n']);
    expect(ran).toBe(false);
  });
  it('refuses what is no JSON, too large, or sent by another page', async () => {
    expect((await handle(post('{'), schema, run)).status).toBe(400);
    expect((await handle(post(`"${'x'.repeat(2_000_001)}"`), schema, run)).status).toBe(413);
    expect((await handle(post('{"n":1}', { origin: 'http://elsewhere.example' }), schema, run)).status).toBe(403);
    expect((await handle(post('{"n":1}', { origin: 'http://127.0.0.1:4100' }), schema, run)).status).toBe(200);
  });
  it('answers the unforeseen without its insides', async () => {
    const boom = (): Response => {
      throw new Error('insert into clients values (a private name)');
    };
    const response = await handle(post('{"n":1}'), schema, boom);
    expect(response.status).toBe(500);
    expect(JSON.stringify(await errorOf(response))).not.toContain('private');
    expect(handleRead(boom).status).toBe(500);
  });
  it('answers a plain form with a page, also where it is refused', async () => {
    const form = (body: string, headers: Record<string, string> = {}): Request =>
      new Request('http://127.0.0.1:4100/visits/open', {
        method: 'POST',
        body,
        headers: { host: '127.0.0.1:4100', 'content-type': 'application/x-www-form-urlencoded', ...headers },
      });
    const named = Joi.object({ name: Joi.string().required() });
    const sent = (request: Request, to: string | null): Promise<Response> =>
      handleForm<{ name: string }>(request, named, (body) => (to === null ? null : `${to}/${body.name}`), '/');
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
