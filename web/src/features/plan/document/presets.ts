import { METRES_PER_FOOT } from '../../../units';
import type { Kind } from '../../../words';
import type { Band, Element, Plan, Preference, Radio, Requirement, Use } from './model';
import { band } from './model';

/** A plan as it starts from how it will be used. Everything in it can be changed. */
interface Preset {
  use: Use;
  name: string;
  /** What kind of run it is, for whoever chooses. */
  text: string;
  radio: Radio;
  run: Element[];
  bands: () => Band[];
  asked: Requirement[];
  /** Why each is asked, so that nobody has to take it on trust. */
  reasons: Partial<Record<Kind, string>>;
  preference: Preference;
}

const WATTS: Radio = {
  powerW: 100,
  impedanceOhm: 50,
  matching: 'NONE',
  foldback: false,
  duty: 0.25,
};

const run = (connectorKey: string, cableKey: string, lengthM: number): Element[] => [
  { id: 'j1', kind: 'JOINT', connectorKey },
  { id: 'main', kind: 'LINE', cableKey, lengthM, candidate: true },
  { id: 'j2', kind: 'JOINT', connectorKey },
];

const OTHER_IMPEDANCE =
  'A line of another impedance transforms what the antenna is, by its length: give this up to see what it would bring all the same.';

export const PRESETS: readonly Preset[] = [
  {
    use: 'HOME_RUN',
    name: 'Home run',
    text: 'from the station through the wall to an antenna that stays',
    radio: WATTS,
    run: run('uhf', 'rg-58', 20),
    bands: () => [band('40 m', 7.1), band('20 m', 14.2), band('10 m', 28.5), band('2 m', 145)],
    asked: [
      { kind: 'LEAST_PERCENT', percent: 50 },
      { kind: 'SUN' },
      { kind: 'IMPEDANCE' },
      { kind: 'CONNECTORS' },
    ],
    reasons: {
      LEAST_PERCENT: 'Many never give up more than half; raise it where every watt was dear.',
      SUN: 'Part of a run that stays lies in the sun for years.',
      IMPEDANCE: OTHER_IMPEDANCE,
      CONNECTORS: 'A connector that does not fit the cable lets water in sooner than power out.',
    },
    preference: 'LEAST_COST',
  },
  {
    use: 'FIELD_KIT',
    name: 'Field kit',
    text: 'carried, unrolled, trodden on and rolled up again',
    radio: { ...WATTS, powerW: 10, duty: 0.4 },
    run: run('bnc', 'rg-58', 10),
    bands: () => [band('40 m', 7.1), band('20 m', 14.2), band('2 m', 145)],
    asked: [
      { kind: 'LEAST_PERCENT', percent: 50 },
      { kind: 'REPEATED_FLEXING' },
      { kind: 'COLDEST_UNROLLING', temperatureC: -10 },
      { kind: 'MOST_MASS', massKg: 1 },
      { kind: 'IMPEDANCE' },
      { kind: 'CONNECTORS' },
    ],
    reasons: {
      LEAST_PERCENT: 'Half of a few watts is still a contact; less is felt.',
      REPEATED_FLEXING:
        'It is rolled up after every outing; a solid centre breaks sooner or later.',
      COLDEST_UNROLLING: 'A stiff jacket cracks when it is unrolled in the frost.',
      MOST_MASS: 'It is carried.',
      IMPEDANCE: OTHER_IMPEDANCE,
      CONNECTORS: 'There is no time to fit adapters on a hilltop.',
    },
    preference: 'LIGHTEST',
  },
  {
    use: 'VEHICLE',
    name: 'Vehicle',
    text: 'a few metres along a body or a boat, round tight corners',
    radio: { ...WATTS, powerW: 50, duty: 0.5 },
    run: run('n', 'rg-58', 5),
    bands: () => [band('10 m', 28.5), band('2 m', 145), band('70 cm', 433)],
    asked: [
      { kind: 'MOST_LOSS', lossDb: 3 },
      { kind: 'DUCT_BORE', boreMm: 8 },
      { kind: 'BEND_ONCE', radiusMm: 30 },
      { kind: 'IMPEDANCE' },
      { kind: 'LEAST_POWER_MARGIN', margin: 1 },
    ],
    reasons: {
      MOST_LOSS: 'Half of the power is what many draw the line at.',
      DUCT_BORE: 'It goes under trim and through grommets.',
      BEND_ONCE: 'Door frames and pillars have tight corners.',
      IMPEDANCE: OTHER_IMPEDANCE,
      LEAST_POWER_MARGIN: 'Thin cable in a warm body gets hot at long transmissions.',
    },
    preference: 'LEAST_COST',
  },
  {
    use: 'RECEIVE_ONLY',
    name: 'Receive only',
    text: 'an antenna outside and a receiver within',
    radio: { impedanceOhm: 50, matching: 'NONE' },
    run: run('n', 'foam-5', 20),
    bands: () =>
      [band('air', 127), band('marine', 157), band('70 cm', 433)].map((b) => ({
        ...b,
        matching: 'NONE' as const,
      })),
    asked: [{ kind: 'MOST_RECEIVE_PENALTY', penaltyDb: 2 }, { kind: 'SUN' }],
    reasons: {
      MOST_RECEIVE_PENALTY:
        'What counts is signal over noise: below some 30 MHz even a lossy cable costs next to nothing.',
      SUN: 'Part of it lies outside.',
    },
    preference: 'BEST_VALUE',
  },
  {
    use: 'DATA_LINK',
    name: 'Microwave or data link',
    text: 'a short run at some GHz to an antenna with gain',
    radio: { ...WATTS, powerW: 0.2, duty: 1 },
    run: run('n', 'foam-10', 5),
    bands: () =>
      [band('2.4 GHz', 2440), band('5.7 GHz', 5700)].map((b) => ({ ...b, antennaGainDbi: 12 })),
    asked: [
      { kind: 'WITHIN_GAIN' },
      { kind: 'MOST_LOSS', lossDb: 3 },
      { kind: 'IMPEDANCE' },
      { kind: 'CONNECTORS' },
    ],
    reasons: {
      WITHIN_GAIN: 'A link that loses more than its antenna gains were better without both.',
      MOST_LOSS: 'At these frequencies metres decide: shorten the run before buying thick cable.',
      IMPEDANCE: OTHER_IMPEDANCE,
      CONNECTORS: 'A wrong connector is a bump that these frequencies see.',
    },
    preference: 'LEAST_LOSS',
  },
];

/** Why a new plan of this use asks for it; null once the number is the operator's own. */
export function reasonFor(use: Use | undefined, asked: Requirement): string | null {
  const preset = PRESETS.find((p) => p.use === use);
  const isAsPreset = preset?.asked.some((a) => JSON.stringify(a) === JSON.stringify(asked));
  return (isAsPreset && preset?.reasons[asked.kind]) || null;
}

/** What is usually cut longer: for each end, for the drip loop, and so that an end can be renewed. */
const IN_METRES = { eachEndM: 0.1, dripLoopM: 0.3, serviceLoopM: 0.5 };
const IN_FEET = {
  eachEndM: 0.5 * METRES_PER_FOOT,
  dripLoopM: METRES_PER_FOOT,
  serviceLoopM: 1.5 * METRES_PER_FOOT,
};

/** Lengths are round in the unit that they are read in: 20 m, or 65 ft. */
function inRoundLengths(run: Element[], lengths: 'METRES' | 'FEET'): Element[] {
  if (lengths === 'METRES') return run;
  const round = (m: number) => 5 * Math.max(1, Math.round(m / METRES_PER_FOOT / 5));
  return run.map((e) =>
    e.kind === 'LINE'
      ? { ...e, lengthM: Number((round(e.lengthM ?? 0) * METRES_PER_FOOT).toFixed(6)) }
      : e,
  );
}

/**
 * A new plan: it shows something at once and can be changed in every part.
 *
 * @param own the operator's schools: how joints are charged, and what orders the ledger of a home run
 */
export function newPlan(
  use: Use = 'HOME_RUN',
  own: {
    preference?: Preference;
    flatJointLossDb?: number | null;
    lengths?: 'METRES' | 'FEET';
  } = {},
): Plan {
  const preset = PRESETS.find((p) => p.use === use) ?? PRESETS[0];
  if (!preset) throw new Error('there is no preset');
  const flat = own.flatJointLossDb ?? null;
  return {
    site: '',
    name: `New ${preset.name.toLowerCase()}`,
    document: {
      schemaVersion: 1,
      use: preset.use,
      assessment: {
        radio: preset.radio,
        ambientC: 20,
        ...(flat !== null && { flatJointLossDb: flat }),
        run: inRoundLengths(preset.run, own.lengths ?? 'METRES'),
        bands: preset.bands(),
      },
      requirements: preset.asked,
      candidates: [],
      picked: false,
      purchase: { allowances: own.lengths === 'FEET' ? IN_FEET : IN_METRES },
      preference: (use === 'HOME_RUN' && own.preference) || preset.preference,
    },
  };
}
