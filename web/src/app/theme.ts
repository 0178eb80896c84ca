import type { ThemeConfig } from 'antd';

/** The tokens of the look; base.css holds the same values for everything that is not Ant Design's. */
export const theme: ThemeConfig = {
  token: {
    colorPrimary: '#1d6a70',
    colorInfo: '#1d6a70',
    colorError: '#a5391d',
    colorWarning: '#8a6410',
    colorSuccess: '#2f6b4a',
    colorText: '#17262b',
    colorTextSecondary: '#4c5d60',
    colorTextPlaceholder: '#5f6f72',
    colorBorder: '#b9c6c3',
    colorBorderSecondary: '#d6dedb',
    colorBgLayout: '#ecf1ee',
    borderRadius: 3,
    fontFamily: "'Source Sans 3 Variable', system-ui, sans-serif",
    fontSize: 15,
    boxShadow: 'none',
    boxShadowSecondary: '0 0 0 1px #b9c6c3',
    motion: false,
    controlHeight: 34,
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', fontWeight: 500 },
    Tabs: { horizontalItemPadding: '8px 0' },
  },
};
