import type { Profile } from '../run/useProfile';

/** A place that comes nearest to what its part bears. */
export interface Tightest {
  element: number;
  what: 'heat' | 'voltage';
  /** How many times over it is borne. */
  margin: number;
  /** Where along the run, m; null where it is a joint or nobody knows. */
  fromRadioM: number | null;
  /** What is there: matched power that would heat as much, W; or peak voltage, V. */
  there: number;
  /** What is borne, in the same unit. */
  rated: number;
}

/** The place of the smallest margin in the whole run; null where no rating is known. */
export function tightestPlace(profile: Profile): Tightest | null {
  const places = [
    ...profile.lines.flatMap((l): Tightest[] => [
      ...(l.powerMargin !== null && l.ratedPowerW !== null
        ? [
            {
              element: l.element,
              what: 'heat' as const,
              margin: l.powerMargin,
              fromRadioM: l.maxHeatFromRadioM,
              there: l.ratedPowerW / l.powerMargin,
              rated: l.ratedPowerW,
            },
          ]
        : []),
      ...(l.voltageMargin !== null && l.ratedPeakVoltageV !== null
        ? [
            {
              element: l.element,
              what: 'voltage' as const,
              margin: l.voltageMargin,
              fromRadioM: l.maxVoltageFromRadioM,
              there: l.ratedPeakVoltageV / l.voltageMargin,
              rated: l.ratedPeakVoltageV,
            },
          ]
        : []),
    ]),
    ...profile.joints.flatMap((j): Tightest[] => [
      ...(j.powerMargin !== null && j.ratedPowerW !== null
        ? [
            {
              element: j.element,
              what: 'heat' as const,
              margin: j.powerMargin,
              fromRadioM: null,
              there: j.ratedPowerW / j.powerMargin,
              rated: j.ratedPowerW,
            },
          ]
        : []),
      ...(j.voltageMargin !== null && j.ratedPeakVoltageV !== null
        ? [
            {
              element: j.element,
              what: 'voltage' as const,
              margin: j.voltageMargin,
              fromRadioM: null,
              there: j.ratedPeakVoltageV / j.voltageMargin,
              rated: j.ratedPeakVoltageV,
            },
          ]
        : []),
    ]),
  ];
  return places.reduce<Tightest | null>((a, b) => (a && a.margin <= b.margin ? a : b), null);
}
