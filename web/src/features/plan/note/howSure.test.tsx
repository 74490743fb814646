// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, it } from 'vitest';
import { line, planOfRun } from '../../../testing/plans';
import { onSheet } from '../../../testing/sheet';
import type { Sheet } from '../sheetContext';
import { SheetProvider, useSheet } from '../sheetContext';
import { HowSure } from './HowSure';

afterEach(cleanup);

const answeredFor = (lengthM: number) =>
  ({ plan: planOfRun([line({ lengthM })]), focus: 0 }) as unknown as Sheet['answered'];

/** A sheet whose figures change with a button. */
function Changing() {
  const [lengthM, setLength] = useState(20);
  return (
    <SheetProvider value={{ ...useSheet(), answered: answeredFor(lengthM) }}>
      <HowSure />
      <button onClick={() => setLength(30)}>longer</button>
    </SheetProvider>
  );
}

const about = (standardDb: number) => ({
  passing: 0.9,
  bands: [
    {
      lossDb: { p05: 1, p50: 2, p95: 3 },
      largest: { input: 'CABLE', decides: true, lossDb: { p05: 1.5, p50: 2, p95: 2.5 } },
      standardDb,
      inputs: [{ input: 'CABLE', share: 1, standardDb }],
    },
  ],
});

it('keeps open what was opened when the figures become others', async () => {
  onSheet(<Changing />, {}, {
    'POST /api/confidence': (body: { run: { lengthM: number }[] }) =>
      about(body.run[0]?.lengthM === 20 ? 0.4 : 0.6),
  } as never);
  await userEvent.click(await screen.findByText('What is worth knowing'));
  expect(screen.getByRole('listitem').textContent).toContain('0.4');
  await userEvent.click(screen.getByText('longer'));
  expect((await screen.findByRole('listitem')).textContent).toContain('0.6');
  expect(screen.getByRole('group')).toHaveProperty('open', true);
});
