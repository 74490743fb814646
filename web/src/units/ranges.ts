import type { QuantityKind } from './quantity';

/**
 * What the programming interface accepts, in base units. A test holds this table against the interface's own
 * description.
 */
export const RANGES: Record<QuantityKind, { min: number; max: number }> = {
  length: { min: 0, max: 10_000 },
  power: { min: 0.001, max: 100_000 },
  frequency: { min: 0.1, max: 30_000 },
  swr: { min: 1, max: 1000 },
  loss: { min: 0, max: 300 },
  percent: { min: 0.000_001, max: 100 },
  attenuation: { min: 0.000_001, max: 100_000 },
  ratio: { min: 0.3, max: 1 },
  impedance: { min: 1, max: 2000 },
  impedanceRatio: { min: 0.001, max: 1000 },
  elementLoss: { min: 0, max: 60 },
  resistance: { min: 0.000_001, max: 1_000_000 },
  reactance: { min: -1_000_000, max: 1_000_000 },
  noise: { min: 0, max: 40 },
  gain: { min: -60, max: 80 },
  price: { min: 0, max: 1_000_000 },
  pricePerLength: { min: 0, max: 1_000_000 },
  sUnits: { min: 0, max: 50 },
  margin: { min: 0.1, max: 1000 },
  budget: { min: 0, max: 1_000_000_000 },
  mass: { min: 0.001, max: 100_000 },
  bore: { min: 0.1, max: 10_000 },
  radius: { min: 0.1, max: 100_000 },
  percentOff: { min: 0, max: 90 },
  voltage: { min: 1, max: 1_000_000 },
  level: { min: -100, max: 60 },
  isolation: { min: 0, max: 200 },
  count: { min: 2, max: 64 },
  hours: { min: 0, max: 1000 },
  delay: { min: 0.01, max: 100_000 },
  degrees: { min: -180, max: 180 },
  warmer: { min: 0, max: 150 },
  temperature: { min: -60, max: 120 },
};
