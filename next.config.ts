import type { NextConfig } from 'next';

const headers = [
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'X-Frame-Options', value: 'DENY' },
  { key: 'Referrer-Policy', value: 'same-origin' },
  { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
  { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
  { key: 'Permissions-Policy', value: 'camera=(self), microphone=(), geolocation=(), payment=()' },
  {
    key: 'Content-Security-Policy',
    // Next's own start-up script is inline, the filters are WebAssembly; nothing is ever loaded from anywhere else.
    value: `default-src 'self'; img-src 'self' blob: data:; script-src 'self' 'unsafe-inline' 'wasm-unsafe-eval'${process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''}; style-src 'self' 'unsafe-inline'; font-src 'self' data:; worker-src 'self' blob:; connect-src 'self'; frame-ancestors 'none'; base-uri 'self'; form-action 'self'`,
  },
];

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // Types are checked by ./oldhand test, over the tests too; a start should not wait for them.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['sharp', 'piscina', 'mysql2', 'pino', 'busboy', 'better-auth'],
  outputFileTracingRoot: process.cwd(),
  headers: async () => [{ source: '/:path*', headers }],
};

export default config;
