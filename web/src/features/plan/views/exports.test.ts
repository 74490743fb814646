import { describe, expect, it } from 'vitest';
import type { Row, Schemas } from '../../../api';
import { csvText } from '../../../ui/csv';
import { csvOf, ledgerCsv } from './exports';

/** What a spreadsheet takes for a formula, or for the apostrophe that guards one. */
const DANGEROUS = ['=1+1', '+1', '-1', '@sum', "'quoted", '\tx', '\rx'];

describe('comma-separated values', () => {
  it('quote what would break a record', () => {
    expect(csvText([['a,b', 'say "x"', 'two\nlines', null, undefined, 1.5]])).toBe(
      '"a,b","say ""x""","two\nlines",,,1.5\r\n',
    );
  });

  it.each(DANGEROUS)('guard the text %j, and no number', (text) => {
    expect(csvText([[text]])).toMatch(/^"?'/);
    expect(csvText([[-1]])).toBe('-1\r\n');
  });
});

describe('a ledger as a file', () => {
  const row = (change: object) =>
    ({
      name: 'Foam 10',
      verdict: 'PASS',
      cost: { amount: 111.6, currency: 'EUR' },
      mass: { totalKg: 3.2 },
      cells: [{ totalLossDb: 1.25, powerAtAntennaW: 37.5, verdict: 'PASS' }],
      reasons: [],
      ...change,
    }) as unknown as Row;

  it('has a record for every row and columns for every band', () => {
    expect(ledgerCsv([row({})], ['2 m'], () => '')).toBe(
      'cable,verdict,cost,currency,mass_kg,2 m total_loss_db,2 m power_at_antenna_w,2 m verdict,first_reason\r\n' +
        'Foam 10,PASS,111.6,EUR,3.2,1.25,37.5,PASS,\r\n',
    );
  });

  it('leaves empty what nobody knows', () => {
    const unknown = row({
      cost: null,
      mass: null,
      cells: [{ totalLossDb: null, powerAtAntennaW: null, verdict: 'FAIL' }],
    });
    expect(ledgerCsv([unknown], ['70 cm'], () => 'no figure, at 433 MHz').split('\r\n')[1]).toBe(
      'Foam 10,PASS,,,,,,FAIL,"no figure, at 433 MHz"',
    );
  });

  it.each(DANGEROUS)('guards every cell that somebody typed: %j', (text) => {
    const csv = ledgerCsv([row({ name: text })], [text], () => text);
    const cells = csv.split(/,|\r\n(?=[^x])/);
    expect(cells.filter((c) => /^"?[=+@\t\r]/.test(c))).toEqual([]);
    expect(csv).not.toMatch(/(^|,|\n)"?-1(,|\r)/);
  });
});

describe('curves as a file', () => {
  it('have a column for what they go over and five for every row', () => {
    const sweep = {
      at: [100],
      bands: [0],
      rows: [
        {
          id: 'a',
          name: '=Foam',
          points: [
            {
              matchedLossDb: 1,
              totalLossDb: 2,
              powerAtAntennaW: null,
              swrAtRadio: 1.1,
              swrAtAntenna: null,
            },
          ],
        },
      ],
    } as unknown as Schemas['SweepResponse'];
    const [head, first] = csvOf('frequency', sweep).split('\r\n');
    expect(head?.split(',')[1]).toBe("'=Foam matched_loss_db");
    expect(head?.split(',')).toHaveLength(6);
    expect(first).toBe('100,1,2,,1.1,');
    expect(csvOf('length', sweep)).toMatch(/^length_m,/);
  });
});
