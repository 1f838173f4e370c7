import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'pino', 'pdfkit', '@node-rs/argon2'],
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
        // nothing leaves the machine: no script, picture, font or request from elsewhere
        {
          key: 'Content-Security-Policy',
          value:
            "default-src 'self'; script-src 'self' 'unsafe-inline'" +
            (process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : '') +
            "; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self'; frame-ancestors 'none'; base-uri 'self'; form-action 'self'",
        },
      ],
    },
  ],
};

export default config;
