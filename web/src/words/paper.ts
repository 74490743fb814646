/** What the run sheet says: steps from the reel to the roof, each with its check, and the cautions that go with them. */

import type { CableType } from '../api';
import { temperatureText, acrossText } from '../units';

export interface Step {
  /** By which it is ticked. */
  id: string;
  text: string;
}

export interface StepsOf {
  title: string;
  steps: readonly Step[];
}

/** What the steps depend on. */
export interface Fitting {
  cable: CableType | undefined;
  /** What is cut, in the operator's units. */
  cuts: readonly string[];
  /** Pieces of the locker that are laid as they are. */
  owned: readonly string[];
  connectors: readonly { name: string; watertight: boolean }[];
  hasArrestor: boolean;
  sends: boolean;
  fahrenheit: boolean;
}

function known<T>(value: T | null | undefined, say: (value: T) => string): string[] {
  return value === null || value === undefined ? [] : [say(value)];
}

/** Limits of the chosen cable, one a line; what nobody has said is said to be so. */
export function limitsOf(cable: CableType | undefined, fahrenheit: boolean): string[] {
  if (!cable) return ['Nothing is known of this cable but what it loses: ask its seller.'];
  return [
    ...known(
      cable.bendRadiusOnceMm,
      (r) => `Bend once and leave: no tighter than ${acrossText(r)} radius.`,
    ),
    ...known(
      cable.bendRadiusRepeatedMm,
      (r) => `Where it moves: no tighter than ${acrossText(r)} radius.`,
    ),
    ...(cable.minInstallC === null
      ? ['How cold it may be unrolled is not known: warm it indoors first.']
      : [`Unroll and bend it only above ${temperatureText(cable.minInstallC, fahrenheit)}.`]),
    cable.directBurial === null
      ? 'Whether it may lie in the ground is not known: put it in a duct.'
      : cable.directBurial
        ? 'It may lie in the ground as it is, in sand, with a warning tape above.'
        : 'It may not lie in the ground: put it in a drained duct.',
    cable.sunResistant === null
      ? 'Whether it bears sun is not known: cover it.'
      : cable.sunResistant
        ? 'It bears sun.'
        : 'It does not bear sun: cover it.',
    ...known(cable.outerDiameterMm, (d) => `${acrossText(d)} across, without its connector.`),
  ];
}

/** Everything to be done, in the order in which it is done. */
export function stepsOf(f: Fitting): StepsOf[] {
  const open = f.connectors.filter((c) => !c.watertight).map((c) => c.name);
  return [
    {
      title: 'Cut and terminate',
      steps: [
        ...f.cuts.map((cut, i) => ({
          id: `cut-${i + 1}`,
          text: `Cut ${cut}. Measure twice along the real path; label both ends before cutting.`,
        })),
        ...f.owned.map((piece, i) => ({
          id: `fetch-${i + 1}`,
          text: `Fetch ${piece} from the locker. Look at both ends: dark braid means water.`,
        })),
        ...(f.cuts.length === 0
          ? []
          : [
              {
                id: 'slide',
                text: 'Slide boot, sleeve and nut onto the cable before anything else.',
              },
              {
                id: 'strip',
                text: 'Strip by the connector’s drawing. Check: no nick in the centre, no strand of the braid astray.',
              },
              {
                id: 'join',
                text: 'Crimp with the right die, or solder hot and short. Check: pull by hand, nothing moves; the dielectric has not melted back.',
              },
            ]),
        {
          id: 'ohm',
          text: 'Ohmmeter, far end open: no reading between centre and shield; each of them through from end to end.',
        },
        {
          id: 'before',
          text: 'Measure it before it goes up, and compare with the expected readings. A bad end is mended on the table, not on the roof.',
        },
      ],
    },
    {
      title: 'Lay and seal',
      steps: [
        {
          id: 'lay',
          text: 'Lay it without kink, twist or crush; hang it by its jacket, never by a connector.',
        },
        {
          id: 'drip',
          text: 'Drip loop before the entry; the hole falls toward the outside.',
        },
        {
          id: 'seal',
          text: `Seal each joint outside: stretched tape from below upward, then a coat against sun.${open.length > 0 ? ` ${open.join(' and ')} ${open.length > 1 ? 'let' : 'lets'} water in by ${open.length > 1 ? 'themselves' : 'itself'}.` : ''}`,
        },
        {
          id: 'bond',
          text: `${f.hasArrestor ? 'Arrestor' : 'Arrestor, where one is called for,'} and shield bonded where the cable enters, short and thick.`,
        },
        { id: 'service', text: 'Service loop at the end that will be renewed first.' },
      ],
    },
    {
      title: 'Test and note',
      steps: [
        ...(f.sends
          ? [
              {
                id: 'load',
                text: 'Dummy load at the far end: read the power that arrives, band by band.',
              },
            ]
          : []),
        { id: 'swr', text: 'Antenna on: read the SWR at the radio, band by band.' },
        {
          id: 'note',
          text: 'Write the readings down here, and keep them on the bench with the day.',
        },
      ],
    },
  ];
}

/** Cautions that apply; each defers to who is responsible. */
export function cautionsOf({
  sends,
  near,
  voltage,
}: {
  sends: boolean;
  /** About the field near the antenna; null where nobody sends. */
  near: string | null;
  /** Highest voltage on the run; null where not known. */
  voltage: string | null;
}): string[] {
  return [
    ...(sends
      ? [
          `${near ?? 'Keep people away from the antenna while sending.'} What counts is your licence and the rules where you are.`,
          `Touch neither line nor connector while keyed${voltage ? `: up to ${voltage}` : ''}. Never key without a load; if in doubt, ask somebody who knows high voltage.`,
        ]
      : []),
    'Lightning: no work when it is near. Bonding and earthing are by local code, and for a qualified person.',
    'Mast, roof and ladder: never alone, and nothing that could fall or swing onto a power line. If in doubt, let somebody qualified do it.',
    'Digging: ask those responsible first what lies in the ground, and dig as local rules say.',
  ];
}
