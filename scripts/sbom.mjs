// The parts that run in a studio, as a CycloneDX list made from the lock file alone: `node scripts/sbom.mjs` writes
// docs/sbom.json. No clock and no chance in it, so that it changes only when a part does.

import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** @param {string} lock text of package-lock.json */
export function partsOf(lock) {
  const { name, version, packages } = JSON.parse(lock);
  const components = Object.entries(packages)
    .filter(([path, p]) => path !== '' && !p.dev && !p.devOptional && !p.link)
    .map(([path, p]) => {
      const own = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
      const hash = /^sha512-(.+)$/.exec(p.integrity ?? '');
      return {
        type: 'library',
        name: own,
        version: p.version,
        purl: `pkg:npm/${own.replace('@', '%40')}@${p.version}`,
        ...(p.license ? { licenses: [{ license: { name: String(p.license) } }] } : {}),
        ...(hash ? { hashes: [{ alg: 'SHA-512', content: Buffer.from(hash[1], 'base64').toString('hex') }] } : {}),
      };
    })
    .toSorted((a, b) => (a.purl < b.purl ? -1 : 1))
    .filter((c, i, all) => all[i - 1]?.purl !== c.purl);
  return {
    bomFormat: 'CycloneDX',
    specVersion: '1.5',
    version: 1,
    metadata: { component: { type: 'application', name, version } },
    components,
  };
}

const here = fileURLToPath(import.meta.url);
if (process.argv[1] === here) {
  writeFileSync('docs/sbom.json', `${JSON.stringify(partsOf(readFileSync('package-lock.json', 'utf8')), null, 1)}\n`);
}
