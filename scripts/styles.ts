// Writes generated/antd.css: the styles of the Ant Design parts in our theme, made once at build, by no page.
// Argument: the file.

import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { extractStyle } from '@ant-design/static-style-extract';
import { ConfigProvider } from 'antd';
import { createElement } from 'react';
import { theme } from '../src/ui/theme';
import { PARTS } from './parts';

const [to = 'generated/antd.css'] = process.argv.slice(2);
const css = extractStyle({
  customTheme: (node) => createElement(ConfigProvider, { theme: { ...theme, zeroRuntime: false } }, node),
  includes: [...PARTS],
});
/** Links of the pages are ours (src/app/globals.css). */
const BARE_LINK = /(?<=^|\})a(?:[:[][^{},]*)?(?:,a[^{},]*)*\{[^}]*\}/g;
if (!css.includes('.ant-btn')) throw new Error('no styles came out');
mkdirSync(dirname(to), { recursive: true });
writeFileSync(to, css.replace(BARE_LINK, ''));
