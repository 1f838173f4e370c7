import { describe, expect, it } from 'vitest';
import { turnedAway, type AskedAtTheDoor } from './doors.mjs';

const HOST = '127.0.0.1:4100';
const asked = (url: string, headers: AskedAtTheDoor['headers'] = {}, method = 'GET') =>
  turnedAway({ method, url, headers: { host: HOST, ...headers } }, 4100);
const status = (...[url, headers, method]: Parameters<typeof asked>): number =>
  asked(url, headers, method)?.status ?? 200;

describe('turnedAway', () => {
  it('lets its own pages in', () => {
    const own = { origin: `http://${HOST}`, 'sec-fetch-site': 'same-origin' };
    expect(status('/clients?a=%C3%A4')).toBe(200);
    expect(status('/api/clients', { 'sec-fetch-site': 'same-origin' })).toBe(200);
    expect(status('/api/visits', own, 'POST')).toBe(200);
    expect(status('/api/visits', {}, 'POST')).toBe(200);
  });
  it('answers at one address only: another name gets nothing, its own other names lead to it', () => {
    expect(status('/api/clients/export', { host: 'evil.example:4100' })).toBe(421);
    expect(status('/api/x', { host: 'evil.example:4100', origin: 'http://evil.example:4100' }, 'POST')).toBe(421);
    expect(status('/', { host: '' })).toBe(421);
    expect(status('/', { host: '127.0.0.1' })).toBe(421);
    expect(asked('/clients?x=1', { host: 'localhost:4100' })).toMatchObject({
      status: 308,
      location: 'http://127.0.0.1:4100/clients?x=1',
    });
    expect(status('/', { host: '[::1]:4100' })).toBe(308);
    expect(status('/api/clients', { host: 'localhost:4100' })).toBe(421);
    expect(status('/api/clients', { host: 'localhost:4100' }, 'POST')).toBe(421);
  });
  it.each([
    [{ origin: 'http://elsewhere.example' }],
    [{ origin: 'null' }],
    [{ origin: '' }],
    [{ origin: 'garbage' }],
    [{ origin: 'http://localhost:4100' }],
    [{ 'sec-fetch-site': 'cross-site' }],
    [{ 'sec-fetch-site': 'same-site' }],
    [{ 'sec-fetch-site': 'none' }],
  ])('takes no write of another page: %j', (headers) => {
    expect(status('/api/visits', headers, 'POST')).toBe(403);
    expect(status('/api/visits/x/consult', headers, 'PUT')).toBe(403);
  });
  it('lets a link from elsewhere lead to a page, but nobody else read the data', () => {
    expect(status('/clients', { 'sec-fetch-site': 'cross-site' })).toBe(200);
    expect(status('/api/clients/export', { 'sec-fetch-site': 'cross-site' })).toBe(403);
    expect(status('/api/clients/export', { 'sec-fetch-site': 'same-site' })).toBe(403);
  });
  it('refuses in words what cannot be read or asked', () => {
    expect(status('/clients/%E0%A4%A')).toBe(400);
    expect(status('/clients?x=%')).toBe(400);
    expect(status('http://evil.example/')).toBe(400);
    expect(status('/', {}, 'TRACE')).toBe(405);
    expect(status('/', {}, 'CONNECT')).toBe(405);
    expect(status('/api/visits', { 'content-length': '3000000' }, 'POST')).toBe(413);
  });
});
