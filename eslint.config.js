import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

// No station imports another: what two of them need lives beside them.
const stations = ['measure', 'fit', 'pieces', 'sheets']

export default ts.config(
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    rules: {
      'no-undef': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/attributes-order': 'off',
    },
  },
  ...stations.map((station) => ({
    files: [`resources/js/${station}/**`],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: stations.filter((other) => other !== station).map((other) => `@/${other}/*`) },
      ],
    },
  })),
)
