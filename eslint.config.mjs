import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';
import prettier from 'eslint-config-prettier';

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      '.data/**',
      'public/sw.js',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  ...tseslint.configs.recommended,
  reactHooks.configs.flat.recommended,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    // The core must give the same answer for the same plan, wherever it runs.
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'localStorage', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core uses only the seeded source it is handed.' },
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
      ],
    },
  },
  // Playwright's fixtures hand over with a function named use, which is no React hook.
  {
    files: ['scripts/**', 'tests/**'],
    rules: { 'no-console': 'off', 'react-hooks/rules-of-hooks': 'off', 'no-empty-pattern': 'off' },
  },
  // Variables that the caller of a compiled loop sets from outside; and AssemblyScript has no imports of types.
  {
    files: ['**/*.as.ts'],
    rules: { 'prefer-const': 'off', '@typescript-eslint/consistent-type-imports': 'off' },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  prettier,
);
