// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { Interval } from './Interval';

describe('how sure a loss is', () => {
  afterEach(cleanup);

  it('opens its budget, the largest term first, with what would be left without it', async () => {
    render(
      <Interval
        at="145 MHz"
        leastDb={1.74}
        mostDb={2.14}
        uncertainty={{
          expandedDb: 0.206,
          terms: [
            { source: 'RESOLUTION', standardDb: 0.03, expandedDb: 0.06, withoutDb: 0.197 },
            { source: 'DRIFT', standardDb: 0.09, expandedDb: 0.18, withoutDb: 0.1 },
            { source: 'MISMATCH', standardDb: 0.04, expandedDb: 0.08, withoutDb: 0.19 },
          ],
        }}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: /how sure the loss at 145 MHz is/ }));
    const terms = screen.getAllByRole('listitem').map((t) => t.textContent);
    expect(terms[0]).toContain('± 0.18drift of the radio');
    expect(terms).toHaveLength(3);
    expect(screen.getByText(/Give or take 0.21 dB/)).toBeTruthy();
    expect(screen.getByText(/Read the baseline once more after/).textContent).toContain(
      'Without that term ± 0.10 dB would be left',
    );
  });

  it('is plain text where its terms are not known', () => {
    render(
      <Interval at="145 MHz" leastDb={1} mostDb={2} uncertainty={{ expandedDb: 0, terms: [] }} />,
    );
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText('1.00 to 2.00')).toBeTruthy();
  });
});
