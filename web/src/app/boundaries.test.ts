// @vitest-environment node
import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

const eslint = new ESLint();

/** What is said of an import that stands in a file. */
async function said(file: string, from: string): Promise<string[]> {
  const [result] = await eslint.lintText(`export * from '${from}';\n`, { filePath: file });
  return (result?.messages ?? [])
    .filter((m) => m.ruleId === 'no-restricted-imports')
    .map((m) => m.message);
}

describe('the boundary between features', () => {
  it.each([
    ['src/features/plans/planted.ts', '../plan/model'],
    ['src/features/plan/run/planted.ts', '../../locker/locker'],
    ['src/app/planted.ts', '../features/bench/log'],
    ['src/planted.tsx', './features/bench/log'],
    ['src/ui/planted.ts', '../features/plan'],
    ['src/units/planted.ts', '../app/preferences'],
  ])('does not let %s take %s', async (file, from) => {
    expect(await said(file, from)).toHaveLength(1);
  });

  it.each([
    ['src/features/plans/planted.ts', '../plan'],
    ['src/features/plan/run/planted.ts', '../model'],
    ['src/features/plan/run/planted.ts', '../../../units'],
    ['src/app/planted.ts', '../features/bench'],
  ])('lets %s take %s', async (file, from) => {
    expect(await said(file, from)).toEqual([]);
  });
});
