import type { NextConfig } from 'next';

/** On every answer; what a page may load stands in `src/proxy.ts`. */
const HEADERS = [
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'Referrer-Policy', value: 'same-origin' },
  { key: 'X-Frame-Options', value: 'SAMEORIGIN' },
  { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
];

const config: NextConfig = {
  compiler: { styledComponents: true },
  serverExternalPackages: ['better-sqlite3', 'knex'],
  poweredByHeader: false,
  allowedDevOrigins: ['127.0.0.1'],
  devIndicators: false,
  headers: async () => [{ source: '/:path*', headers: HEADERS }],
  // A bookmark from before the page had its step's name.
  redirects: async () => [
    {
      source: '/trials/:trialId/closely',
      destination: '/trials/:trialId/inspect',
      permanent: true,
    },
  ],
};

export default config;
