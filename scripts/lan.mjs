// What tablets in the network need: under which addresses this machine is reached, and a certificate of its own for
// them. The studio's own authority signs it, so that a tablet which trusts that once is not asked again when the
// certificate is renewed. Plain Node, as the rest of the outermost door.

import { X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';

const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
/** Browsers take none that is longer good than 398 days. */
const CERTIFICATE_DAYS = 200;
/** Renewed when it is good for no longer than this. */
const LEFT_DAYS = 30;

/**
 * Names and addresses of this machine in its network.
 * @returns {{ names: string[], ips: string[] }}
 */
export function lanNames() {
  const name = hostname()
    .toLowerCase()
    .replace(/\.local$/, '');
  const ips = Object.values(networkInterfaces())
    .flatMap((of) => of ?? [])
    .filter((a) => a.family === 'IPv4' && !a.internal)
    .map((a) => a.address);
  const isName = /^[a-z0-9-]{1,63}$/.test(name);
  return { names: isName ? [`${name}.local`, name] : [], ips: [...new Set(ips)] };
}

const isGood = (cert, nowMs) => cert !== null && Date.parse(cert.validTo) - nowMs > LEFT_DAYS * DAY_MS;

function readCertificate(file) {
  try {
    return existsSync(file) ? new X509Certificate(readFileSync(file)) : null;
  } catch {
    return null;
  }
}

/** Written beside and moved into place: a machine that dies in between leaves no half of a key. */
function keep(file, text) {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  chmodSync(`${file}.new`, 0o600);
  renameSync(`${file}.new`, file);
}

const covers = (cert, { names, ips }) =>
  [...names.map((n) => `DNS:${n}`), ...ips.map((ip) => `IP Address:${ip}`)].every((n) =>
    (cert.subjectAltName ?? '').split(', ').includes(n),
  );

/**
 * The certificate for these names, made or renewed where it has to be; keys are readable by their owner only.
 * @param {string} folder where it is kept
 * @param {{ names: string[], ips: string[] }} own
 * @returns {Promise<{ key: string, cert: string, authority: string, isNew: boolean }>} PEM
 */
export async function certificate(folder, own, nowMs = Date.now()) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = (name) => join(folder, name);
  const text = (name) => readFileSync(file(name), 'utf8');
  const authority = readCertificate(file('authority.crt'));
  const cert = readCertificate(file('server.crt'));
  const isKept =
    isGood(authority, nowMs) && isGood(cert, nowMs) && covers(cert, own) && cert.verify(authority.publicKey);
  if (!isKept) {
    const { generate } = await import('selfsigned');
    const from = { keyType: 'ec', curve: 'P-256', algorithm: 'sha256', notBeforeDate: new Date(nowMs - DAY_MS) };
    if (!isGood(authority, nowMs)) {
      const made = await generate([{ name: 'commonName', value: 'Strickle, this studio’s own machine' }], {
        ...from,
        notAfterDate: new Date(nowMs + AUTHORITY_DAYS * DAY_MS),
        extensions: [
          { name: 'basicConstraints', cA: true, critical: true, pathLenConstraint: 0 },
          { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
        ],
      });
      keep(file('authority.key'), made.private);
      keep(file('authority.crt'), made.cert);
    }
    const made = await generate([{ name: 'commonName', value: own.names[0] ?? own.ips[0] ?? 'strickle' }], {
      ...from,
      notAfterDate: new Date(nowMs + CERTIFICATE_DAYS * DAY_MS),
      ca: { key: text('authority.key'), cert: text('authority.crt') },
      extensions: [
        { name: 'basicConstraints', cA: false, critical: true },
        { name: 'keyUsage', digitalSignature: true, critical: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: [...own.names.map((value) => ({ type: 2, value })), ...own.ips.map((ip) => ({ type: 7, ip }))],
        },
      ],
    });
    keep(file('server.key'), made.private);
    keep(file('server.crt'), made.cert);
  }
  return {
    key: text('server.key'),
    cert: `${text('server.crt').trim()}\n${text('authority.crt').trim()}\n`,
    authority: text('authority.crt'),
    isNew: !isKept,
  };
}
