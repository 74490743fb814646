import type { Row, Schemas } from '../../../api';
import { csvText, saveFile } from '../../../ui';

/** Curves as CSV (RFC 4180): a column for what they go over, then four for every row. */
export function csvOf(over: 'frequency' | 'length', sweep: Schemas['SweepResponse']): string {
  const head = [
    over === 'frequency' ? 'frequency_mhz' : 'length_m',
    ...sweep.rows.flatMap((r) =>
      [
        'matched_loss_db',
        'total_loss_db',
        'power_at_antenna_w',
        'swr_at_radio',
        'swr_at_antenna',
      ].map((figure) => `${r.name} ${figure}`),
    ),
  ];
  const lines = sweep.at.map((at, i) => [
    at,
    ...sweep.rows.flatMap((r) => {
      const p = r.points[i];
      return [p?.matchedLossDb, p?.totalLossDb, p?.powerAtAntennaW, p?.swrAtRadio, p?.swrAtAntenna];
    }),
  ]);
  return csvText([head, ...lines]);
}

export function saveCsv(
  name: string,
  over: 'frequency' | 'length',
  sweep: Schemas['SweepResponse'],
): void {
  saveFile(`${name} over ${over}.csv`, 'text/csv;charset=utf-8', csvOf(over, sweep));
}

/** The first reason of a row, in words; empty for a pass. */
type FirstReason = (row: Row) => string;

/** The ledger as CSV (RFC 4180), a record a row, in base units. */
export function ledgerCsv(
  rows: readonly Row[],
  bands: readonly string[],
  firstReason: FirstReason,
): string {
  const head = [
    'cable',
    'verdict',
    'cost',
    'currency',
    'mass_kg',
    ...bands.flatMap((b) => [`${b} total_loss_db`, `${b} power_at_antenna_w`, `${b} verdict`]),
    'first_reason',
  ];
  const lines = rows.map((r) => [
    r.name,
    r.verdict,
    r.cost?.amount,
    r.cost?.currency,
    r.mass?.totalKg,
    ...r.cells.flatMap((c) => [c.totalLossDb, c.powerAtAntennaW, c.verdict]),
    firstReason(r),
  ]);
  return csvText([head, ...lines]);
}

export function saveLedger(
  name: string,
  rows: readonly Row[],
  bands: readonly string[],
  firstReason: FirstReason,
): void {
  saveFile(`${name}.csv`, 'text/csv;charset=utf-8', ledgerCsv(rows, bands, firstReason));
}
