/** Bands to plan for, by service; MHz in each ITU region, 0 where a region does not have it. */

export interface Service {
  name: string;
  bands: readonly { name: string; byRegion: readonly [number, number, number] }[];
}

function everywhere(name: string, frequencyMHz: number) {
  return { name, byRegion: [frequencyMHz, frequencyMHz, frequencyMHz] } as const;
}

export const SERVICES: readonly Service[] = [
  {
    name: 'amateur',
    bands: [
      { name: '160 m', byRegion: [1.85, 1.9, 1.85] },
      { name: '80 m', byRegion: [3.65, 3.75, 3.7] },
      everywhere('60 m', 5.36),
      { name: '40 m', byRegion: [7.1, 7.15, 7.1] },
      everywhere('30 m', 10.125),
      everywhere('20 m', 14.2),
      everywhere('17 m', 18.1),
      everywhere('15 m', 21.2),
      everywhere('12 m', 24.94),
      everywhere('10 m', 28.5),
      everywhere('6 m', 50.2),
      { name: '4 m', byRegion: [70.2, 0, 0] },
      { name: '2 m', byRegion: [145, 146, 145] },
      { name: '1.25 m', byRegion: [0, 223.5, 0] },
      { name: '70 cm', byRegion: [433, 435, 433] },
      { name: '33 cm', byRegion: [0, 903, 0] },
      everywhere('23 cm', 1296),
      { name: '13 cm', byRegion: [2320, 2304, 2400] },
      everywhere('9 cm', 3400),
      everywhere('6 cm', 5760),
      everywhere('3 cm', 10_368),
    ],
  },
  {
    name: 'citizens’',
    bands: [
      everywhere('CB', 27.185),
      { name: 'PMR 446', byRegion: [446.1, 0, 0] },
      { name: 'FRS', byRegion: [0, 462.6, 0] },
      { name: 'UHF CB', byRegion: [0, 0, 477] },
    ],
  },
  {
    name: 'marine',
    bands: [
      everywhere('marine 2 MHz', 2.182),
      everywhere('marine VHF', 156.8),
      everywhere('AIS', 162),
    ],
  },
  {
    name: 'air',
    bands: [
      everywhere('aircraft HF', 8.9),
      everywhere('aircraft VHF', 127.5),
      everywhere('transponder', 1090),
    ],
  },
  {
    name: 'data links',
    bands: [
      { name: 'LoRa', byRegion: [868, 915, 923] },
      everywhere('GNSS L1', 1575.42),
      everywhere('2.4 GHz', 2440),
      everywhere('5 GHz', 5500),
    ],
  },
];

/** Two frequencies this near to each other are on one band. */
const SAME_BAND = 1.1;

export interface Offered {
  name: string;
  frequencyMHz: number;
}

/** The bands of a service that a region has. */
export function bandsOfService(service: Service, region: number): Offered[] {
  return service.bands
    .map((b) => ({ name: b.name, frequencyMHz: b.byRegion[region - 1] ?? 0 }))
    .filter((b) => b.frequencyMHz > 0);
}

/** The name of the usual band that a frequency lies on; undefined on none, where the frequency is name enough. */
export function nameAt(frequencyMHz: number): string | undefined {
  return SERVICES[0]?.bands.find((b) =>
    b.byRegion.some(
      (f) => f > 0 && Math.max(f, frequencyMHz) < SAME_BAND * Math.min(f, frequencyMHz),
    ),
  )?.name;
}

/** What is meant by the name of an amateur band, of the first region that has it; undefined where none is called so. */
export function frequencyOf(name: string): number | undefined {
  const known = SERVICES[0]?.bands.find((b) => b.name === name);
  return known?.byRegion.find((f) => f > 0);
}

/** The name of a band whose frequency becomes another: its band's, unless somebody typed one. */
export function nameAfter(
  name: string | undefined,
  fromMHz: number,
  toMHz: number,
): string | undefined {
  const isTyped = name !== undefined && name !== '' && name !== nameAt(fromMHz);
  return isTyped ? name : nameAt(toMHz);
}

/** The amateur band to offer next: above the highest there is, or else the lowest that is missing. */
export function nextBand(present: number[], region: number): Offered {
  const [amateur] = SERVICES;
  const missing = (amateur ? bandsOfService(amateur, region) : []).filter(
    (b) =>
      !present.some((f) => Math.max(f, b.frequencyMHz) < SAME_BAND * Math.min(f, b.frequencyMHz)),
  );
  const highest = Math.max(0, ...present);
  return (
    missing.find((b) => b.frequencyMHz > highest) ?? missing[0] ?? { name: '', frequencyMHz: 145 }
  );
}
