import { theme, type ThemeConfig } from 'antd';
import { daylight, evening, type Palette } from './palette';

/** The components in the colours of the kitchen. */
function themeOf(palette: Palette, algorithm: typeof theme.defaultAlgorithm): ThemeConfig {
  return {
    // The components would make a shade of their own of the one colour that they are given.
    algorithm: (seed) => ({ ...algorithm(seed), colorPrimary: palette.beet, colorLink: palette.beet }),
    token: {
      fontFamily: "'Public Sans Variable', system-ui, sans-serif",
      fontSize: 15,
      controlHeight: 44,
      controlHeightSM: 44,
      borderRadius: 4,
      wireframe: false,
      colorPrimary: palette.beet,
      colorInfo: palette.beet,
      colorSuccess: palette.leaf,
      colorWarning: palette.turmeric,
      colorError: palette.chilli,
      colorTextBase: palette.ink,
      colorTextLightSolid: palette.inkOnBeet,
      colorTextPlaceholder: palette.inkSoft,
      colorTextDescription: palette.inkSoft,
      colorBgBase: palette.panel,
      colorBgLayout: palette.paper,
      colorBgContainer: palette.field,
      colorBgElevated: palette.raised,
      colorBorder: palette.lineStrong,
      colorBorderSecondary: palette.line,
      controlItemBgActive: palette.track,
      controlItemBgActiveHover: palette.track,
    },
    components: {
      Segmented: { trackBg: palette.track, itemSelectedBg: palette.chosen, itemColor: palette.inkOnTrack },
      Dropdown: { colorPrimary: palette.ink },
    },
  };
}

export const daylightTheme = themeOf(daylight, theme.defaultAlgorithm);
export const eveningTheme = themeOf(evening, theme.darkAlgorithm);
