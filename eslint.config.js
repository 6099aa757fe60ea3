import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
    { ignores: ['web/src/api/contract.gen.ts', 'public/build'] },
    js.configs.recommended,
    ...tseslint.configs.strict,
    { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
    {
        files: ['web/**/*.{ts,tsx}'],
        plugins: { 'react-hooks': reactHooks },
        languageOptions: { globals: globals.browser },
        rules: {
            ...reactHooks.configs.recommended.rules,
            'no-restricted-imports': [
                'error',
                {
                    paths: [
                        { name: 'antd', importNames: ['Modal', 'Drawer'], message: 'app/Dialog gives the focus back.' },
                        { name: 'antd', importNames: ['Select'], message: 'app/Choice says what is chosen.' },
                    ],
                },
            ],
        },
    },
    {
        files: ['web/src/app/{Dialog,Choice}.tsx'],
        rules: { 'no-restricted-imports': 'off' },
    },
);
