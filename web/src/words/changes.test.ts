import { describe, expect, it } from 'vitest';
import type { Changes, Row, ValueSteps } from '../api';
import {
  certainty,
  cheaperSentence,
  farthestSentence,
  insteadSentence,
  kneeSentence,
  loosened,
  stepUpSentence,
} from './changes';

/** With the spaces that tie a number to its unit made plain. */
const plainly = (text: string | null) => text?.replace(/[\u00a0\u202f]/g, ' ');

function row(name: string, amount: number, watts: number | null): Row {
  return {
    name,
    cost: { amount, currency: 'EUR' },
    reasons: [],
    cells: [{ powerAtAntennaW: watts }],
  } as unknown as Row;
}

const now = row('Foam 10', 100, 30);
const changes = (of: Partial<Changes>) => of as Changes;

describe('what would change the answer', () => {
  it('rounds what is asked less to the side that is really enough', () => {
    expect(loosened(19.2345, true)).toBe(19.2);
    expect(loosened(19.2345, false)).toBe(19.3);
    expect(loosened(0.051_234, true)).toBe(0.0512);
  });

  it('says how sure it is', () => {
    expect(certainty.before('typical of the type')).toBe(
      'How sure: its figures are typical of the type and may be',
    );
    expect(plainly(certainty.after('32.8 W', '35.1 W', '2 m'))).toBe(
      'off; so 32.8 W to 35.1 W on 2 m.',
    );
  });

  it('names a cheaper one that does as well, and is silent without prices', () => {
    const of = changes({ nextCheaper: row('RG-8X', 60, 28) });
    expect(plainly(cheaperSentence(of, now, ['2 m'], 'm'))).toBe(
      'RG-8X costs 40 EUR less and gets through too.',
    );
    expect(cheaperSentence(changes({ nextCheaper: null }), now, [], 'm')).toBeNull();
  });

  it('tells what a dB of the step up costs', () => {
    const stepUp = { row: row('Foam 15', 150, 35), onTransmitDb: 0.5, onReceiveDb: 0.01 };
    expect(plainly(stepUpSentence(changes({ stepUp } as Partial<Changes>), now, 0, '2 m'))).toBe(
      'Foam 15 brings 5 W more, 0.50 dB, on 2 m for 50 EUR more: 100 EUR per dB; on receive it brings next to nothing.',
    );
  });

  it('does not speak of power to a receiver', () => {
    const stepUp = { row: row('Foam 15', 150, null), onTransmitDb: 0.5, powerInsteadW: 56 };
    const of = changes({ stepUp } as Partial<Changes>);
    const costs = { gainCostPerDb: 20, powerCostPerDb: 40 };
    expect(insteadSentence(of, null, costs)).not.toMatch(/power|transmit/);
    expect(plainly(insteadSentence(of, 50, costs))).toMatch(
      /power it is 56 W instead of 50 W, about 20 EUR/,
    );
  });

  it('cuts how far it goes down to what is really enough', () => {
    const farthest = { kind: 'UP_TO', lengthM: 41.97, band: 0 };
    expect(
      plainly(
        farthestSentence(
          changes({ farthest, highest: null } as Partial<Changes>),
          'Foam 10',
          ['70 cm'],
          'm',
        ),
      ),
    ).toMatch(/up to 41\.9 m, then 70 cm fails/);
  });

  it.each([
    [false, 'Foam 10 does over 1000 m; and on frequencies up to 1230 MHz.'],
    [
      true,
      'Foam 10 does over 1000 m; and on frequencies up to 1230 MHz, where what is known of it ends.',
    ],
  ])('says no more of a frequency than is known: %s', (endOfSheet, text) => {
    const of = {
      farthest: { kind: 'BEYOND', lengthM: 1000, band: 0 },
      highest: { frequencyMHz: 1234.5, endOfSheet },
    };
    expect(
      plainly(farthestSentence(changes(of as Partial<Changes>), 'Foam 10', ['70 cm'], 'm')),
    ).toBe(text);
  });
});

describe('where more money stops paying', () => {
  const ladder = {
    currency: 'EUR',
    knee: 0,
    points: [{ rowId: 'rg-6', name: 'RG-6' }],
    steps: [{ rowId: 'rg-6' }, { rowId: 'foam-10', costPerDb: 77 }],
  } as unknown as ValueSteps;

  it.each([
    [
      'PASS',
      'At 20 EUR for a dB on 2 m it pays to go as far as RG-6. The next step costs 77 EUR per dB.',
    ],
    [
      'FAIL',
      'At 20 EUR for a dB on 2 m it pays to go as far as RG-6, which fails what is asked. The next step costs 77 EUR per dB.',
    ],
  ] as const)('no cable that fails is spoken of as if it would do: %s', (verdict, text) => {
    expect(plainly(kneeSentence(ladder, 20, '2 m', [{ id: 'rg-6', verdict }]))).toBe(text);
  });
});
