import next from 'eslint-config-next';
import typescript from 'eslint-config-next/typescript';

const config = [
  {
    ignores: [
      '.next/**',
      'build/**',
      'data/**',
      'node_modules/**',
      'next-env.d.ts',
      'server/migrations/**',
      'test-results/**',
      'core/raster/kernels/assembly/**',
    ],
  },
  ...next,
  ...typescript,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
      // After signing in or out, and for a new study, the whole page is fetched anew on purpose.
      '@next/next/no-location-assign-relative-destination': 'off',
      // Pictures come from the database behind a sign-in; the optimiser has nothing to add.
      '@next/next/no-img-element': 'off',
    },
  },
  { files: ['**/*.cjs', 'oldhand'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
];
export default config;
