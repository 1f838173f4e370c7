import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { markOf } from './marks';

const here = (...names: string[]) => names.map((name, i) => ({ id: String(i), name }));
const marks = (...names: string[]) => here(...names).map((p) => markOf(here(...names), p.id));

describe('marks of people', () => {
  it('are initials while those differ, and more letters where they do not', () => {
    expect(marks('Ines', 'Bao', 'Rook')).toEqual(['I', 'B', 'R']);
    expect(marks('Ines', 'Ivo', 'Bao')).toEqual(['In', 'Iv', 'B']);
    expect(marks('Mara', 'Marit', 'Émile')).toEqual(['M1', 'M2', 'É']);
    expect(marks('Marit', 'Mo', 'Mo', 'Mara')).toEqual(['M1', 'M2', 'M3', 'M4']);
    expect(markOf(here('Ines'), 'nobody')).toBe('?');
  });
  it('are never the same for two', () => {
    const name = fc.string({ minLength: 1, maxLength: 6, unit: fc.constantFrom('a', 'b', 'C', 'c', 'é') });
    fc.assert(
      fc.property(fc.array(name, { minLength: 2, maxLength: 8 }), (names) => {
        const all = marks(...names);
        expect(new Set(all.map((m) => m.toLowerCase())).size).toBe(names.length);
      }),
    );
  });
});
