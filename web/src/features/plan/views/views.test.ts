import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../../api';
import { tightestSentence } from '../../../words';
import type { Profile } from '../run/useProfile';
import { csvOf, ledgerCsv } from './exports';
import { tightestPlace } from './tightest';

const line = (element: number, more: object) => ({
  element,
  maxHeatFromRadioM: 3.25,
  maxVoltageFromRadioM: 12,
  ratedPowerW: null,
  ratedPeakVoltageV: null,
  powerMargin: null,
  voltageMargin: null,
  ...more,
});

const profile = (lines: object[], joints: object[] = []) =>
  ({ lines, joints }) as unknown as Profile;

describe('the tightest place of a run', () => {
  it('is the smallest margin of heat and voltage, in lines and joints', () => {
    const place = tightestPlace(
      profile(
        [
          line(1, { ratedPowerW: 200, powerMargin: 4 }),
          line(3, { ratedPeakVoltageV: 1400, voltageMargin: 2.5 }),
        ],
        [{ element: 4, ratedPeakVoltageV: 500, voltageMargin: 0.8 }],
      ),
    );
    expect(place).toMatchObject({ element: 4, what: 'voltage', margin: 0.8, fromRadioM: null });
    expect(tightestSentence(place as NonNullable<typeof place>, 'UHF', '40 m', 'm')).toBe(
      'Overloaded on 40\u00a0m: UHF stands 625\u00a0V peak and bears 500\u00a0V.',
    );
  });

  it('says where on a line, as far as that is known', () => {
    const place = tightestPlace(profile([line(1, { ratedPowerW: 200, powerMargin: 1.25 })]));
    expect(tightestSentence(place as NonNullable<typeof place>, 'RG-58', '2 m', 'm')).toBe(
      'With little to spare on 2\u00a0m: RG-58, 3.3\u00a0m from the radio is heated as by 160\u00a0W on average and bears 200\u00a0W.',
    );
  });

  it('is nowhere where no rating is known', () => {
    expect(tightestPlace(profile([line(1, {})]))).toBeNull();
  });
});

describe('curves as CSV', () => {
  it('have a column for every figure of every row, and nothing where nothing is known', () => {
    const sweep = {
      at: [7, 14],
      bands: [0, 0],
      rows: [
        {
          id: 'x',
          name: 'Mine, "old"',
          points: [
            {
              matchedLossDb: 1,
              totalLossDb: 2,
              powerAtAntennaW: null,
              swrAtRadio: 1.5,
              swrAtAntenna: null,
            },
            null,
          ],
        },
      ],
    } as unknown as Schemas['SweepResponse'];
    expect(csvOf('frequency', sweep).split('\r\n')).toEqual([
      'frequency_mhz,"Mine, ""old"" matched_loss_db","Mine, ""old"" total_loss_db","Mine, ""old"" power_at_antenna_w","Mine, ""old"" swr_at_radio","Mine, ""old"" swr_at_antenna"',
      '7,1,2,,1.5,',
      '14,,,,,',
      '',
    ]);
  });
});

describe('no cell is a formula', () => {
  const evil = ['=cmd', '+1', '-1', '@x', '\tx', '\rx', "'x"];

  it('in the ledger, whatever a cable, a band or a reason is called', () => {
    for (const text of evil) {
      const row = {
        name: text,
        verdict: 'PASS',
        cost: { amount: -5, currency: 'EUR' },
        mass: null,
        cells: [{ totalLossDb: -0.001, powerAtAntennaW: 90, verdict: 'PASS' }],
        reasons: [],
      } as unknown as Parameters<typeof ledgerCsv>[0][number];
      const cells = ledgerCsv([row], [text], () => text)
        .replaceAll('"', '')
        .split(/,|\r\n/);
      expect(cells.filter((c) => /^[=+@\t\r]/.test(c))).toEqual([]);
      expect(cells).toContain(`'${text}`);
      // a number stays one
      expect(cells).toContain('-0.001');
    }
  });

  it('in the head of curves', () => {
    const sweep = {
      at: [7],
      bands: [0],
      rows: [{ id: 'x', name: '=1+1', points: [null] }],
    } as unknown as Schemas['SweepResponse'];
    expect(csvOf('length', sweep)).toMatch(/^length_m,'=1\+1 matched_loss_db/);
  });
});
