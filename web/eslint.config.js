import { readdirSync } from 'node:fs';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

const SOURCES = new URL('src/', import.meta.url);
const FEATURES = readdirSync(new URL('features/', SOURCES));
/** What every feature stands on, and what therefore knows none. */
const GROUND = ['api', 'ui', 'units', 'words'];

const restricted = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

const inside = (features) => ({
  regex: `^(\\.\\.?/)+(features/)?(${features.join('|')})/.`,
  message: 'A feature is used through its index.ts only.',
});

export default ts.config(
  { ignores: ['dist', 'target', 'src/api/generated/schema.ts'] },
  ...ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  { files: ['src/*.tsx', 'src/app/**'], rules: restricted(inside(FEATURES)) },
  ...FEATURES.map((feature) => ({
    files: [`src/features/${feature}/**`],
    rules: restricted(inside(FEATURES.filter((other) => other !== feature))),
  })),
  {
    files: GROUND.map((part) => `src/${part}/**`),
    rules: restricted({
      regex: '^(\\.\\./)+(features|app)(/|$)',
      message: 'What features stand on knows none of them.',
    }),
  },
);
