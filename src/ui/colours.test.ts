import { describe, expect, it } from 'vitest';
import { COLOURS, coloursCss, EVENING } from './colours';

/** Contrast ratio of two colours (WCAG 2.2, "contrast ratio" and "relative luminance"). */
function contrast(a: string, b: string): number {
  const luminance = (hex: string): number => {
    const [r = 0, g = 0, bl = 0] = [1, 3, 5].map((at) => {
      const v = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
      return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r + 0.7152 * g + 0.0722 * bl;
  };
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

type Name = keyof typeof COLOURS;
const TINTS: readonly Name[] = ['waxTint', 'verdigrisTint', 'madderTint', 'ochreTint'];
const GROUNDS: readonly Name[] = ['muslin', 'sheet'];
/** Letters on grounds: what is read. */
const READ: readonly (readonly [Name, Name])[] = [
  ...[...GROUNDS, ...TINTS].map((ground) => ['walnut', ground] as const),
  ...(['secondInk', 'waxDark', 'verdigris', 'madder'] as const).flatMap((ink) =>
    GROUNDS.map((ground) => [ink, ground] as const),
  ),
  // the signal at the table
  ['onField', 'fieldPull'],
  ['onField', 'fieldNow'],
  ['fieldPull', 'onField'],
  ['fieldNow', 'onField'],
  ['discInk', 'disc'],
  ['walnut', 'skin'],
  // the letters of a full key
  ...(['waxDark', 'verdigris', 'madder'] as const).map((key) => ['sheet', key] as const),
];

describe('the colours of both themes', () => {
  it('are told apart by the published figures for black and white', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
    // the often-quoted lightest grey that passes on white
    expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
  });
  it.each([
    ['day', COLOURS],
    ['evening', EVENING],
  ] as const)('%s: every letter is at 4.5 to 1 on its ground, every edge of a key at 3 to 1 (WCAG 2.2 AA)', (_, of) => {
    const faint = READ.map(([ink, ground]) => ({ ink, ground, by: contrast(of[ink], of[ground]) }));
    expect(faint.length).toBe(23);
    expect(faint.filter((f) => f.by < 4.5)).toEqual([]);
    expect(contrast(of.waxDark, of.waxTint)).toBeGreaterThan(3);
  });
  it('stand under the same names in CSS', () => {
    const [day = '', evening = ''] = coloursCss().split(":root[data-theme='evening']");
    expect(day).toContain('--wax-dark: #94530b;');
    expect(evening).toContain('--wax-dark: #f0b45e;');
    expect(evening.match(/--/g)?.length).toBe(day.match(/--/g)?.length);
  });
});
