import type { NextConfig } from 'next';

const config: NextConfig = {
  compiler: { styledComponents: true },
  serverExternalPackages: ['better-sqlite3', 'knex'],
  poweredByHeader: false,
  allowedDevOrigins: ['127.0.0.1'],
  devIndicators: false,
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
