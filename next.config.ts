import type { NextConfig } from 'next';

const config: NextConfig = {
  distDir: process.env.JITEN_BUILD_DIR ?? '.next',
  serverExternalPackages: ['knex', 'mysql2', 'sharp', '@node-rs/argon2', 'pino', 'pdfkit'],
  turbopack: { root: import.meta.dirname },
  outputFileTracingRoot: import.meta.dirname,
  poweredByHeader: false,
  devIndicators: false,
  // Types are a check of their own (npm run types); a build that made it again would take half as long again.
  typescript: { ignoreBuildErrors: true },
  experimental: {
    optimizePackageImports: ['@mui/material', '@mui/icons-material'],
  },
};

export default config;
