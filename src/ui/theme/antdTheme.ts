import { type ThemeConfig } from 'antd';

/** Paper and ink for the component library: square, flat, condensed; the same colours as tokens.css. */
export function antdTheme(dark: boolean): ThemeConfig {
  const ink = dark ? '#ece7d8' : '#1d282c';
  return {
    token: {
      colorPrimary: dark ? '#6fcab5' : '#176b5f',
      colorText: ink,
      colorTextSecondary: dark ? '#a9aca4' : '#5f625f',
      colorTextQuaternary: dark ? '#a9aca4' : '#5f625f',
      colorTextPlaceholder: dark ? '#a9aca4' : '#5f625f',
      colorBgContainer: dark ? '#1b2225' : '#fbf9f2',
      colorBgElevated: dark ? '#232b2e' : '#fbf9f2',
      colorBgBase: dark ? '#14191b' : '#f3efe4',
      colorBorder: dark ? '#a9aca4' : '#5f625f',
      borderRadius: 0,
      fontFamily: "'Barlow Condensed', 'Arial Narrow', sans-serif",
      fontSize: 17,
      controlHeight: 44,
      motion: false,
      boxShadowSecondary: 'none',
      optionSelectedBg: dark ? '#1f3a35' : '#dcebe5',
    } as ThemeConfig['token'] & object,
    components: { Select: { optionSelectedBg: dark ? '#1f3a35' : '#dcebe5' } },
  };
}
