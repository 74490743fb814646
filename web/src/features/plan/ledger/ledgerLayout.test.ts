import { describe, expect, it } from 'vitest';
import { ledgerLayout } from './ledgerLayout';

describe('room for a ledger', () => {
  it('shows mass and thickness on a wide sheet alone', () => {
    expect(ledgerLayout(1400, 3)).toMatchObject({ extras: ['mass', 'across'], columns: 9 });
    expect(ledgerLayout(900, 3)).toMatchObject({ extras: [], columns: 7 });
  });

  it('shows anywhere what is wanted', () => {
    expect(ledgerLayout(900, 3, ['mass', 'lost'])).toMatchObject({
      extras: ['lost', 'mass'],
      columns: 9,
    });
  });

  it('draws a few bands large and many small', () => {
    expect(ledgerLayout(1000, 3).roomy).toBe(true);
    expect(ledgerLayout(1000, 12).roomy).toBe(false);
  });

  it('never draws a band too narrow for its figure, and scrolls instead', () => {
    const crowded = ledgerLayout(600, 12);
    expect(crowded.bandWidth).toBe(42);
    expect(crowded.leastWidth).toBeGreaterThan(600);
  });

  it('needs no more than it has where there is room', () => {
    for (const bands of [1, 2, 5]) {
      expect(ledgerLayout(1280, bands).leastWidth, `${bands} bands`).toBeLessThanOrEqual(1280);
    }
  });
});
