// The colours in one place: cloth, wax, walnut, verdigris. CSS knows them under the same names (`--wax-dark`), from
// generated/colours.css; the parts take them through the theme.

export const COLOURS = {
  muslin: '#F7F2E8',
  sheet: '#FFFDF8',
  walnut: '#2A211A',
  secondInk: '#6B5D50',
  wax: '#B86A12',
  waxDark: '#94530B',
  /** Under the pointer. */
  waxHover: '#7A4409',
  waxTint: '#F3DFC1',
  verdigris: '#256B63',
  verdigrisTint: '#DCEBE6',
  madder: '#9E2F2A',
  madderTint: '#F6E1DE',
  ochre: '#C9952F',
  ochreTint: '#F6EAD0',
  /** The zone under the hair, and the body round it in one hairline. */
  skin: '#FBF4E6',
  ghost: '#C0B09A',
  /** Wax just laid and set: thin foot, thick end, tab. */
  freshFoot: '#F4CB85',
  freshEnd: '#B7640C',
  freshTab: '#8A4A06',
  setFoot: '#D8BC93',
  setEnd: '#93693B',
  setTab: '#6F4C23',
  /** The fields of the signal at the table, and what stands on them. */
  fieldPull: '#256B63',
  fieldNow: '#9E2F2A',
  onField: '#FFFDF8',
  /** A number's disc, and its ink; white in the evening too. */
  disc: '#FFFDF8',
  discInk: '#2A211A',
  hairline: '#DDD2BF',
  hairlineStrong: '#A8998A',
} as const;

/** The same names in the evening room: wax is the light. */
export const EVENING: Readonly<Record<keyof typeof COLOURS, string>> = {
  muslin: '#1E1712',
  sheet: '#211913',
  walnut: '#F1E4CF',
  secondInk: '#BBA88F',
  wax: '#F08F1E',
  waxDark: '#F0B45E',
  waxHover: '#F7CD8C',
  waxTint: '#4A3418',
  verdigris: '#7CC4B8',
  verdigrisTint: '#143F3A',
  madder: '#F19A92',
  madderTint: '#4A201D',
  ochre: '#D9A94A',
  ochreTint: '#3E3115',
  skin: '#2C221B',
  ghost: '#6B5A49',
  freshFoot: '#FFD890',
  freshEnd: '#F08F1E',
  freshTab: '#B4600A',
  setFoot: '#D3A868',
  setEnd: '#B07A38',
  setTab: '#85561F',
  fieldPull: '#0F4A44',
  fieldNow: '#9E2F2A',
  onField: '#FFFDF8',
  disc: '#FFFDF8',
  discInk: '#2A211A',
  hairline: '#4A3D31',
  hairlineStrong: '#857460',
};

/** The custom properties of CSS, one a colour; the evening's where the root asks for it. */
export const coloursCss = (): string => {
  const lines = (colours: Readonly<Record<string, string>>): string =>
    Object.entries(colours)
      .map(([name, hex]) => `  --${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}: ${hex.toLowerCase()};`)
      .join('\n');
  const evening = ":root[data-theme='evening']";
  // paper is always in the day's colours
  const rule = (root: string, colours: Readonly<Record<string, string>>): string => `${root} {\n${lines(colours)}\n}\n`;
  return `${rule(':root', COLOURS)}${rule(evening, EVENING)}@media print {\n${rule(evening, COLOURS)}}\n`;
};
