import next from 'eslint-config-next/core-web-vitals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules/', '.next*/', '.gravelwort*/', 'next-env.d.ts', 'test-results/'] },
  ...next,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      'no-console': ['error', { allow: ['error'] }],
      eqeqeq: 'error',
      // Leaving a field out of an object is no unused name.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
    },
  },
  {
    // The core knows no clock, no hidden randomness and no machine.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'fetch', 'setTimeout', 'performance'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Pass a generator in.' },
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
      ],
    },
  },
  {
    files: ['scripts/**', 'demo/**', 'tests/**'],
    rules: { 'no-console': 'off', 'react-hooks/rules-of-hooks': 'off', '@typescript-eslint/no-require-imports': 'off' },
  },
);
