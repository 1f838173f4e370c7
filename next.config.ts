import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'piscina', 'pino', 'pdfkit', '@node-rs/argon2'],
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  experimental: { optimizePackageImports: ['antd'] },
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
