import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  amountOf,
  figureOf,
  fixed,
  lengthText,
  nextReading,
  parseQuantity,
  plain,
  powerText,
  againstFigure,
  RANGES,
  significant,
} from '.';
import type { QuantityKind } from '.';
import { parseImpedance } from './quantity';
import vectors from './vectors.json';

describe('what people type', () => {
  it.each(vectors.ok)('%j is understood', (text, kind, unit, value, doubt) => {
    const parsed = parseQuantity(text as string, kind as QuantityKind, unit as string);
    expect(parsed).toMatchObject({ ok: true, doubt });
    expect(parsed.ok && parsed.value).toBeCloseTo(value as number, 9);
  });

  it.each(vectors.refused)('%j is refused with an example', (text, kind, unit) => {
    const parsed = parseQuantity(text as string, kind as QuantityKind, unit as string);
    expect(parsed.ok).toBe(false);
    expect(!parsed.ok && parsed.message).toMatch(/like|such as/);
  });
});

describe('ranges', () => {
  const schemas = JSON.parse(readFileSync('openapi.json', 'utf8')).components.schemas;

  function described(schema: string, property: string) {
    const all = [schemas[schema], ...(schemas[schema].allOf ?? [])];
    const found = all.map((s) => s.properties?.[property]).find((p) => p !== undefined);
    return { min: found.minimum, max: found.maximum };
  }

  it.each([
    ['length', 'Line', 'lengthM'],
    ['power', 'RadioSpec', 'powerW'],
    ['frequency', 'BandSpec', 'frequencyMHz'],
    ['swr', 'LoadSpec', 'swr'],
    ['loss', 'RequirementSpec', 'lossDb'],
    ['percent', 'RequirementSpec', 'percent'],
    ['attenuation', 'PointRequest', 'attenuationDbPer100m'],
    ['ratio', 'CableSpec', 'velocityFactor'],
    ['impedance', 'CableSpec', 'impedanceOhm'],
    ['impedanceRatio', 'Transformer', 'impedanceRatio'],
    ['elementLoss', 'Joint', 'lossDb'],
    ['price', 'PriceRequest', 'perM'],
    ['resistance', 'LoadSpec', 'resistanceOhm'],
    ['reactance', 'LoadSpec', 'reactanceOhm'],
    ['noise', 'ReceiverSpec', 'noiseFigureDb'],
    ['gain', 'BandSpec', 'antennaGainDbi'],
    ['temperature', 'AssessmentSpec', 'ambientC'],
    ['voltage', 'CableTypeRequest', 'peakVoltageV'],
    ['level', 'Preamplifier', 'largestInputDbm'],
    ['isolation', 'ReceiverSpec', 'neighbourIsolationDb'],
    ['count', 'Device', 'ways'],
    ['hours', 'WorkSpec', 'hoursPerRun'],
    ['delay', 'PhasedSpec', 'firstNs'],
    ['degrees', 'PhasedSpec', 'wantedDegrees'],
    ['warmer', 'PhasedSpec', 'warmerK'],
    ['sUnits', 'RequirementSpec', 'sUnits'],
    ['margin', 'RequirementSpec', 'margin'],
    ['budget', 'RequirementSpec', 'cost'],
    ['mass', 'RequirementSpec', 'massKg'],
    ['bore', 'RequirementSpec', 'boreMm'],
    ['radius', 'RequirementSpec', 'radiusMm'],
    ['percentOff', 'Tolerances', 'typicalPercent'],
  ] as const)('of %s are those of the interface', (kind, schema, property) => {
    expect(RANGES[kind]).toEqual(described(schema, property));
  });
});

describe('amounts for drawing', () => {
  it('are the figures at full precision', () => {
    const level = { lossDb: 1.23456, watts: 75.2501 };
    expect(amountOf(level, 'watts')).toBe(75.2501);
    expect(amountOf(level, 'percent')).toBeCloseTo(75.2565, 3);
    expect(amountOf(level, 'dB')).toBe(-1.23456);
    expect(amountOf(level, 'S')).toBeCloseTo(-0.20576, 9);
    expect(amountOf({ lossDb: 1, watts: null }, 'watts')).toBeNaN();
  });
});

describe('figures', () => {
  it('keep about three digits', () => {
    expect(
      [1234, 123.4, 99.96, 12.34, 1.234, 0.99, 0.124, 0.0124, 0.0001, 0].map(significant),
    ).toEqual(['1234', '123', '100', '12.3', '1.2', '0.99', '0.12', '0.012', '0.00', '0.00']);
  });

  it('carry a true minus, but none before zero', () => {
    expect(fixed(-1.55, 2)).toBe('−1.55');
    expect(fixed(-0.001, 2)).toBe('0.00');
  });

  it('are as short as what was typed', () => {
    expect([31, 31.5, 0.00012, 39.624].map((v) => plain(v, 5))).toEqual([
      '31',
      '31.5',
      '0.00012',
      '39.624',
    ]);
  });

  it('shows a length that was typed in feet in feet, and what was computed in the unit of the sheet', () => {
    expect(lengthText(140 * 0.3048, 'm')).toBe('140 ft');
    expect(lengthText(100 * 0.3048, 'm')).toBe('100 ft');
    expect(lengthText(31, 'm')).toBe('31 m');
    expect(lengthText(0.5, 'm')).toBe('0.5 m');
    expect(lengthText(17.123456, 'm')).toBe('17.123 m');
    expect(lengthText(31, 'ft')).toBe('101.71 ft');
  });

  it('name their unit', () => {
    expect(lengthText(39.624, 'ft')).toBe('130 ft');
    expect(powerText(0.05)).toBe('50 mW');
    expect(powerText(20.8)).toBe('20.8 W');
    expect(powerText(1500)).toBe('1500 W');
    expect(powerText(12_000)).toBe('12 kW');
  });
});

describe('a power ratio', () => {
  const level = { lossDb: 3.0103, watts: 50 };

  it('reads four ways', () => {
    expect(figureOf(level, 'watts')).toBe('50.0');
    expect(figureOf(level, 'percent')).toBe('50.0');
    expect(figureOf(level, 'dB')).toBe('−3.01');
    expect(figureOf(level, 'S')).toBe('−0.50');
  });

  it('reads against another', () => {
    const base = { lossDb: 4, watts: 39.81 };
    expect(againstFigure(level, base, 'watts')).toBe('+10.2');
    expect(againstFigure(level, base, 'dB')).toBe('+0.99');
    expect(againstFigure(base, level, 'S')).toBe('−0.16');
    expect(againstFigure(base, base, 'dB')).toBe('0.00');
  });

  it('steps through the readings, past watts for a receiver', () => {
    expect(nextReading('S', true)).toBe('watts');
    expect(nextReading('S', false)).toBe('percent');
  });
});

describe('an impedance as it is written', () => {
  it.each([
    ['180 - j280', 180, -280],
    ['3200+j350 Ω', 3200, 350],
    ['45−620j ohm', 45, -620],
  ])('%s', (text, resistanceOhm, reactanceOhm) => {
    expect(parseImpedance(text)).toEqual({ resistanceOhm, reactanceOhm });
  });

  it('is nothing without its j', () => {
    expect(parseImpedance('180-280')).toBeNull();
    expect(parseImpedance('1.5')).toBeNull();
  });
});
