// The colours in one place: cloth, wax, walnut, verdigris. CSS knows them under the same names (`--wax-dark`), from
// generated/colours.css; the parts take them through the theme.

export const COLOURS = {
  muslin: '#F7F2E8',
  sheet: '#FFFDF8',
  walnut: '#2A211A',
  secondInk: '#6B5D50',
  wax: '#B86A12',
  waxDark: '#94530B',
  waxTint: '#F3DFC1',
  verdigris: '#256B63',
  verdigrisTint: '#DCEBE6',
  madder: '#9E2F2A',
  madderTint: '#F6E1DE',
  ochre: '#C9952F',
  ochreTint: '#F6EAD0',
  hairline: '#DDD2BF',
  hairlineStrong: '#A8998A',
} as const;

/** The custom properties of CSS, one a colour. */
export const coloursCss = (): string => {
  const lines = Object.entries(COLOURS).map(([name, hex]) => {
    const property = name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`);
    return `  --${property}: ${hex.toLowerCase()};`;
  });
  return `:root {\n${lines.join('\n')}\n}\n`;
};
