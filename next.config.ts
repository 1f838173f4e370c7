import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'piscina', 'pino', 'pdfkit', '@node-rs/argon2'],
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // `npm test` checks the types by itself; the first start need not wait for it
  typescript: { ignoreBuildErrors: true },
  // a title stands in the page from the first byte on: a later one is missing for a moment while the page wakes
  htmlLimitedBots: /.*/,
  // the first page does not wait until every other one is loaded; scripts/serve.mjs loads them once it is quiet
  experimental: {
    optimizePackageImports: ['antd'],
    preloadEntriesOnStart: false,
    // `npm test` on a fresh machine builds once: what a next build would be quicker by is not written
    turbopackFileSystemCacheForBuild: process.env['STRICKLE_BUILDS'] !== 'once',
  },
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'no-referrer' },
        { key: 'X-Frame-Options', value: 'DENY' },
      ],
    },
  ],
};

export default config;
