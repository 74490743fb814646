import { describe, expect, it } from 'vitest';
import { rowsLeftOutText } from './rowsLeftOut';

describe('what has no row among very many cables', () => {
  it('is told with its reasons', () => {
    expect(rowsLeftOutText({ behind: 1200, otherImpedance: 300, sheetEndsBelow: 13 })).toBe(
      'Not shown: 1200 that come after these, 300 of another impedance, 13 whose sheet ends below the highest band.',
    );
  });

  it('leaves out reasons that leave out nothing', () => {
    expect(rowsLeftOutText({ behind: 0, otherImpedance: 300, sheetEndsBelow: 0 })).toBe(
      'Not shown: 300 of another impedance.',
    );
  });
});
