import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { PARTS } from './parts';

const pages = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.tsx'))
    .map((f) => readFileSync(join(folder, f), 'utf8'));

describe('the parts whose styles go out', () => {
  it('are all that the pages use', () => {
    const used = pages('src').flatMap((text) =>
      [...text.matchAll(/import \{([^}]*)\} from 'antd'/g)].flatMap((m) =>
        (m[1] ?? '')
          .split(',')
          .map((n) => n.trim())
          .filter((n) => n !== '' && !n.startsWith('type ')),
      ),
    );
    expect(used.length).toBeGreaterThan(20);
    const known: readonly string[] = [...PARTS, 'ConfigProvider'];
    expect(used.filter((n) => !known.includes(n))).toEqual([]);
  });
});
