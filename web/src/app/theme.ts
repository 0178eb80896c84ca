import type { ThemeConfig } from 'antd';
import { COLORS } from './tokens.ts';

/** The look of Ant Design's parts. It works out shades of its own, so that it gets the colours themselves. */
export const theme: ThemeConfig = {
  token: {
    colorPrimary: COLORS.action,
    colorInfo: COLORS.action,
    colorError: COLORS.rust,
    colorWarning: COLORS.gold,
    colorSuccess: COLORS.good,
    colorText: COLORS.ink,
    colorTextSecondary: COLORS.ink2,
    colorTextPlaceholder: COLORS.ink3,
    colorBorder: COLORS.line2,
    colorBorderSecondary: COLORS.line,
    colorBgLayout: COLORS.ground,
    borderRadius: 3,
    fontFamily: "'Source Sans 3 Variable', system-ui, sans-serif",
    fontSize: 15,
    boxShadow: 'none',
    boxShadowSecondary: `0 0 0 1px ${COLORS.line2}`,
    motion: false,
    controlHeight: 34,
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', fontWeight: 500 },
    Tabs: { horizontalItemPadding: '8px 0' },
  },
};
