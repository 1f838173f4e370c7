// Writes generated/antd.css, the styles of the Ant Design parts in our theme, made once at build and by no page, with
// what is other in the evening, and generated/colours.css, the colours as CSS knows them.

import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { extractStyle } from '@ant-design/static-style-extract';
import { ConfigProvider, theme as algorithms, type ThemeConfig } from 'antd';
import { createElement } from 'react';
import { coloursCss, EVENING } from '../src/ui/colours';
import { theme, themeOf } from '../src/ui/theme';
import { eveningRules } from './eveningRules';
import { PARTS } from './parts';

const folder = 'generated';
const stylesOf = (of: ThemeConfig): string =>
  extractStyle({
    customTheme: (node) => createElement(ConfigProvider, { theme: { ...of, zeroRuntime: false } }, node),
    includes: [...PARTS],
  });
const css = stylesOf(theme);
/** Links of the pages are ours (src/app/globals.css). */
const BARE_LINK = /(?<=^|\})a(?:[:[][^{},]*)?(?:,a[^{},]*)*\{[^}]*\}/g;
if (!css.includes('.ant-btn')) throw new Error('no styles came out');
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, 'colours.css'), coloursCss());
writeFileSync(
  join(folder, 'antd.css'),
  css.replace(BARE_LINK, '') +
    eveningRules(css, stylesOf({ ...themeOf(EVENING), algorithm: algorithms.darkAlgorithm })),
);
