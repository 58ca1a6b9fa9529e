import js from '@eslint/js';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      'dist',
      'build',
      'sample',
      'node_modules',
      'src/data/languages.ts',
      'src/data/character-names.ts',
      'src/browser/built',
      'test-support/data',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.recommendedTypeChecked.map((config) => ({ ...config, files: ['**/*.ts'] })),
  {
    files: ['**/*.ts'],
    languageOptions: {
      parserOptions: { project: ['src/tsconfig.json', 'src/browser/tsconfig.json', 'tsconfig.dev.json'] },
    },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      complexity: ['error', 20],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    // Only cli and bin print and touch the process.
    files: ['src/**/*.ts'],
    ignores: ['src/cli/**', 'src/bin/**'],
    rules: { 'no-console': 'error', 'no-restricted-globals': ['error', 'process'] },
  },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        TextDecoder: 'readonly',
        fetch: 'readonly',
        document: 'readonly',
        setTimeout: 'readonly',
        Buffer: 'readonly',
        module: 'writable',
      },
    },
  },
);
