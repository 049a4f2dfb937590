import { type ThemeConfig } from 'antd';
import { DARK, LIGHT } from './tokens';

/** Paper and ink for the component library: square, flat, condensed. */
export function antdTheme(dark: boolean): ThemeConfig {
  const colours = dark ? DARK : LIGHT;
  return {
    token: {
      colorPrimary: colours.new,
      colorText: colours.ink,
      colorTextSecondary: colours.graphite,
      colorTextQuaternary: colours.graphite,
      colorTextPlaceholder: colours.graphite,
      colorBgContainer: colours.sheet,
      colorBgElevated: colours.sheet,
      colorBgBase: colours.paper,
      colorBorder: colours.graphite,
      borderRadius: 0,
      fontFamily: "'Barlow Condensed', 'Arial Narrow', sans-serif",
      fontSize: 17,
      controlHeight: 44,
      motion: false,
      boxShadowSecondary: 'none',
      optionSelectedBg: colours.newWash,
    } as ThemeConfig['token'] & object,
    components: { Select: { optionSelectedBg: colours.newWash } },
  };
}
