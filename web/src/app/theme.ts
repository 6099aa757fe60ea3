import { theme, type ThemeConfig } from 'antd';

const shared = {
  fontFamily: "'Public Sans Variable', system-ui, sans-serif",
  fontSize: 15,
  controlHeight: 44,
  controlHeightSM: 44,
  borderRadius: 4,
  wireframe: false,
};

/** Stoneware and beetroot, in daylight. */
export const daylight: ThemeConfig = {
  algorithm: theme.defaultAlgorithm,
  token: {
    ...shared,
    colorPrimary: '#7a2340',
    colorInfo: '#7a2340',
    colorLink: '#7a2340',
    colorSuccess: '#4d6a2c',
    colorWarning: '#96600b',
    colorError: '#a0301a',
    colorTextBase: '#2a2320',
    colorBgBase: '#fbf8f1',
    colorBgLayout: '#f3ede2',
    colorBgContainer: '#fffdf8',
    colorBgElevated: '#fffdf8',
    colorBorder: '#a8998a',
    colorBorderSecondary: '#d8ccba',
    colorTextPlaceholder: '#75685d',
    colorTextDescription: '#65584f',
  },
  components: { Segmented: { trackBg: '#e4d9c8', itemSelectedBg: '#fffdf8', itemColor: '#54483f' } },
};

/** The same kitchen in the evening. */
export const evening: ThemeConfig = {
  algorithm: theme.darkAlgorithm,
  token: {
    ...shared,
    colorPrimary: '#c2587c',
    colorInfo: '#c2587c',
    colorLink: '#e79ab5',
    colorSuccess: '#9dbb6c',
    colorWarning: '#dca545',
    colorError: '#e27a60',
    colorTextBase: '#f0e8db',
    colorTextPlaceholder: '#b3a594',
    colorBgBase: '#231f1c',
    colorBgLayout: '#1a1715',
    colorBgContainer: '#2b2622',
    colorBgElevated: '#322c28',
    colorBorder: '#6d6157',
    colorBorderSecondary: '#453c35',
  },
  components: { Segmented: { trackBg: '#39322c', itemSelectedBg: '#5a4f46', itemColor: '#d6cabb' } },
};
