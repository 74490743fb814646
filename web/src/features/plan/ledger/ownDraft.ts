import { FEET_PER_METRE, parseQuantity, plain, RANGES } from '../../../units';
import type { QuantityKind } from '../../../units';
import type { OwnCable } from '../document/model';

const MOST_POINTS = 3;
const FEET_PER_100_M = 100 / 30.48;

/** A figure of one's own as it is typed. */
export interface OwnDraft {
  name: string;
  impedance: string;
  velocityFactor: string;
  price: string;
  points: { frequency: string; attenuation: string }[];
}

/** The form for a figure, or for a new one. */
export function draftOf(cable: OwnCable | null, perFeet: boolean): OwnDraft {
  const points = (cable?.cable?.attenuation?.points ?? []).map((p) => ({
    frequency: plain(p.frequencyMHz ?? 0),
    attenuation: plain((p.attenuationDbPer100m ?? 0) / (perFeet ? FEET_PER_100_M : 1)),
  }));
  while (points.length < MOST_POINTS) points.push({ frequency: '', attenuation: '' });
  return {
    name: cable?.name ?? 'My cable',
    impedance: plain(cable?.cable?.impedanceOhm ?? 50),
    velocityFactor: plain(cable?.cable?.velocityFactor ?? 0.83),
    price: cable?.price ? plain(cable.price.perM / (perFeet ? FEET_PER_METRE : 1)) : '',
    points,
  };
}

export interface ReadDraft {
  cable: Omit<OwnCable, 'id'> | null;
  troubles: Record<string, string | undefined>;
}

/** What the form means, or what is wrong with it, field by field. */
export function readDraft(draft: OwnDraft, perFeet: boolean, currency: string): ReadDraft {
  const troubles: ReadDraft['troubles'] = {};
  const number = (field: string, text: string, kind: QuantityKind, unit: string): number => {
    const parsed = parseQuantity(text, kind, unit);
    const { min, max } = RANGES[kind];
    if (!parsed.ok) troubles[field] = parsed.message;
    else if (parsed.value < min || parsed.value > max)
      troubles[field] =
        `${plain(parsed.value)} is out of range: from ${plain(min, 6)} to ${plain(max)}.`;
    return parsed.ok ? parsed.value : NaN;
  };
  if (draft.name.trim() === '') troubles.name = 'It needs a name.';
  const points = draft.points
    .map((p, i) => ({ ...p, field: `point${i}` }))
    .filter((p) => p.frequency.trim() !== '' || p.attenuation.trim() !== '')
    .map((p) => ({
      frequencyMHz: number(p.field, p.frequency, 'frequency', 'mhz'),
      attenuationDbPer100m: number(
        p.field,
        p.attenuation,
        'attenuation',
        perFeet ? 'db/100ft' : 'db/100m',
      ),
    }));
  if (points.length === 0) troubles.point0 = 'Type at least one row of its sheet.';
  const impedanceOhm = number('impedance', draft.impedance, 'impedance', 'ohm');
  const velocityFactor = number('velocityFactor', draft.velocityFactor, 'ratio', '');
  const price = draft.price.trim() === '' ? null : number('price', draft.price, 'price', '');
  const fine = Object.values(troubles).every((t) => t === undefined);
  return {
    troubles,
    cable: fine
      ? {
          name: draft.name.trim(),
          cable: { impedanceOhm, velocityFactor, attenuation: { points } },
          ...(price !== null && {
            price: { perM: perFeet ? price * FEET_PER_METRE : price, currency },
          }),
        }
      : null,
  };
}
