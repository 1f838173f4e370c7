// Hash of the core's sources, tests left out: plans made by other engines are made anew.

import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? filesBelow(join(folder, e.name)) : [join(folder, e.name)],
  );
}

/** @returns {string} sixteen hex digits */
export function enginesHash(folder = join(process.cwd(), 'src', 'core')) {
  const hash = createHash('sha256');
  const sources = filesBelow(folder).filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'));
  for (const file of sources.sort()) hash.update(file.slice(folder.length)).update(readFileSync(file));
  return hash.digest('hex').slice(0, 16);
}
