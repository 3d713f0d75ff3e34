import type { NextConfig } from 'next';

/** What a page of the studio may load, do, and stand in: its own things, and nobody's frame. */
const POLICY = [
  "default-src 'self'",
  // The framework writes small scripts and styles into the page itself.
  "script-src 'self' 'unsafe-inline'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' blob: data:",
  "font-src 'self' data:",
  "worker-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'self'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');
const HEADERS = [
  { key: 'Content-Security-Policy', value: POLICY },
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'Referrer-Policy', value: 'same-origin' },
  {
    key: 'Permissions-Policy',
    value: 'camera=(self), microphone=(self), geolocation=(), payment=()',
  },
];

const config: NextConfig = {
  headers: () => Promise.resolve([{ source: '/:path*', headers: HEADERS }]),
  distDir: process.env.JITEN_BUILD_DIR ?? '.next',
  serverExternalPackages: ['knex', 'mysql2', 'sharp', '@node-rs/argon2', 'pino', 'pdfkit'],
  turbopack: { root: import.meta.dirname },
  outputFileTracingRoot: import.meta.dirname,
  poweredByHeader: false,
  devIndicators: false,
  experimental: {
    optimizePackageImports: ['@mui/material', '@mui/icons-material'],
  },
};

export default config;
