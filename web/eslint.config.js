import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'target', 'src/api/generated/schema.ts'] },
  ...ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  {
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/features/*/*'],
              message: 'A feature is used through its index.ts only.',
            },
          ],
        },
      ],
    },
  },
);
