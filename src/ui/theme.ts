// The look in one place: cloth, wax, walnut, verdigris. CSS variables of the same names are in globals.css.

import type { ThemeConfig } from 'antd';

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
  hairline: '#DDD2BF',
  hairlineStrong: '#A8998A',
} as const;

const font = 'var(--font-text), "Atkinson Hyperlegible Next", system-ui, sans-serif';

export const theme: ThemeConfig = {
  // one theme, one style sheet (scripts/styles.ts): no page makes styles for itself
  hashed: false,
  cssVar: { key: 'strickle' },
  zeroRuntime: true,
  token: {
    colorPrimary: COLOURS.waxDark,
    colorLink: COLOURS.waxDark,
    colorInfo: COLOURS.waxDark,
    colorSuccess: COLOURS.verdigris,
    colorError: COLOURS.madder,
    colorWarning: COLOURS.ochre,
    colorText: COLOURS.walnut,
    colorTextSecondary: COLOURS.secondInk,
    colorTextPlaceholder: '#7d6f61',
    colorBgBase: COLOURS.sheet,
    colorBgLayout: COLOURS.muslin,
    colorBorder: COLOURS.hairlineStrong,
    colorBorderSecondary: COLOURS.hairline,
    borderRadius: 6,
    fontFamily: font,
    fontSize: 16,
    controlHeight: 44,
    controlHeightSM: 36,
    wireframe: false,
    boxShadow: 'none',
    boxShadowSecondary: '0 0 0 1px #DDD2BF',
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
  },
  components: {
    // the usual lighter hover would fall under AA on white letters
    Button: {
      colorPrimaryHover: '#7a4409',
      colorPrimaryActive: '#633706',
      fontWeight: 600,
      primaryShadow: 'none',
      defaultShadow: 'none',
      dangerShadow: 'none',
    },
    Slider: { railSize: 4, handleSize: 24, handleSizeHover: 26, trackBg: COLOURS.wax, trackHoverBg: COLOURS.waxDark },
  },
};
