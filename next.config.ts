import type { NextConfig } from 'next';

const config: NextConfig = {
  distDir: process.env.GRAVELWORT_DIST ?? '.next',
  serverExternalPackages: ['pg'],
  reactStrictMode: true,
  poweredByHeader: false,
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
        { key: 'X-Frame-Options', value: 'DENY' },
      ],
    },
  ],
};

export default config;
