import globals from 'globals';
import tseslint from 'typescript-eslint';
import vue from 'eslint-plugin-vue';
import vueParser from 'vue-eslint-parser';

export default tseslint.config(
  {
    // The client is typed by a file that its test makes, and is checked there.
    ignores: [
      ...['**/dist/**', '**/node_modules/**', '.data/**', '**/test-results/**', 'vitest.config.ts'],
      'server/testing/client/**',
    ],
  },
  ...tseslint.configs.recommendedTypeChecked,
  { files: ['**/*.mjs', '**/*.d.mts'], ...tseslint.configs.disableTypeChecked },
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.ts', '**/*.vue'],
    languageOptions: {
      parserOptions: {
        parser: tseslint.parser,
        // One program of all packages, made once: core is read in each of them. What each may use of Node and the page is
        // for the compiler, which has a project for each.
        project: ['tsconfig.lint.json'],
        extraFileExtensions: ['.vue'],
        tsconfigRootDir: import.meta.dirname,
      },
      globals: globals.browser,
    },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-undef': 'off',
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
      'vue/multiline-html-element-content-newline': 'off',
    },
  },
  {
    // Components are thin and vue-tsc checks their types; the linter would take three minutes to learn them again.
    files: ['**/*.vue'],
    ...tseslint.configs.disableTypeChecked,
    languageOptions: { parser: vueParser, parserOptions: { project: null, programs: null } },
    rules: {
      ...tseslint.configs.disableTypeChecked.rules,
      '@typescript-eslint/switch-exhaustiveness-check': 'off',
      'vue/return-in-computed-property': 'off',
    },
  },
  {
    // Answers of a server under test are read as they come; and the linter does not know the types of .vue files.
    files: ['**/*.test.ts', 'web/**', 'server/testing/**', 'e2e/**'],
    rules: {
      '@typescript-eslint/no-base-to-string': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'fetch',
        'process',
        'window',
        'document',
        'setTimeout',
        'performance',
        'crypto',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
      'no-restricted-syntax': ['error', 'NewExpression[callee.name="Date"][arguments.length=0]'],
    },
  },
  {
    files: ['scripts/**/*.mjs', '*.mjs'],
    languageOptions: { globals: globals.node },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
);
