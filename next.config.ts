import type { NextConfig } from 'next';

const config: NextConfig = {
  distDir: process.env.GRAVELWORT_DIST ?? '.next',
  serverExternalPackages: ['pg', 'pg-boss', 'piscina', 'sharp', 'pdfmake'],
  reactStrictMode: true,
  poweredByHeader: false,
  // Pictures of up to 15 MB pass the door; the default would cut them off at 10 MB.
  experimental: {
    proxyClientMaxBodySize: '17mb',
    // They do not say of themselves that a part of them may be left out: without this a text field brings a whole form with its rules.
    optimizePackageImports: [
      'antd',
      ...['form', 'async-validator', 'collapse', 'color-picker', 'dropdown', 'input', 'menu', 'motion', 'overflow'].map(
        (part) => `@rc-component/${part}`,
      ),
      ...['portal', 'resize-observer', 'select', 'tabs', 'tooltip', 'trigger', 'util', 'virtual-list'].map(
        (part) => `@rc-component/${part}`,
      ),
    ],
  },
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
        { key: 'X-Frame-Options', value: 'DENY' },
        { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
        { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
        // Pictures come from the file picker; nothing of the device is asked by the page itself.
        {
          key: 'Permissions-Policy',
          value: ['camera', 'microphone', 'geolocation', 'usb', 'serial', 'bluetooth', 'payment', 'display-capture']
            .map((of) => `${of}=()`)
            .join(', '),
        },
      ],
    },
  ],
};

export default config;
