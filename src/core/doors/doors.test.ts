import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { may, MAYS, mayNotWords, neededFor, REST_AFTER_MIN, ROLES, type May, type Role } from './index';

/** Every page and every route of the application, as its address. */
function addresses(file: 'page.tsx' | 'route.ts', folder = 'src/app', path = ''): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory()) {
      const part = /^\(.*\)$/.test(entry.name) ? '' : `/${entry.name.replace(/^\[.*\]$/, 'an-id')}`;
      return addresses(file, join(folder, entry.name), path + part);
    }
    return entry.name === file ? [path === '' ? '/' : path] : [];
  });
}
const methodsOf = (address: string): readonly string[] => {
  const folder = address.split('/').reduce((at, part) => {
    if (part === '') return at;
    const own = readdirSync(at).find((n) => n === part || (part === 'an-id' && n.startsWith('[')));
    return join(at, own ?? part);
  }, 'src/app');
  const text = readFileSync(join(folder, 'route.ts'), 'utf8');
  return ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'].filter((m) => new RegExp(`^ {2}${m}: `, 'm').test(text));
};

/** The desk's pages, written down here a second time, by hand. */
const DESK = /^(\/|\/week|\/post|\/ready|\/clients|\/clients\/an-id|\/shelf|\/ledger\/day|\/hours|\/studio|\/me)$/;

describe('the table of roles', () => {
  const pages = addresses('page.tsx');
  const routes = addresses('route.ts').filter((a) => !a.includes('/an-id/../') && a !== '/api/an-id');
  it('knows every page and every route there is', () => {
    expect(pages.length).toBeGreaterThan(40);
    expect(routes.length).toBeGreaterThan(60);
    expect([...pages, ...routes].filter((a) => neededFor('GET', a) === null)).toEqual([]);
    expect(neededFor('GET', '/api/not-there')).toBeNull();
    expect(neededFor('GET', '/clients/../studio')).toBeNull();
  });
  it('lets the desk into no page and no route where health notes stand', () => {
    const health = [...pages, ...routes].filter((a) =>
      /^\/(api\/)?(visits|forms?|clients\/an-id\/(record|progress|patch-tests|archive|consent))/.test(a),
    );
    expect(health.length).toBeGreaterThan(25);
    for (const a of [...health, '/api/clients/an-id', '/api/clients/export']) {
      for (const method of ['GET', 'POST', 'PUT']) {
        const needs = neededFor(method, a);
        expect([a, method, needs === 'care' || needs === 'tables']).toEqual([a, method, true]);
      }
    }
    expect(may('desk', 'care') || may('desk', 'tables')).toBe(false);
  });
  it('opens to nobody who has not signed in but the door and the sign of life', () => {
    const open = [...pages, ...routes].filter((a) => neededFor('POST', a) === 'anybody');
    expect(open.toSorted()).toEqual(
      [
        ...[
          '/api/door',
          '/api/door/here',
          '/api/door/lift',
          '/api/door/out',
          '/api/door/pair',
          '/api/door/rest',
          '/api/door/sign-in',
        ],
        ...['/api/calendar/an-id', '/api/health', '/door', '/door/closed'],
      ].toSorted(),
    );
  });
  it('opens pages to each role as written down by hand', () => {
    const opens = (role: Role, needs: ReturnType<typeof neededFor>): boolean =>
      needs === 'anybody' || needs === 'signed-in' || (needs !== null && may(role, needs));
    const desk = pages.filter((a) => opens('desk', neededFor('GET', a)) && !a.startsWith('/door'));
    expect(desk.filter((a) => !DESK.test(a))).toEqual([]);
    expect(desk).toHaveLength(11);
    const practitioner = pages.filter((a) => !opens('practitioner', neededFor('GET', a)));
    expect(practitioner.toSorted()).toEqual([
      '/first',
      '/studio/house',
      '/studio/keeping',
      '/studio/people',
      '/studio/services',
      '/studio/tablets',
      '/studio/trail',
    ]);
    const trainee = pages.filter((a) => !opens('trainee', neededFor('GET', a)));
    expect(trainee.toSorted()).toEqual(
      [
        ...['/first', '/ledger', '/ledger/book', '/ledger/day', '/practice/exam/an-id/marks', '/practice/exam/board'],
        ...[
          '/prices',
          '/studio/house',
          '/studio/keeping',
          '/studio/people',
          '/studio/services',
          '/studio/tablets',
          '/studio/trail',
        ],
      ].toSorted(),
    );
  });
  it('lets nobody but the owner change how the house does it, read the trail, take the index out', () => {
    const owners = routes.flatMap((a) => methodsOf(a).map((m) => [m, a] as const));
    expect(owners.length).toBeGreaterThan(80);
    const only = owners.filter(([m, a]) => {
      const needs = neededFor(m, a);
      return needs !== null && needs in MAYS && ROLES.filter((r) => may(r, needs as May)).join() === 'owner';
    });
    expect(only.map(([m, a]) => `${m} ${a}`).toSorted()).toEqual(
      [
        ...['GET /api/clients/export', 'POST /api/clients/import', 'GET /api/clients/import/an-id'],
        ...['POST /api/clients/import/look', 'POST /api/first', 'PUT /api/hours', 'PUT /api/prices'],
        ...['PUT /api/products', 'PUT /api/products/choosing', 'POST /api/products/import', 'POST /api/rules'],
        ...['GET /api/clients/an-id/erase', 'POST /api/clients/an-id/erase'],
        ...['PUT /api/clients/an-id/merge', 'POST /api/clients/an-id/merge', 'POST /api/clients/an-id/part'],
        ...[
          'DELETE /api/clients/import/an-id',
          'POST /api/clients/import/vcard',
          'POST /api/clients/import/columns',
          'GET /api/clients/export/vcard',
        ],
        ...[
          'POST /api/clients/import/visits',
          'PUT /api/clients/import/visits/an-id',
          'POST /api/clients/import/visits/an-id',
        ],
        ...['PUT /api/uploads/an-id', 'DELETE /api/uploads/an-id'],
        ...['GET /api/studio/archive', 'POST /api/studio/archive'],
        ...['GET /api/studio/keeping', 'PUT /api/studio/keeping', 'POST /api/studio/keeping/due'],
        ...[
          'GET /api/studio/authority',
          'POST /api/studio/drill',
          'POST /api/studio/pairing',
          'POST /api/studio/tablets',
        ],
        ...['GET /api/studio', 'POST /api/studio', 'POST /api/studio/pin', 'POST /api/studio/sign-in'],
        ...['PUT /api/studio/texts', 'PUT /api/studio/ways', 'GET /api/studio/trail'],
        ...['GET /api/studio/trail/check', 'GET /api/studio/trail/csv'],
      ].toSorted(),
    );
  });
  it('has a word for whoever may not, and rests everybody’s tablet within a quarter of an hour', () => {
    expect(mayNotWords('sums')).toContain('Ask a practitioner');
    expect(mayNotWords('trail')).toContain('Ask the owner');
    expect(Math.max(...Object.values(REST_AFTER_MIN))).toBeLessThanOrEqual(15);
  });
});
