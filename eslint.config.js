import js from '@eslint/js';
import i18next from 'eslint-plugin-i18next';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.keen/**', '.cache/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: { projectService: { allowDefaultProject: ['.dependency-cruiser.cjs'] } },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false, arguments: false } },
      ],
      eqeqeq: 'error',
    },
  },
  {
    // An unhandled rejection ends a process: on the server and the command line every promise is
    // awaited, returned or caught, and `void` does not count.
    files: ['apps/server/**', 'apps/cli/**', 'bench/**'],
    rules: {
      '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: false }],
      '@typescript-eslint/no-misused-promises': 'error',
    },
  },
  { files: ['apps/web/**'], ...hooks.configs.flat.recommended },
  { files: ['apps/web/**'], languageOptions: { globals: globals.browser } },
  {
    // What people read stands in the catalogue, `words/`, in every language.
    files: ['apps/web/src/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    plugins: { i18next },
    rules: {
      'i18next/no-literal-string': [
        'error',
        {
          framework: 'react',
          mode: 'jsx-only',
          'should-validate-template': true,
          'jsx-attributes': {
            include: [
              'label',
              'title',
              'aria-label',
              'alt',
              'placeholder',
              'helperText',
              'explained',
            ],
          },
          words: {
            // Signs, units, keys and the name of the product.
            exclude: [
              '^[^\\p{L}]*$',
              '^[^\\p{L}]*(mm|km|mi|kPa|psi|in|Hz|N·m|min|VIN|N|Keen Groove)[^\\p{L}]*$',
            ],
          },
          callees: { exclude: ['t', 'term', 'faultAt', 'format', 'Error', 'includes', 'register'] },
          message: 'what people read stands in words/',
        },
      ],
    },
  },
  {
    // The same for words put together in code; tables for other programs have English heads in every language.
    files: ['apps/web/src/**/*.{ts,tsx}'],
    ignores: [
      '**/*.test.{ts,tsx}',
      '**/*AsCsv.ts',
      ...[
        'garage/chartRows',
        'insights/comebackWords',
        'insights/learnedFigures',
        'wearLab/labFiles',
      ].map((file) => `apps/web/src/features/${file}.ts`),
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'TemplateElement[value.raw=/^,? (?!(mm|km|mi|kPa|psi|in|ft|min|Hz|tpi|SAI)\\b|and \\(|\\$|var\\()\\p{L}{2,}/u]',
          message: 'what people read stands in words/',
        },
      ],
    },
  },
  {
    // They share their imports, so a module replaced in one file would be replaced in the next as well.
    files: ['apps/web/**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-properties': [
        'error',
        ...['mock', 'doMock'].map((property) => ({
          object: 'vi',
          property,
          message: 'stub the global it uses: see tests/workerBench.ts',
        })),
      ],
    },
  },
  { files: ['scripts/**', '*.js', '*.cjs'], languageOptions: { globals: globals.node } },
  {
    // The computation has no clock and no randomness of its own: the same case gives the same bytes.
    files: ['packages/**/src/**'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
    },
  },
  {
    // These differ in their last bit from one JavaScript engine to the next, and would give a browser and
    // a server two answers to one case: engine/math has its own.
    files: ['packages/core/src/engine/{wear,diagnosis,outlook,random,case}/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
        ...['exp', 'expm1', 'log', 'log1p', 'log2', 'log10', 'pow', 'hypot', 'cbrt']
          .concat(['sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'atan2', 'tanh'])
          .map((property) => ({ object: 'Math', property })),
      ],
    },
  },
  { files: ['**/*.{js,cjs,mjs}'], ...tseslint.configs.disableTypeChecked },
);
