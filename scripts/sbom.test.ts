import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { partsOf } from './sbom.mjs';

const read = (file: string): string => readFileSync(file, 'utf8');

describe('the list of parts', () => {
  it('is true to the lock file, and every package that the program names is in it with the version that is installed', () => {
    const kept = JSON.parse(read('docs/sbom.json')) as ReturnType<typeof partsOf>;
    expect(kept).toEqual(partsOf(read('package-lock.json')));
    const { dependencies } = JSON.parse(read('package.json')) as { dependencies: Record<string, string> };
    const named = Object.entries(dependencies);
    expect(named.length).toBeGreaterThan(20);
    const has = new Set(kept.components.map((c) => `${c.name}@${c.version}`));
    expect(named.filter(([name, version]) => !has.has(`${name}@${version}`))).toEqual([]);
    const here = (name: string) =>
      (JSON.parse(read(`node_modules/${name}/package.json`)) as { version: string }).version;
    expect(named.filter(([name, version]) => here(name) !== version)).toEqual([]);
  });
});
