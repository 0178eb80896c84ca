import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';
import jsxA11y from 'eslint-plugin-jsx-a11y';

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      'test-results/**',
      'playwright-report/**',
      'contract/.answers/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
      'object-shorthand': ['error', 'properties'],
      'no-useless-rename': 'error',
      // `const { month, ...rest } = record` leaves a field out.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
    },
  },
  {
    files: ['**/*.mjs', '**/*.js', '**/*.cjs'],
    languageOptions: {
      globals: {
        module: 'writable',
        Buffer: 'readonly',
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
      },
    },
  },
  {
    files: ['server/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'CallExpression[callee.name=/^(badInput|conflict)$/] > ',
          'NewExpression[callee.name="Problem"] > ',
        ].flatMap((refusal) =>
          ['Literal[value=/ /]', 'TemplateLiteral'].map((words) => ({
            selector: refusal + words,
            message: 'Refusals are said in every language: write say`…`.',
          })),
        ),
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'performance', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core is pure: take a seed' },
        { object: 'Date', property: 'now', message: 'core is pure: take the date as an argument' },
      ],
    },
  },
  {
    files: ['web/**/*.tsx', 'web/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    // Not the rules of the React compiler, which is not used: they take six times as long as all others together.
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['web/**/*.tsx'],
    ...jsxA11y.flatConfigs.recommended,
    rules: {
      ...jsxA11y.flatConfigs.recommended.rules,
      // Maps and photos to measure on are one composite control each, with keys of their own.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { tags: [], roles: ['application', 'tabpanel'] }],
      'jsx-a11y/no-noninteractive-element-interactions': ['error', { handlers: ['onClick'] }],
      'jsx-a11y/label-has-associated-control': [
        'error',
        { controlComponents: ['Input', 'InputNumber', 'Select', 'LanguageChoice'], depth: 4 },
      ],
    },
  },
);
