import type { NextConfig } from 'next';

const config: NextConfig = {
  compiler: { styledComponents: true },
  serverExternalPackages: ['better-sqlite3', 'knex'],
  poweredByHeader: false,
  allowedDevOrigins: ['127.0.0.1'],
  devIndicators: false,
};

export default config;
