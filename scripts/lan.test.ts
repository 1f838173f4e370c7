import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readdirSync, statSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { turnedAway } from './doors.mjs';
import { certificate, lanNames } from './lan.mjs';

const OWN = { names: ['saltmarsh.local'], ips: ['192.0.2.7'] };
const NOW = Date.UTC(2027, 4, 8);
const DAY_MS = 86_400_000;
const folder = (): string => mkdtempSync(join(tmpdir(), 'strickle-tls-'));
const leaf = (pem: string): X509Certificate => new X509Certificate(pem);

describe('the certificate', () => {
  it('is signed by the studio’s own authority, for its names and addresses, and readable by its owner alone', async () => {
    const at = folder();
    const made = await certificate(at, OWN, NOW);
    const authority = new X509Certificate(made.authority);
    expect(leaf(made.cert).checkIssued(authority)).toBe(true);
    expect(leaf(made.cert).verify(authority.publicKey)).toBe(true);
    expect([authority.ca, leaf(made.cert).ca]).toEqual([true, false]);
    expect(leaf(made.cert).checkHost('saltmarsh.local')).toBe('saltmarsh.local');
    expect(leaf(made.cert).checkIP('192.0.2.7')).toBe('192.0.2.7');
    expect(leaf(made.cert).checkHost('elsewhere.local')).toBeUndefined();
    const modes = readdirSync(at).map((f) => statSync(join(at, f)).mode & 0o777);
    expect(modes).toEqual([0o600, 0o600, 0o600, 0o600]);
  });
  it('is kept while it is good, renewed before it ends or when the address changes; the authority stays', async () => {
    const at = folder();
    const first = await certificate(at, OWN, NOW);
    expect(await certificate(at, OWN, NOW + 160 * DAY_MS)).toEqual({ ...first, isNew: false });
    const renewed = await certificate(at, OWN, NOW + 175 * DAY_MS);
    expect([renewed.isNew, renewed.authority]).toEqual([true, first.authority]);
    const moved = await certificate(at, { ...OWN, ips: ['192.0.2.9'] }, NOW + 175 * DAY_MS);
    expect([moved.isNew, moved.authority]).toEqual([true, first.authority]);
    expect(leaf(moved.cert).checkIP('192.0.2.9')).toBe('192.0.2.9');
  });
  it('stands up to a client that trusts the authority, and to no other', async () => {
    const made = await certificate(folder(), { names: ['localhost'], ips: ['127.0.0.1'] });
    const server = createServer({ key: made.key, cert: made.cert }, (_, response) => response.end('here'));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as AddressInfo; // it listens on a port
    const ask = (ca?: string): Promise<string> =>
      new Promise((resolve) => {
        request({ host: '127.0.0.1', port, ...(ca === undefined ? {} : { ca }) }, (r) => {
          r.on('data', (text) => resolve(String(text)));
        })
          .on('error', (error: NodeJS.ErrnoException) => resolve(error.code ?? 'error'))
          .end();
      });
    expect(await ask(made.authority)).toBe('here');
    expect(await ask()).toMatch(/^(SELF_SIGNED|UNABLE_TO)/);
    server.close();
  });
});

describe('the door to the network', () => {
  const hosts = ['192.0.2.7:4101', 'saltmarsh.local:4101'];
  const asked = (headers: Record<string, string>, method = 'GET') =>
    turnedAway({ method, url: '/api/visits', headers }, 4100, hosts)?.status ?? 200;
  it('answers under its own addresses only, and only its own pages write', () => {
    expect(asked({ host: '192.0.2.7:4101' })).toBe(200);
    expect(asked({ host: 'Saltmarsh.local:4101' })).toBe(200);
    expect(asked({ host: '127.0.0.1:4100' })).toBe(421);
    expect(asked({ host: 'localhost:4100' })).toBe(421);
    expect(asked({ host: 'evil.example:4101' })).toBe(421);
    expect(asked({ host: hosts[0] ?? '', origin: 'https://192.0.2.7:4101' }, 'POST')).toBe(200);
    expect(asked({ host: hosts[0] ?? '', origin: 'https://saltmarsh.local:4101' }, 'POST')).toBe(403);
    expect(asked({ host: hosts[0] ?? '', origin: 'https://evil.example:4101' }, 'POST')).toBe(403);
  });
  it('names no address that is only this machine’s', () => {
    expect(lanNames().ips.filter((ip) => ip.startsWith('127.'))).toEqual([]);
  });
});
