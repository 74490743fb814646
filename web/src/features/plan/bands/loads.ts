import { fixed, lengthText, plain } from '../../../units';
import type { LengthUnit } from '../../../units';
import type { Band, Element } from '../document/model';
import { elementName } from '../run/elements';
import type { Named } from '../run/elements';

export type Load = NonNullable<Band['load']>;

/** The three ways in which an antenna is known. */
export type LoadKind = 'swr' | 'swrAtRadio' | 'impedance';

export function kindOfLoad(load: Load | undefined): LoadKind {
  if (load?.swrAtRadio !== undefined) return 'swrAtRadio';
  return load?.resistanceOhm !== undefined ? 'impedance' : 'swr';
}

/** A load in short, as on a tab. */
export function loadText(load: Load | undefined): string {
  switch (kindOfLoad(load)) {
    case 'swr':
      return `SWR ${plain(load?.swr ?? 1, 2)}`;
    case 'swrAtRadio':
      return `SWR ${plain(load?.swrAtRadio ?? 1, 2)} at the radio`;
    case 'impedance':
      return impedanceText(load?.resistanceOhm ?? 0, load?.reactanceOhm ?? 0);
  }
}

/** 90 − j320 Ω. */
export function impedanceText(resistanceOhm: number, reactanceOhm: number): string {
  const sign = reactanceOhm < 0 ? '−' : '+';
  return `${ohms(resistanceOhm)} ${sign} j${ohms(Math.abs(reactanceOhm))} Ω`;
}

function ohms(value: number): string {
  return value < 10 ? fixed(value, 1) : fixed(value, 0);
}

/** The largest SWR that can be typed; an antenna that shows none in the core has this. */
const MOST_SWR = 1000;

/**
 * The same antenna told in another way, as far as that can be: what it shows at each end is known, its angle is not.
 */
export function asKind(
  kind: LoadKind,
  load: Load,
  shown: { atRadio: number | null; atAntenna: number | null },
): Load {
  const swr = (value: number | null) =>
    Number(Math.max(1, Math.min(MOST_SWR, value ?? MOST_SWR)).toFixed(2));
  if (kind === kindOfLoad(load)) return load;
  switch (kind) {
    case 'swr':
      return { swr: swr(shown.atAntenna) };
    case 'swrAtRadio':
      return { swrAtRadio: swr(shown.atRadio) };
    case 'impedance':
      return { resistanceOhm: Number((50 * swr(shown.atAntenna)).toFixed(1)), reactanceOhm: 0 };
  }
}

/** A run in short, by its cables: 2 m RG-58 and 30 m Foam 10. */
export function throughText(run: Element[], named: Named, lengths: LengthUnit): string {
  const cables = run.flatMap((e) =>
    e.kind === 'LINE' && e.lengthM
      ? [`${lengthText(e.lengthM, lengths)} ${elementName({ ...e, candidate: false }, named)}`]
      : [],
  );
  return cables.length > 1
    ? `${cables.slice(0, -1).join(', ')} and ${cables.at(-1)}`
    : (cables[0] ?? 'no cable');
}
