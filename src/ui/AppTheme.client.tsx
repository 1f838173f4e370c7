'use client';

import { ConfigProvider } from 'antd';
import type { ReactNode } from 'react';
import { theme } from './theme';

export function AppTheme({ children }: { readonly children: ReactNode }) {
  return (
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      {children}
    </ConfigProvider>
  );
}
