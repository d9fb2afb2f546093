import js from '@eslint/js';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default defineConfig(
  globalIgnores(['dist', 'out', 'coverage', 'test-results', '**/generated', '*.tmp.mjs']),
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'app/testing/**', 'e2e/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'TSAsExpression > TSAsExpression[typeAnnotation.type="TSUnknownKeyword"]',
          message:
            'a type that has to be forced through unknown is not the type of the value: say what it is, or check it',
        },
      ],
    },
  },
  {
    files: ['app/**/*.{ts,tsx}'],
    extends: [reactHooks.configs.flat.recommended],
    languageOptions: { globals: globals.browser },
    rules: {
      'react-hooks/incompatible-library': 'off',
      // these pack and unpack in workers made from text, which the content policy forbids: they never answer
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'fflate',
              importNames: [
                'zip',
                'unzip',
                'zlib',
                'unzlib',
                'gzip',
                'gunzip',
                'deflate',
                'inflate',
                'AsyncZipDeflate',
                'AsyncUnzipInflate',
              ],
            },
          ],
        },
      ],
      // the React compiler is not used here
      'react-hooks/preserve-manual-memoization': 'off',
    },
  },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: globals.node } },
);
