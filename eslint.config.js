import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '**/.expo/**',
      '.local/**',
      'app/expo-env.d.ts',
      'server/migrations/**',
      'test-results/**',
    ],
  },
  ...tseslint.configs.strict,
  {
    rules: {
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    // Where components and hooks are: each function is analysed whole for these, which takes long.
    files: ['app/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'app/src/{device,workers}/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
      // Of Date only what asks no clock: reading a time that is written, and making one of its figures in UTC.
      'no-restricted-syntax': [
        'error',
        ':matches(NewExpression, CallExpression)[callee.name="Date"]',
        'MemberExpression[object.name="Date"]:not([property.name=/^(parse|UTC)$/])',
      ],
    },
  },
  { files: ['core/src/**/*.test.ts'], rules: { 'no-restricted-globals': 'off', 'no-restricted-syntax': 'off' } },
);
