import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules/**', '.next/**', 'test-results/**', 'data/**', 'shots/**', 'next-env.d.ts', '.tmp-*', '.dependency-cruiser.cjs'] },
  ...tseslint.configs.strict,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/unified-signatures': 'off',
      'no-console': 'error', eqeqeq: 'error', 'prefer-const': 'error', 'no-var': 'error', curly: ['error', 'multi-line'],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  { files: ['src/core/**/*.ts'], ignores: ['**/*.test.ts'], rules: { 'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'setTimeout', 'localStorage', 'performance'], 'no-restricted-syntax': ['error', { selector: "MemberExpression[object.name='Math'][property.name='random']", message: 'Chance comes in as a seeded generator.' }, { selector: "MemberExpression[object.name='Date'][property.name='now']", message: 'The core has no clock.' }, { selector: 'ExportAllDeclaration', message: 'Doors name what they export.' }] } },
  { files: ['scripts/**', 'bench/**'], rules: { 'no-console': 'off' } },
);
