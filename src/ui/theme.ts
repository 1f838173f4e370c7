// The look of the parts.

import type { ThemeConfig } from 'antd';
import { COLOURS } from './colours';

const font = 'var(--font-text), "Atkinson Hyperlegible Next", system-ui, sans-serif';

type Colours = Readonly<Record<keyof typeof COLOURS, string>>;

/** @param colours those of the day or of the evening */
export const themeOf = (colours: Colours): ThemeConfig => ({
  // one theme, one style sheet (scripts/styles.ts): no page makes styles for itself
  hashed: false,
  cssVar: { key: 'strickle' },
  zeroRuntime: true,
  token: {
    colorPrimary: colours.waxDark,
    colorLink: colours.waxDark,
    colorInfo: colours.waxDark,
    colorSuccess: colours.verdigris,
    colorError: colours.madder,
    colorWarning: colours.ochre,
    colorText: colours.walnut,
    colorTextSecondary: colours.secondInk,
    colorTextPlaceholder: colours.secondInk,
    colorBgBase: colours.sheet,
    colorBgContainer: colours.sheet,
    colorBgElevated: colours.sheet,
    colorBgLayout: colours.muslin,
    colorBorder: colours.hairlineStrong,
    colorBorderSecondary: colours.hairline,
    borderRadius: 6,
    fontFamily: font,
    fontSize: 16,
    controlHeight: 44,
    controlHeightSM: 36,
    wireframe: false,
    boxShadow: 'none',
    boxShadowSecondary: `0 0 0 1px ${colours.hairline}`,
    colorTextLightSolid: colours.sheet,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
  },
  components: {
    // the usual lighter hover would fall under AA on white letters
    Button: {
      colorPrimaryHover: colours.waxHover,
      colorPrimaryActive: colours.waxHover,
      fontWeight: 600,
      primaryShadow: 'none',
      defaultShadow: 'none',
      dangerShadow: 'none',
    },
    // chosen = wax tint, never by the colour of the letters alone
    Radio: { buttonCheckedBg: colours.waxTint, buttonPaddingInline: 12 },
    Segmented: { itemSelectedBg: colours.waxTint, trackBg: colours.muslin },
    Slider: { railSize: 4, handleSize: 24, handleSizeHover: 26, trackBg: colours.wax, trackHoverBg: colours.waxDark },
  },
});

export const theme = themeOf(COLOURS);
