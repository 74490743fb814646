/** Sentences about cable types, their sheets, and where their numbers come from. */

import type { CableType, SheetText } from '../api';
import {
  fixed,
  frequencyText,
  lengthText,
  plain,
  powerText,
  significant,
  tied,
  degreesText,
  per100,
  unitsBeside,
} from '../units';
import type { LengthUnit } from '../units';

export const LOSS_PER = {
  PER_KM: 'dB per km',
  PER_1000_FT: 'dB per 1000 ft',
  PER_30_M: 'dB per 30 m',
  PER_100_M: 'dB per 100 m',
  PER_100_FT: 'dB per 100 ft',
  PER_M: 'dB per m',
  PER_FT: 'dB per ft',
} as const;

export const FREQUENCY_UNITS = { KHZ: 'kHz', MHZ: 'MHz', GHZ: 'GHz' } as const;

export const FLEXING = {
  FIXED: 'bent once, when it is laid',
  OCCASIONAL: 'bent now and then',
  REPEATED: 'bent again and again',
} as const;

/** What may be chosen of a catalogue: nothing retired, except what already stands there. */
export function typeOptions(
  types: readonly { key: string; name: string; retired: boolean }[],
  standing?: string,
) {
  return types
    .filter((t) => !t.retired || t.key === standing)
    .map((t) => ({ value: t.key, text: t.name }));
}

/** What was understood of a pasted table. */
export function understoodSentence(read: SheetText): string {
  const { understood: u, rows } = read;
  if (u.lying) {
    return `${rows.length} frequencies from left to right: ${FREQUENCY_UNITS[u.frequencyUnit]} and ${LOSS_PER[u.lossPer]}.`;
  }
  const decimals = u.decimalComma ? ', decimal commas' : '';
  const header = u.hasHeader ? ', a header' : '';
  return `${rows.length} ${rows.length === 1 ? 'row' : 'rows'}: ${FREQUENCY_UNITS[u.frequencyUnit]} and ${LOSS_PER[u.lossPer]}, columns apart by ${u.separator}${decimals}${header}.`;
}

/** What may be wrong with a sheet, with its number. */
export function slipSentence(finding: SheetText['findings'][number], read: SheetText): string {
  const row = finding.row === null ? undefined : read.rows[finding.row];
  const at = row ? frequencyText(row.frequencyMHz) : '';
  switch (finding.slip) {
    case 'COLUMNS_SWAPPED':
      return tied(
        'Are the columns swapped? Loss would grow faster than frequency, which no cable does.',
      );
    case 'FALLING':
      return tied(
        `At ${at} it loses less than at the frequency before (${significant(finding.number)} dB): one of the two is misread.`,
      );
    case 'FAR_OFF_THE_FIT':
      return tied(
        `At ${at} the curve through the other rows lies ${fixed(100 * Math.abs(finding.number), 0)} % ${finding.number > 0 ? 'above' : 'below'} it.`,
      );
    case 'PER_100_FT':
      return 'Is this per 100 ft? Per 100 m it would lose less than copper of this size allows; per 100 ft it is plausible.';
    case 'TOO_GOOD_TO_BE_TRUE':
      return tied(
        `At ${at} it is too good to be true: copper of this size loses at least ${significant(per100(finding.number))} ${unitsBeside().loss}.`,
      );
  }
}

/** Where the figures of a type come from. */
export function provenanceText(type: CableType): string {
  const source = [type.sourceTitle, type.sourceDate].filter(Boolean).join(', ');
  switch (type.provenance) {
    case 'TYPICAL':
      return 'typical of the type, of no one maker’s sheet';
    case 'SHEET':
      return source ? `from a data sheet: ${source}` : 'from a data sheet';
    case 'MEASURED':
      return source ? `measured: ${source}` : 'measured';
    case 'GUESSED':
      return 'a guess';
  }
}

/** What a metre costs, how it is sold, and when that was so. */
export function priceText(type: CableType, lengths: LengthUnit): string {
  if (type.pricePerM === null || type.priceCurrency === null) return 'not known';
  const per =
    lengths === 'm'
      ? `${plain(type.pricePerM, 4)} ${type.priceCurrency} per m`
      : `${plain(type.pricePerM * 0.3048, 4)} ${type.priceCurrency} per ft`;
  const sold =
    type.soldInM === null ? '' : `, sold in lengths of ${lengthText(type.soldInM, lengths)}`;
  const when = type.pricedOn === null ? '' : `, ${type.pricedOn}`;
  return `${per}${sold}${when}${type.priceIsSample ? ', a sample' : ''}`;
}

/** What it bears, as its rating is stated. */
export function ratingText(type: CableType): string {
  return type.averagePowerW === null
    ? 'not known'
    : `${powerText(type.averagePowerW)} at ${frequencyText(type.ratedAtMHz)} and ${degreesText(type.ratedAtC)}`;
}
