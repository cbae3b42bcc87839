import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import parser from 'vue-eslint-parser'

export default tseslint.config(
  {
    ignores: [
      'resources/js/api/schema.ts',
      'resources/js/components.d.ts',
      'public/**',
      'var/**',
      'vendor/**',
    ],
  },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue', '**/*.ts'],
    languageOptions: {
      parser,
      parserOptions: { parser: tseslint.parser, extraFileExtensions: ['.vue'], sourceType: 'module' },
    },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
      'no-undef': 'off',
      'vue/require-default-prop': 'off',
    },
  },
)
