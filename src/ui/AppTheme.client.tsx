'use client';

import { ConfigProvider, type ThemeConfig } from 'antd';
import { useSyncExternalStore, type ReactNode } from 'react';
import { theme } from './theme';

const withMotion = (motion: boolean): ThemeConfig => ({ ...theme, token: { ...theme.token, motion } });
// each says it: what is left out is inherited
const [STILL, MOVING] = [withMotion(false), withMotion(true)];
const REDUCED = '(prefers-reduced-motion: reduce)';

function listen(changed: () => void): () => void {
  const asked = window.matchMedia(REDUCED);
  asked.addEventListener('change', changed);
  return () => asked.removeEventListener('change', changed);
}

/**
 * Without motion the parts must know: a list that waits for the end of a motion that never began stays unseen. Two
 * providers, so that the page is not made anew when the wish is heard.
 */
export function AppTheme({ children }: { readonly children: ReactNode }) {
  const reduced = useSyncExternalStore(
    listen,
    () => window.matchMedia(REDUCED).matches,
    () => false,
  );
  return (
    <ConfigProvider theme={STILL} wave={{ disabled: true }}>
      <ConfigProvider theme={reduced ? STILL : MOVING}>{children}</ConfigProvider>
    </ConfigProvider>
  );
}
