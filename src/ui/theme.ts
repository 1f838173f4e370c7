// The look of the parts.

import type { ThemeConfig } from 'antd';
import { COLOURS } from './colours';

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
    colorTextPlaceholder: COLOURS.secondInk,
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
    // chosen = wax tint, never by the colour of the letters alone
    Radio: { buttonCheckedBg: COLOURS.waxTint, buttonPaddingInline: 12 },
    Segmented: { itemSelectedBg: COLOURS.waxTint, trackBg: COLOURS.muslin },
    Slider: { railSize: 4, handleSize: 24, handleSizeHover: 26, trackBg: COLOURS.wax, trackHoverBg: COLOURS.waxDark },
  },
};
