/** Amateur bands with a usual frequency in each ITU region, MHz; 0 where the region does not have it. */
const BANDS: readonly { name: string; byRegion: readonly [number, number, number] }[] = [
  { name: '160 m', byRegion: [1.85, 1.9, 1.85] },
  { name: '80 m', byRegion: [3.65, 3.75, 3.7] },
  { name: '60 m', byRegion: [5.36, 5.36, 5.36] },
  { name: '40 m', byRegion: [7.1, 7.15, 7.1] },
  { name: '30 m', byRegion: [10.125, 10.125, 10.125] },
  { name: '20 m', byRegion: [14.2, 14.2, 14.2] },
  { name: '17 m', byRegion: [18.1, 18.1, 18.1] },
  { name: '15 m', byRegion: [21.2, 21.2, 21.2] },
  { name: '12 m', byRegion: [24.94, 24.94, 24.94] },
  { name: '10 m', byRegion: [28.5, 28.5, 28.5] },
  { name: '6 m', byRegion: [50.2, 50.2, 50.2] },
  { name: '2 m', byRegion: [145, 146, 145] },
  { name: '1.25 m', byRegion: [0, 223.5, 0] },
  { name: '70 cm', byRegion: [433, 435, 433] },
  { name: '23 cm', byRegion: [1296, 1296, 1296] },
  { name: '13 cm', byRegion: [2320, 2304, 2400] },
];

/** Two frequencies this near to each other are on one band. */
const SAME_BAND = 1.1;

/** The band to offer next: above the highest there is, or else the lowest that is missing. */
export function nextBand(
  present: number[],
  region: number,
): { name: string; frequencyMHz: number } {
  const offered = BANDS.map((b) => ({
    name: b.name,
    frequencyMHz: b.byRegion[region - 1] ?? 0,
  })).filter((b) => b.frequencyMHz > 0);
  const missing = offered.filter(
    (b) =>
      !present.some((f) => Math.max(f, b.frequencyMHz) < SAME_BAND * Math.min(f, b.frequencyMHz)),
  );
  const highest = Math.max(0, ...present);
  return (
    missing.find((b) => b.frequencyMHz > highest) ??
    missing[0] ?? { name: 'new', frequencyMHz: 145 }
  );
}
