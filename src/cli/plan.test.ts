import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';

const run = (input: string, ...flags: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/plan.ts', '-', ...flags], {
    input,
    encoding: 'utf8',
    env: { ...process.env, NODE_ENV: 'production' },
  });
const good = {
  version: 1,
  on: '2027-05-14',
  client: { consent: true },
  zones: [{ zone: 'underarm', side: 'left', hair: { lengthMm: 7, coarseness: 4, density: 3 } }],
};

describe('the plan command', () => {
  it('prints a plan and nothing else, the field only with --field', () => {
    const out = run(JSON.stringify(good));
    expect(out.status).toBe(0);
    expect(out.stderr).toBe('');
    expect(JSON.parse(out.stdout)).toMatchObject({ version: 1, screening: { outcome: 'go' } });
    expect(out.stdout).not.toContain('"field"');
    expect(run(JSON.stringify(good), '--field').stdout).toContain('"field"');
  });
  it('refuses a broken case with the path of each fault, exit 2, nothing on standard output', () => {
    const bad = {
      ...good,
      extra: 1,
      zones: [{ zone: 'underarm', side: 'left', hair: { lengthMm: 'seven', coarseness: 9, density: 3 } }],
    };
    const out = run(JSON.stringify(bad));
    expect(out.status).toBe(2);
    expect(out.stdout).toBe('');
    const { error } = JSON.parse(out.stderr) as { error: { code: string; details: { path: string }[] } };
    expect(error.code).toBe('case.invalid');
    expect(error.details.map((d) => d.path).sort()).toEqual([
      'extra',
      'zones[0].hair.coarseness',
      'zones[0].hair.lengthMm',
    ]);
  });
  it('refuses what is no JSON, an unknown option and a fault of meaning', () => {
    for (const [text, flag, code] of [
      ['{', undefined, 'case.not-json'],
      [JSON.stringify(good), '--fast', 'cli.usage'],
      [JSON.stringify({ ...good, zones: [{ ...good.zones[0], side: 'middle' }] }), undefined, 'case.invalid'],
    ] as const) {
      const out = run(text, ...(flag ? [flag] : []));
      expect(out.status).toBe(2);
      expect(out.stdout).toBe('');
      expect((JSON.parse(out.stderr) as { error: { code: string } }).error.code).toBe(code);
    }
  });
});
