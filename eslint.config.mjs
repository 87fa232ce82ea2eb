import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      '**/node_modules/',
      '**/.angular/',
      '.data/',
      '.cache/',
      '**/*.mjs',
      '**/*.cjs',
    ],
  },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strict, ...tseslint.configs.recommendedTypeCheckedOnly],
    languageOptions: {
      parserOptions: {
        project: [
          './tsconfig.json',
          './apps/web/tsconfig.app.json',
          './apps/web/tsconfig.worker.json',
          './apps/web/tsconfig.spec.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', prefer: 'type-imports' },
      ],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-extraneous-class': 'off',
      'max-params': ['error', 4],
      'max-lines': ['error', { max: 420, skipBlankLines: true, skipComments: true }],
      'no-console': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      '@typescript-eslint/prefer-promise-reject-errors': [
        'error',
        { allowThrowingUnknown: true, allowThrowingAny: true },
      ],
      // What is handed around here are objects of functions; none of them asks for `this`.
      '@typescript-eslint/unbound-method': 'off',
      // Other names of texts say what is meant by them.
      '@typescript-eslint/no-duplicate-type-constituents': 'off',
      '@typescript-eslint/no-redundant-type-constituents': 'off',
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    // A suite is one function, and what a test reads of an answer is held against what is expected.
    files: [
      '**/*.test.ts',
      '**/*.spec.ts',
      'apps/server/test/**/*.ts',
      'e2e/**/*.ts',
      'apps/web/src/testing/**',
    ],
    rules: {
      'max-lines-per-function': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'packages/core/src/testing/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'crypto',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
        { object: 'Math', property: 'random', message: 'The core draws no lots.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core has no clock.',
        },
      ],
    },
  },
  {
    files: ['packages/contract/src/**/*.ts', 'apps/web/src/app/session/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.spec.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          name: '@iunctus/core',
          allowTypeImports: true,
          message:
            'What is checked at the edges stands in @iunctus/core/edges: signing in loads no more.',
        },
      ],
    },
  },
  {
    files: ['apps/web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "TaggedTemplateExpression[tag.name='$localize'] > TemplateLiteral > TemplateElement[value.raw=/^:(?![A-Za-z]+:)/]",
          message: 'A colon behind a value begins its name: write `${value}:name::`.',
        },
      ],
      '@angular-eslint/component-class-suffix': 'off',
      '@angular-eslint/component-selector': [
        'error',
        { type: 'element', prefix: 'iu', style: 'kebab-case' },
      ],
    },
  },
  {
    files: ['apps/web/src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
    rules: {
      // Every text is marked, so that all of them can be taken out and put into another language.
      '@angular-eslint/template/i18n': [
        'error',
        {
          checkId: false,
          checkDuplicateId: false,
          boundTextAllowedPattern: '[\\W\\d_]*',
          ignoreTags: ['kbd', 'code', 'title'],
          // Codes, not words.
          ignoreAttributes: [
            ...[
              'accept',
              'appendTo',
              'aria-labelledby',
              'aria-live',
              'cdkDragLockAxis',
              'content',
              'control',
            ],
            ...['d', 'dataKey', 'inputId', 'inputmode', 'mode', 'optionLabel', 'optionValue'],
            ...['panelStyleClass', 'popovertarget', 'position', 'rel', 'scope', 'unit', 'wrap'],
          ],
        },
      ],
      // Rows and lines are worked by keyboard through the grid that holds them.
      '@angular-eslint/template/click-events-have-key-events': 'off',
      '@angular-eslint/template/interactive-supports-focus': 'off',
      '@angular-eslint/template/no-autofocus': 'off',
      '@angular-eslint/template/label-has-associated-control': 'off',
    },
  },
  prettier,
);
