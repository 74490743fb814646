import type { BandAssessment, Schemas, Verdict } from '../../api';
import { csvText } from '../../ui';
import { words } from '../../words';

export type InRun = Schemas['CableInRunResponse'];

export const FEWEST = 2;
export const MOST = 6;

/** One of what stands side by side: a plan with the cable in its run, or with another row of its ledger. */
export interface Entry {
  planId: string;
  rowId: string | null;
}

/** Between a plan and its row in an address; no id has it. */
const BETWEEN = '~';

/** What an address puts side by side; links of earlier versions name two plans. */
export function entriesOf(params: URLSearchParams): Entry[] {
  const named = params.getAll('p');
  const earlier = [params.get('a'), params.get('b')].filter((id) => id !== null);
  return (named.length > 0 ? named : earlier).slice(0, MOST).map((text) => {
    const [planId = '', ...row] = text.split(BETWEEN);
    return { planId, rowId: row.length > 0 ? row.join(BETWEEN) : null };
  });
}

export function addressOf(entries: readonly Entry[], base: number, band: string | null): string {
  const params = new URLSearchParams();
  for (const { planId, rowId } of entries) {
    params.append('p', rowId === null ? planId : planId + BETWEEN + rowId);
  }
  if (base > 0) params.set('base', `${base}`);
  if (band !== null) params.set('band', band);
  return params.toString();
}

/** What one of them does on a band. */
export interface OnBand {
  assessment: BandAssessment | null;
  verdict: Verdict;
  radioW: number | null;
}

/** A band that some of them have; null for those that do not. */
export interface SharedBand {
  name: string;
  frequencyMHz: number;
  of: (OnBand | null)[];
}

/** Two frequencies this near to each other are one band. */
const SAME_BAND = 1.06;

function isSame(f: number, g: number): boolean {
  return Math.max(f, g) <= SAME_BAND * Math.min(f, g);
}

/** The bands of all of them, by frequency, whatever they are called; each named as the first calls it. */
export function sharedBands(all: readonly InRun[]): SharedBand[] {
  const bands: SharedBand[] = [];
  all.forEach((one, index) => {
    const asked = one.assessment.bands ?? [];
    asked.forEach((band, i) => {
      const frequencyMHz = band.frequencyMHz ?? 0;
      let shared = bands.find((b) => b.of[index] === null && isSame(b.frequencyMHz, frequencyMHz));
      if (!shared) {
        shared = {
          name: band.name || `${frequencyMHz} MHz`,
          frequencyMHz,
          of: all.map(() => null),
        };
        bands.push(shared);
      }
      shared.of[index] = {
        assessment: one.bands[i] ?? null,
        verdict: one.row.cells[i]?.verdict ?? 'FAIL',
        radioW: band.powerW ?? one.assessment.radio?.powerW ?? null,
      };
    });
  });
  return bands.toSorted((a, b) => a.frequencyMHz - b.frequencyMHz);
}

/** All of it as CSV (RFC 4180), a record for each, in base units. */
export function sideBySideCsv(all: readonly InRun[], bands: readonly SharedBand[]): string {
  const head = [
    'plan',
    'site',
    'cable',
    'verdict',
    'cost',
    'currency',
    'mass_kg',
    ...bands.flatMap((b) => [
      `${b.name} total_loss_db`,
      `${b.name} power_at_antenna_w`,
      `${b.name} swr_at_radio`,
      `${b.name} verdict`,
    ]),
  ];
  const lines = all.map((one, i) => [
    one.name,
    one.site,
    one.row.name,
    words.verdict[one.row.verdict],
    one.row.cost?.amount,
    one.row.cost?.currency,
    one.row.mass?.totalKg,
    ...bands.flatMap((b) => {
      const of = b.of[i];
      return [
        of?.assessment?.totalLossDb,
        of?.assessment?.powerAtAntennaW,
        of?.assessment?.swrAtRadio,
        of && words.verdict[of.verdict],
      ];
    }),
  ]);
  return csvText([head, ...lines]);
}
