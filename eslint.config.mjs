import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      'node_modules/**',
      '.next/**',
      'test-results/**',
      'reports/**',
      'data/**',
      'generated/**',
      '.cache/**',
      'shots/**',
      'next-env.d.ts',
      '.tmp-*',
      '.dependency-cruiser.cjs',
    ],
  },
  ...tseslint.configs.strict,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/unified-signatures': 'off',
      'no-console': 'error',
      eqeqeq: 'error',
      'prefer-const': 'error',
      'no-var': 'error',
      curly: ['error', 'multi-line'],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
    },
  },
  {
    files: ['src/**/*.tsx', 'src/**/*.ts'],
    plugins: { 'react-hooks': reactHooks, 'jsx-a11y': jsxA11y },
    rules: {
      ...reactHooks.configs.flat.recommended.rules,
      ...jsxA11y.flatConfigs.strict.rules,
      'jsx-a11y/label-has-associated-control': [
        'error',
        {
          assert: 'nesting',
          depth: 3,
          controlComponents: [
            'Input',
            'Input.TextArea',
            'Input.Password',
            'InputNumber',
            'HeatField',
            'Select',
            'Switch',
          ],
        },
      ],
      // a sheet that is drawn and worked on is an application of its own
      'jsx-a11y/no-interactive-element-to-noninteractive-role': ['error', { canvas: ['application', 'img'] }],
      // focus moves into a dialog or to the one act that stands on the screen; never while a page is being read
      'jsx-a11y/no-autofocus': 'off',
    },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/ui/Link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { name: 'next/link', message: 'Use Link of @/ui/Link: nothing is fetched ahead.' },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'localStorage',
        'performance',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'Chance comes in as a seeded generator.',
        },
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'The core has no clock.',
        },
        { selector: 'ExportAllDeclaration', message: 'Doors name what they export.' },
      ],
    },
  },
  { files: ['scripts/**', 'bench/**'], rules: { 'no-console': 'off' } },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    rules: { 'no-nested-ternary': 'error' },
  },
  // lists of cases and tables of data: one entry after the other, read from anywhere
  {
    files: [
      '**/*.test.ts',
      'e2e/**',
      'src/core/anatomy/{outlines,zones}.ts',
      'src/core/screening/rules.ts',
      'src/demo/scenario.ts',
      'src/formats/requests.ts',
    ],
    rules: { 'max-lines': ['error', { max: 500, skipBlankLines: true, skipComments: true }] },
  },
);
